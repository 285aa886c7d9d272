<?php

declare(strict_types=1);

namespace App\Academy;

use App\Audit\DerivedKeys;
use App\Models\Casts\Cell;
use App\Models\LoginAttempt;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Tries of a log-in, and how long the next one has to wait. Three waits, each doubling with every further failure: of
 * one place at one account, of an account from anywhere, of one place at any account. A browser that has entered an
 * account before knows only the first: nobody is kept out of their own by somebody else's failures.
 */
final readonly class Attempts
{
    /** Failures that are free, seconds after the next one, and the hours for which failures count. */
    private const HERE = [5, 15, 24];

    private const ANYWHERE = [25, 60, 24];

    private const PLACE = [40, 30, 1];

    private const LONGEST_S = 900;

    /** What the database says to who has waited long enough for a lock. */
    private const BUSY = '55P03';

    /**
     * One at a time for an account, until the transaction ends: tries side by side would all find no wait. Nobody is
     * waited for long: many at one account would hold up all others.
     *
     * @return bool whether it is this one's turn; where it is not the transaction has to end
     */
    public function hold(string $email): bool
    {
        try {
            DB::statement("set local lock_timeout = '2s'");
            DB::select('select pg_advisory_xact_lock(hashtext(?))', ['log-in|'.self::account($email)]);
            DB::statement('set local lock_timeout = 0');

            return true;
        } catch (QueryException $e) {
            return $e->getCode() === self::BUSY ? false : throw $e;
        }
    }

    /** Of tries of long ago nothing is kept. */
    public static function forget(): void
    {
        $days = config('security.attempts_days');
        LoginAttempt::query()->where('at', '<', now()->subDays(is_int($days) ? $days : 90))->delete();
    }

    /** @return int seconds; nought where it may be tried now */
    public function wait(string $email, Caller $from): int
    {
        $account = self::account($email);
        // By their order, not by their times: a clock may be put back.
        $since = LoginAttempt::query()->where('account', $account)->where('outcome', 'in')->max('id');
        $of = static fn (): Builder => LoginAttempt::query()
            ->where('account', $account)
            ->where('outcome', '<>', 'in')
            ->when($since !== null, static fn (Builder $q) => $q->where('id', '>', $since));
        $waits = [self::left($of()->where('ip', $from->ip), self::HERE)];
        if (! in_array($account, $from->entered, true)) {
            $waits[] = self::left($of(), self::ANYWHERE);
            $waits[] = self::left(
                LoginAttempt::query()->where('ip', $from->ip)->where('outcome', '<>', 'in'),
                self::PLACE,
            );
        }

        return max($waits);
    }

    /** @param  'in'|'password'|'code'  $outcome */
    public function note(string $email, ?User $user, Caller $from, string $outcome): void
    {
        LoginAttempt::query()->create([
            'account' => self::account($email),
            'user_id' => $user?->id,
            'ip' => Str::limit($from->ip, 45, ''),
            'agent' => Str::limit($from->agent, 255, ''),
            'outcome' => $outcome,
            'at' => now(),
        ]);
    }

    /** @return list<LoginAttempt> the newest first */
    public function of(User $user, int $most): array
    {
        return array_values(LoginAttempt::query()
            ->where('user_id', $user->id)
            ->orderByDesc('id')
            ->limit($most)
            ->get()
            ->all());
    }

    /** @return list<LoginAttempt> that failed since this person was last let in, the newest first */
    public function failedSince(User $user): array
    {
        $last = LoginAttempt::query()->where('user_id', $user->id)->where('outcome', 'in')->max('id');

        return array_values(LoginAttempt::query()
            ->where('user_id', $user->id)
            ->where('outcome', '<>', 'in')
            ->where('id', '>', $last ?? 0)
            ->orderByDesc('id')
            ->limit(100)
            ->get()
            ->all());
    }

    public static function account(string $email): string
    {
        return hash_hmac('sha256', Str::lower($email), DerivedKeys::of('attempts')[0]);
    }

    /**
     * @param  Builder<LoginAttempt>  $failures
     * @param  array{int, int, int}  $rule
     */
    private static function left(Builder $failures, array $rule): int
    {
        [$free, $seconds, $hours] = $rule;
        $row = $failures
            ->where('at', '>', now()->subHours($hours))
            ->toBase()
            ->selectRaw('count(*) as n, max(at) as last')
            ->first();
        $n = Cell::int($row->n ?? 0);
        $last = $row->last ?? null;
        if ($n < $free || ! is_string($last)) {
            return 0;
        }
        $wait = min(self::LONGEST_S, $seconds * 2 ** min($n - $free, 10));

        return max(0, (int) ceil($wait - Carbon::parse($last)->diffInSeconds(now())));
    }
}
