<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Academy\OneTimeCode;
use App\Models\LoginAttempt;
use App\Models\User;
use App\Operations\Events\ClockPutBack;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Notices that the clock was put back, and lets nothing wait for a time that was once: limits would go on counting,
 * jobs would lie, a killed run would pass for living and a second factor would refuse every code until the clock is
 * there again.
 */
final readonly class WatchClock
{
    /** Clocks of several machines differ by less, s. */
    private const SLACK_S = 120;

    /** What is delayed on purpose is delayed by no more, s. */
    private const DELAYED_S = 120;

    private const SEEN = 'clock-seen';

    /** @return int seconds by which it went back; nought where it did not */
    public function __invoke(): int
    {
        $now = now()->getTimestamp();
        $seen = Cache::get(self::SEEN);
        if (! is_int($seen) || $now >= $seen - self::SLACK_S) {
            if (! is_int($seen) || $now > $seen) {
                Cache::forever(self::SEEN, $now);
            }

            return 0;
        }
        // Of several workers one does it.
        DB::transaction(static function () use ($now, $seen): void {
            DB::select("select pg_advisory_xact_lock(hashtext('clock-put-back'))");
            if (Cache::get(self::SEEN) !== $seen) {
                return;
            }
            Cache::flush();
            DB::table('jobs')->update([
                'available_at' => DB::raw('least(available_at, '.($now + self::DELAYED_S).')'),
                'reserved_at' => DB::raw("least(reserved_at, $now)"),
            ]);
            foreach (['films', 'works'] as $table) {
                DB::table($table)->where('beat_at', '>', now())->update(['beat_at' => now()]);
            }
            LoginAttempt::query()->where('at', '>', now())->update(['at' => now()]);
            $step = intdiv($now, OneTimeCode::SECONDS) + OneTimeCode::DRIFT;
            User::query()->where('factor_step', '>', $step)->update(['factor_step' => $step]);
            event(new ClockPutBack($seen - $now));
            Cache::forever(self::SEEN, $now);
        });

        return $seen - $now;
    }
}
