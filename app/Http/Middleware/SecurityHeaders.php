<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is loaded from elsewhere or written into a page, nothing private is cached, nobody frames it. */
final class SecurityHeaders
{
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; connect-src 'self'; "
        ."img-src 'self' data: blob:; media-src 'self' blob:; worker-src 'self'; manifest-src 'self'; object-src 'none'; "
        ."frame-ancestors 'none'; base-uri 'none'; form-action 'self'";

    private const HEADERS = [
        'Content-Security-Policy' => self::POLICY,
        'X-Content-Type-Options' => 'nosniff',
        'X-Frame-Options' => 'DENY',
        'Referrer-Policy' => 'same-origin',
        'Cross-Origin-Opener-Policy' => 'same-origin',
        'Cross-Origin-Resource-Policy' => 'same-origin',
        'Permissions-Policy' => 'camera=(), microphone=(), geolocation=(), payment=(), usb=(), browsing-topics=()',
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        header_remove('X-Powered-By');
        foreach (self::HEADERS as $name => $is) {
            $response->headers->set($name, $is);
        }
        $seconds = config('security.hsts_seconds');
        if ($request->isSecure() && is_int($seconds) && $seconds > 0) {
            $response->headers->set('Strict-Transport-Security', "max-age=$seconds");
        }
        // Who it is has been asked by now; to ask again may fail where the answer is that something failed.
        if (Auth::hasUser()) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
