<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Middleware\TrustHosts;
use Illuminate\Http\Request;

/** Answers under the names that are configured and no other, wherever it runs: links in letters are made of them. */
final class KnownHosts extends TrustHosts
{
    public function handle(Request $request, $next)
    {
        return parent::handle($request, static function (Request $request) use ($next) {
            // Refused here, not wherever the name is first asked for.
            $request->getHost();

            return $next($request);
        });
    }

    /** @return list<string> */
    public function hosts(): array
    {
        $hosts = config('security.hosts');

        return array_map(
            static fn (string $host): string => '^'.preg_quote($host, '{}').'$',
            array_values(array_filter(
                is_array($hosts) ? $hosts : [],
                static fn (mixed $host): bool => is_string($host) && $host !== '',
            )),
        );
    }

    protected function shouldSpecifyTrustedHosts(): bool
    {
        return true;
    }
}
