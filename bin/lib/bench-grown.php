<?php

declare(strict_types=1);

/*
 * bin/bench pages --grown: every page as a browser asks for it, on the demo and on five years of it, beside a page of
 * the framework that does nothing. Prints a table as docs/performance.md has it.
 *
 * Arguments: the names of the databases, each served at an address: NAME=http://127.0.0.1:PORT …
 */

use App\Demo\Fernhollow;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
require __DIR__.'/asked.php';

const TIMES = 15;

/** Somebody logged in at an address. */
function loggedIn(string $url, string $email): PendingRequest
{
    static $known = [];
    if (! isset($known["$url $email"])) {
        $jar = new GuzzleHttp\Cookie\CookieJar;
        $client = Http::baseUrl($url)->withOptions(['cookies' => $jar, 'allow_redirects' => false]);
        preg_match('/name="_token" value="([^"]+)"/', $client->get('/login')->body(), $token);
        $client->asForm()->post('/login', ['_token' => $token[1], 'email' => $email, 'password' => Fernhollow::PASSWORD]);
        $known["$url $email"] = Http::baseUrl($url)->withOptions(['cookies' => $jar, 'allow_redirects' => false]);
    }

    return $known["$url $email"];
}

/** @return array{status: int, median: float, late: float} median and 95th of a hundred, ms */
function timedPage(PendingRequest $client, string $path): array
{
    $took = [];
    $status = 0;
    for ($i = -2; $i < TIMES; $i++) {
        $from = hrtime(true);
        $status = $client->get($path)->status();
        if ($i >= 0) {
            $took[] = (hrtime(true) - $from) / 1e6;
        }
    }
    sort($took);

    return ['status' => $status, 'median' => $took[intdiv(TIMES, 2)], 'late' => $took[(int) floor(0.95 * (TIMES - 1))]];
}

$rows = $empty = [];
foreach (array_slice($argv, 1) as $given) {
    [$database, $url] = explode('=', $given, 2);
    config(['database.connections.pgsql.database' => $database]);
    DB::purge();
    $empty[$database] = timedPage(Http::baseUrl($url), '/up');
    foreach (pagesToAsk() as $name => [$user, $path]) {
        asked($user, $path);
        $inside = asked($user, $path);
        $scanned = [];
        foreach ($inside['queries'] as [$sql, $bindings]) {
            array_push($scanned, ...scannedWhole($sql, $bindings, 10_000));
        }
        $rows[$name][$database] = [
            'times' => timedPage(loggedIn($url, $user->email), $path),
            'queries' => count($inside['queries']),
            'mb' => $inside['mb'],
            'scanned' => array_unique($scanned),
        ];
    }
}
$databases = array_keys($empty);
$last = (string) end($databases);
printf("| page | %s | queries | MB | of the empty page |\n", implode(' | ', $databases));
echo '|---|'.str_repeat('---|', count($databases) + 3)."\n";
$wrong = 0;
foreach ($rows as $name => $of) {
    $cells = [];
    foreach ($of as ['times' => $t]) {
        $cells[] = sprintf('%.0f / %.0f', $t['median'], $t['late']).($t['status'] === 200 ? '' : " ({$t['status']})");
    }
    ['times' => $times, 'queries' => $queries, 'mb' => $mb, 'scanned' => $scanned] = $of[$last];
    printf(
        "| %s | %s | %d | %.1f | %.1f |%s\n",
        $name,
        implode(' | ', $cells),
        $queries,
        $mb,
        $times['median'] / $empty[$last]['median'],
        $scanned === [] ? '' : ' goes through '.implode(', ', $scanned),
    );
    $wrong += $times['status'] !== 200 || $queries > 30 || $scanned !== [] ? 1 : 0;
}
foreach ($empty as $database => $times) {
    printf("the empty page, %s: %.0f / %.0f ms\n", $database, $times['median'], $times['late']);
}
exit($wrong === 0 ? 0 : 1);
