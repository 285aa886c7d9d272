<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What is to be told once is told to a page, not to what a page fetches beside it. */
final class NoticesForPages
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->hasSession() && $request->headers->get('Sec-Fetch-Dest', 'document') !== 'document') {
            $request->session()->reflash();
        }

        return $next($request);
    }
}
