<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\Letters;
use App\Academy\Links;
use App\Academy\OwnSessions;
use App\Exceptions\ActionException;
use App\Models\AccountLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Another password by a link. Whoever was logged in with the old one is not any more; a second factor stays asked
 * for.
 */
final readonly class ResetPassword
{
    public function __construct(private Links $links, private OwnSessions $sessions, private Letters $letters)
    {
    }

    /** @throws ActionException */
    public function __invoke(AccountLink $link, string $password): User
    {
        return DB::transaction(function () use ($link, $password): User {
            $person = User::query()->lockForUpdate()->find($link->user_id);
            if ($person === null || ! $person->isActive() || ! $this->links->use($link)) {
                throw ActionException::because('refusals.academy.link-used');
            }
            $person->update(compact('password'));
            $this->sessions->endAll($person);
            $this->letters->send('password-changed', $person->email, $person);
            event(new PersonChanged($person, 'password-changed', $person));

            return $person;
        });
    }
}
