<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\Links;
use App\Exceptions\ActionException;
use App\Models\AccountLink;
use App\Models\Enums\UserState;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Comes to the academy: the name as it is to be read, and a password of one's own. */
final readonly class AcceptInvitation
{
    public function __construct(private Links $links)
    {
    }

    /** @throws ActionException */
    public function __invoke(AccountLink $link, string $name, string $password): User
    {
        return DB::transaction(function () use ($link, $name, $password): User {
            $person = User::query()->lockForUpdate()->find($link->user_id);
            if ($person?->state !== UserState::Invited || ! $this->links->use($link)) {
                throw ActionException::because('refusals.academy.link-used');
            }
            $person->fill(compact('name', 'password'));
            $person->forceFill(['state' => UserState::Active, 'state_since' => now()])->save();
            event(new PersonChanged($person, 'person-joined', $person, ['role' => $person->role->value]));

            return $person;
        });
    }
}
