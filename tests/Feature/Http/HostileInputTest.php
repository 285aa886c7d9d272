<?php

use App\Models\User;
use App\Sight\Onlookers;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\StreamedResponse;

require_once __DIR__.'/hostile.php';

function saysWhy(?Throwable $e): string
{
    return $e === null ? '' : $e::class.': '.strtr(mb_substr(mb_scrub($e->getMessage()), 0, 200), "\n", ' ').' at '
        .basename($e->getFile()).':'.$e->getLine();
}

/** Sends it as its sender, within a transaction of its own that is taken back; the status and what the error was. */
function hostileAnswer(object $test, ?User $as, string $method, string $uri, array $fields, bool $asJson): array
{
    app(Onlookers::class)->forget();
    RateLimiter::clear('*');
    app('cache')->flush();
    app('auth')->forgetGuards();
    DB::beginTransaction();
    try {
        if ($as !== null) {
            $test->actingAs($as->fresh());
        }
        $body = $asJson && $method !== 'GET' ? (string) json_encode($fields, JSON_INVALID_UTF8_IGNORE) : null;
        $answer = $test->call($method, $uri, $body === null ? $fields : [], [], [], [
            'HTTP_ACCEPT' => $asJson ? 'application/json' : 'text/html',
            ...$body === null ? [] : ['CONTENT_TYPE' => 'application/json'],
        ], $body);
        if ($answer->baseResponse instanceof StreamedResponse && $answer->getStatusCode() === 200) {
            $answer->streamedContent();
        }

        return [$answer->getStatusCode(), saysWhy($answer->baseResponse->exception ?? null)];
    } catch (Throwable $e) {
        return [500, 'thrown '.saysWhy($e)];
    } finally {
        while (DB::transactionLevel() > 1) {
            DB::rollBack();
        }
    }
}

it('answers whatever is sent to it with a page or a sentence, never with a failure', function () {
    config(['app.debug' => false]);
    $head = $this->headCoach();
    // Something of one's own to send it to.
    $this->actingAs($head)->post('/practice', ['mode' => 'fault']);
    $all = hostileRequests($head, 'fixed');
    $requests = (new Core\Chance\Chance('hostile|which'))->shuffled($all);
    $requests = array_slice($requests, 0, many((int) (getenv('VC_HOSTILE') ?: 600), count($all)));
    // What the application is asked in one process stays there until its end: some 50 kB a request, 671 MB of them all.
    ini_set('memory_limit', '1G');
    $failed = [];
    $slow = [];
    $seen = [];
    foreach ($requests as $i => [$method, $uri, $fields, $what, $as]) {
        $from = hrtime(true);
        [$status, $why] = hostileAnswer($this, $as, $method, $uri, $fields, $i % 2 === 0);
        $seen[$status] = ($seen[$status] ?? 0) + 1;
        if ((hrtime(true) - $from) / 1e9 > 10.0) {
            $slow[] = $what;
        }
        if ($status >= 500) {
            $failed[] = "$what → $status $why";
        }
    }
    if (getenv('VC_TELL')) {
        ksort($seen);
        file_put_contents(
            getenv('VC_TELL'),
            implode("\n", $failed)
                ."\n"
                .json_encode($seen)
                .' peak MB '
                .(memory_get_peak_usage() >> 20)
                ."\nslow "
                .implode("\n", $slow)
                ."\n",
        );
    }
    expect($failed)->toBe([])->and($slow)->toBe([]);
})->group('study');
