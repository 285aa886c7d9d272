<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Attempts;
use App\Academy\Caller;
use App\Academy\Events\PersonChanged;
use App\Exceptions\ActionException;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** Whether an address and a password let somebody in, and then a code; every try is noted. */
final readonly class LogIn
{
    public function __construct(private Attempts $attempts, private CheckFactor $factor)
    {
    }

    /**
     * Who it is; not in yet where a code is still owed.
     *
     * @throws ActionException while the next try has to wait
     */
    public function password(string $email, string $password, Caller $from): ?User
    {
        return DB::transaction(function () use ($email, $password, $from): ?User {
            $this->mayTry($email, $from);
            $user = User::byAddress($email);
            // As long over an address that nobody has.
            $isRight = Hash::check($password, $user->password ?? self::nobodys());
            if ($user === null || ! $isRight || ! $user->isActive()) {
                $this->failed($email, $user, $from, 'password');

                return null;
            }

            return $user;
        });
    }

    /** @throws ActionException while the next try has to wait */
    public function code(User $user, string $code, Caller $from): bool
    {
        return DB::transaction(function () use ($user, $code, $from): bool {
            $this->mayTry($user->email, $from);
            $isRight = ($this->factor)($user, $code);
            if (! $isRight) {
                $this->failed($user->email, $user, $from, 'code');
            }

            return $isRight;
        });
    }

    public function entered(User $user, Caller $from): void
    {
        DB::transaction(function () use ($user, $from): void {
            $this->attempts->note($user->email, $user, $from, 'in');
            event(new PersonChanged($user, 'logged-in', $user, personal: ['from' => $from->ip]));
        });
    }

    public function left(User $user): void
    {
        event(new PersonChanged($user, 'logged-out', $user));
    }

    private function mayTry(string $email, Caller $from): void
    {
        $wait = $this->attempts->hold($email) ? $this->attempts->wait($email, $from) : 1;
        if ($wait > 0) {
            throw ActionException::because('refusals.academy.log-in-waits', ['count' => $wait], 429);
        }
    }

    /** @param  'password'|'code'  $for */
    private function failed(string $email, ?User $user, Caller $from, string $for): void
    {
        $this->attempts->note($email, $user, $from, $for);
        if ($user !== null) {
            event(new PersonChanged($user, 'log-in-failed', null, ['for' => $for], ['from' => $from->ip]));
        }
    }

    /** A hash of the same cost that no password has. */
    private static function nobodys(): string
    {
        $rounds = config('hashing.bcrypt.rounds');

        return sprintf('$2y$%02d$%s', is_numeric($rounds) ? (int) $rounds : 12, str_repeat('.', 53));
    }
}
