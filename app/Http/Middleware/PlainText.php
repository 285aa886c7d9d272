<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What is sent as text is text: bytes that are none of UTF-8, or a NUL, are refused before anything is asked of them.
 */
final class PlainText
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless(
            self::isText(rawurldecode($request->getRequestUri())) &&
                self::areText($request->query->all()) &&
                self::areText($request->request->all()) &&
                (! $request->isJson() || self::areText($request->json()->all())),
            400,
        );

        return $next($request);
    }

    /** @param  array<array-key, mixed>  $values */
    private static function areText(array $values): bool
    {
        foreach ($values as $name => $value) {
            if (! self::isText((string) $name) ||
                (is_string($value) && ! self::isText($value)) ||
                (is_array($value) && ! self::areText($value))) {
                return false;
            }
        }

        return true;
    }

    private static function isText(string $value): bool
    {
        return ! str_contains($value, "\0") && mb_check_encoding($value, 'UTF-8');
    }
}
