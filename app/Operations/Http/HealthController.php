<?php

declare(strict_types=1);

namespace App\Operations\Http;

use App\Operations\Health;
use Illuminate\Http\Response;

/** A line for each thing looked at, for programs; 503 where one is wanting. Needs no session and shows no page. */
final readonly class HealthController
{
    public function __invoke(Health $health): Response
    {
        $checks = $health->checks();
        $lines = array_map(
            static fn (string $what, bool $holds): string => $what.' '.($holds ? 'ok' : 'failing'),
            array_keys($checks),
            array_values($checks),
        );

        return response(implode("\n", $lines)."\n", in_array(false, $checks, true) ? 503 : 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Cache-Control' => 'no-store',
        ]);
    }
}
