<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\ExceptionAnswers;
use Closure;
use Illuminate\Auth\Middleware\RequirePassword;
use Illuminate\Http\Request;

/** Wants a password that was given lately, and keeps what was filled in until it is. */
final class FreshLogin extends RequirePassword
{
    /** In the session: when the password was last given. */
    public const SINCE = 'auth.password_confirmed_at';

    /** In the session: what the form held that has to wait. */
    public const HELD = 'held-by-fresh-login';

    /**
     * @param  Request  $request
     * @param  string|null  $redirectToRoute
     * @param  string|int|null  $passwordTimeoutSeconds
     */
    public function handle($request, Closure $next, $redirectToRoute = null, $passwordTimeoutSeconds = null): mixed
    {
        if (! $request->isMethod('GET') && ! $request->expectsJson()) {
            $request->session()->put(self::HELD, ExceptionAnswers::shown($request));
        }

        // What lies ahead is of before the clock was put back, and would count as fresh for as long.
        $given = $request->session()->get(self::SINCE);
        if (is_int($given) && $given > now()->getTimestamp()) {
            $request->session()->forget(self::SINCE);
        }

        return parent::handle($request, static function (Request $request) use ($next): mixed {
            $request->session()->forget(self::HELD);

            return $next($request);
        }, $redirectToRoute, $passwordTimeoutSeconds);
    }
}
