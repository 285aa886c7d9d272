<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Http\Network;
use App\Models\Device;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\Response;

/** Lets in devices by their bearer token. */
final class DeviceToken
{
    /** Wrong tokens a minute from one place. */
    private const GUESSES = 30;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // Guesses are counted by where they come from, before anything is looked up.
        $guesses = 'device-token|'.Network::of($request);
        if (RateLimiter::tooManyAttempts($guesses, self::GUESSES)) {
            return response()->json(['message' => (string) __('refusals.capture.too-many-guesses')], 429, [
                'Retry-After' => (string) RateLimiter::availableIn($guesses),
            ]);
        }
        $device = Device::byToken((string) $request->bearerToken());
        if ($device === null) {
            RateLimiter::hit($guesses, 60);

            return response()->json(['message' => (string) __('refusals.capture.no-device')], 401);
        }
        $request->attributes->set('device', $device);

        return $next($request);
    }
}
