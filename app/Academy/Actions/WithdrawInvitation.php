<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Exceptions\ActionException;
use App\Models\AuditEntry;
use App\Models\Enums\UserState;
use App\Models\Sitting;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Takes an invitation back. Who never came and was given nothing leaves no trace but the record's. */
final readonly class WithdrawInvitation
{
    /** @throws ActionException */
    public function __invoke(User $person, User $by): void
    {
        DB::transaction(static function () use ($person, $by): void {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            if ($person->state !== UserState::Invited) {
                throw ActionException::because('refusals.academy.is-here-already', ['name' => $person->name]);
            }
            event(new PersonChanged($person, 'invitation-withdrawn', $by));
            $known =
                Sitting::query()->whereHas('members', static fn ($q) => $q->whereKey($person->id))->exists() ||
                AuditEntry::query()->where('user_id', $person->id)->exists();
            DB::table('account_links')->where('user_id', $person->id)->delete();
            if ($known) {
                $person->forceFill(['state' => UserState::Left, 'state_since' => now()])->save();
            } else {
                $person->delete();
            }
        });
    }
}
