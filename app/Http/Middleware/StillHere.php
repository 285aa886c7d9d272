<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Somebody who was disabled or has left, or logged in too long ago, is not here any more, from the next request on; a
 * head coach who owes a second factor goes nowhere before it is set up.
 */
final class StillHere
{
    /** In the session: when the log-in was. */
    public const SINCE = 'entered-at';

    private const WITHOUT_FACTOR = ['account.factor', 'account.factor.keep', 'logout'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User) {
            return $next($request);
        }
        if (! $user->isActive() || self::isOver($request)) {
            Auth::logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();

            return $request->expectsJson() ? abort(401) : redirect()->route('login');
        }
        if ($user->owesFactor() && $this->isWithin($request->route())) {
            return $request->expectsJson() ? abort(403) : redirect()->route('account.factor');
        }

        return $next($request);
    }

    /** A log-in ends after some hours, however busy it was. */
    private static function isOver(Request $request): bool
    {
        $since = $request->session()->get(self::SINCE);
        // One that lies ahead is of before the clock was put back.
        if (! is_int($since) || $since > now()->getTimestamp()) {
            $request->session()->put(self::SINCE, now()->getTimestamp());

            return false;
        }
        $hours = config('security.log_in_hours');

        return now()->getTimestamp() - $since > 3600 * (is_int($hours) ? $hours : 12);
    }

    /** What lies behind the log-in; a letter's link is followed as by anybody. */
    private function isWithin(?Route $route): bool
    {
        return $route !== null &&
            in_array('auth', $route->gatherMiddleware(), true) &&
            ! in_array($route->getName(), self::WITHOUT_FACTOR, true);
    }
}
