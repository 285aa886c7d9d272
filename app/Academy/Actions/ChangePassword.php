<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\Letters;
use App\Academy\OwnSessions;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Changes one's own password; every other place where one was logged in ends. */
final readonly class ChangePassword
{
    public function __construct(private OwnSessions $sessions, private Letters $letters)
    {
    }

    /** @param  string  $here  the session from which it is asked, which stays */
    public function __invoke(User $person, string $password, string $here): void
    {
        DB::transaction(function () use ($person, $password, $here): void {
            $person->update(compact('password'));
            $this->sessions->endAll($person, $here);
            $this->letters->send('password-changed', $person->email, $person);
            event(new PersonChanged($person, 'password-changed', $person));
        });
    }
}
