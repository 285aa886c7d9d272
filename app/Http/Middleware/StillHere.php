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
 * Somebody who was disabled or has left is not here any more, from the next request on; a head coach who owes a second
 * factor goes nowhere before it is set up.
 */
final class StillHere
{
    private const WITHOUT_FACTOR = ['account.factor', 'account.factor.keep', 'logout'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User) {
            return $next($request);
        }
        if (! $user->isActive()) {
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

    /** What lies behind the log-in; a letter's link is followed as by anybody. */
    private function isWithin(?Route $route): bool
    {
        return $route !== null &&
            in_array('auth', $route->gatherMiddleware(), true) &&
            ! in_array($route->getName(), self::WITHOUT_FACTOR, true);
    }
}
