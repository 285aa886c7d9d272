<?php

declare(strict_types=1);

namespace App\Providers;

use App\Academy\Http\SessionController;
use App\Http\Network;
use App\Models\Device;
use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

/** How often something may be tried, by what is tried and by whom. */
final class RateServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        RateLimiter::for(
            'login',
            static fn (Request $request): array => [
                Limit::perMinute(8)->by(self::address($request).'|'.Network::of($request)),
                Limit::perMinute(60)->by(Network::of($request)),
            ],
        );
        // Asked again for a password or a code: few tries, whoever's they are. Letters: no flood of them.
        RateLimiter::for('code', static fn (Request $request): array => [
            Limit::perMinute(8)->by('code|'.self::whose($request)),
            Limit::perMinute(30)->by('code|'.Network::of($request)),
        ]);
        // A code of six digits is not to be found by trying.
        RateLimiter::for('join', static fn (Request $request): array => [
            Limit::perMinute(6)->by('join|'.self::whose($request)),
            Limit::perMinute(120)->by('join|'.Network::of($request)),
        ]);
        RateLimiter::for('letters', static fn (Request $request): array => [
            Limit::perHour(5)->by('letters|'.self::address($request)),
            Limit::perHour(60)->by('letters|'.Network::of($request)),
        ]);
        RateLimiter::for('links', static fn (Request $request): Limit => Limit::perMinute(30)->by(
            'links|'.Network::of($request),
        ));
        RateLimiter::for(
            'ingest',
            static fn (Request $request): Limit => Limit::perMinute(3000)->by('device|'.(
                ($device = $request->attributes->get('device')) instanceof Device ? $device->id : Network::of($request)
            )),
        );
    }

    /** The address that a form speaks of, whatever was sent in its place. */
    private static function address(Request $request): string
    {
        $email = $request->input('email');

        return is_string($email) ? Str::lower($email) : '';
    }

    /** Whose password or code is asked for: of who is here, or of who has still to give a code. */
    private static function whose(Request $request): string
    {
        $owes = $request->session()->get(SessionController::OWES);
        $user = $request->user();

        return match (true) {
            $user instanceof User => (string) $user->id,
            is_array($owes) && is_int($owes[0] ?? null) => (string) $owes[0],
            default => $request->session()->getId(),
        };
    }
}
