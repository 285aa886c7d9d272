<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\LastHeadCoach;
use App\Academy\OwnSessions;
use App\Exceptions\ActionException;
use App\Models\Enums\UserState;
use App\Models\User;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/**
 * Keeps a person from logging in, for a while or because they have left. What they did stays. Cases they still had to
 * read wait for them, or their seats are left out: then nobody waits for those readings any more.
 */
final readonly class EndPerson
{
    public function __construct(private LastHeadCoach $last, private OwnSessions $sessions)
    {
    }

    /**
     * @param  UserState  $to  disabled or left
     * @param  bool  $waits  whether their open cases wait
     *
     * @throws ActionException
     */
    public function __invoke(User $person, UserState $to, bool $waits, User $by): void
    {
        DB::transaction(function () use ($person, $to, $waits, $by): void {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            if (! in_array($person->state, [UserState::Active, UserState::Disabled], true)) {
                throw ActionException::because('refusals.academy.is-not-here', ['name' => $person->name]);
            }
            $this->last->stays($person);
            $person->forceFill(['state' => $to, 'state_since' => now(), 'remember_token' => null])->save();
            $this->sessions->endAll($person);
            DB::table('account_links')->where('user_id', $person->id)->whereNull('used_at')->delete();
            $left = $waits ? 0 : $this->leaveOut($person);
            event(new PersonChanged($person, "person-{$to->value}", $by, ['open_cases' => $waits ? 'wait' : 'out',
                'seats' => $left]));
        });
    }

    /** @throws ActionException */
    public function again(User $person, User $by): void
    {
        DB::transaction(function () use ($person, $by): void {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            if ($person->state !== UserState::Disabled) {
                throw ActionException::because('refusals.academy.is-not-disabled', ['name' => $person->name]);
            }
            $person->forceFill(['state' => UserState::Active, 'state_since' => now()])->save();
            DB::table('seats')
                ->where('user_id', $person->id)
                ->whereIn('sitting_id', self::open())
                ->update(['left_out_at' => null]);
            event(new PersonChanged($person, 'person-enabled', $by));
        });
    }

    private function leaveOut(User $person): int
    {
        return DB::table('seats')
            ->where('user_id', $person->id)
            ->whereNull('left_out_at')
            ->whereIn('sitting_id', self::open())
            ->update(['left_out_at' => now()]);
    }

    private static function open(): \Illuminate\Database\Query\Builder
    {
        return DB::table('sittings')
            ->whereIn('state', [SittingState::Draft->value, SittingState::Open->value])
            ->select('id');
    }
}
