<?php

declare(strict_types=1);

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;
use League\Flysystem\UnableToWriteFile;

// What a page, a script and a device are told when what the application stands on is not there.
it('says in a sentence that the database is away or full, and that nothing was done', function (
    string $message,
    int $status,
    string $says,
) {
    $thrown = new QueryException('pgsql', 'select 1', [], new PDOException($message));
    Route::middleware('web')->get('/_without', static fn () => throw $thrown);
    Route::get('/ingest/_without', static fn () => throw $thrown);
    $page = $this->get('/_without');
    $page->assertStatus($status)->assertSee($says)->assertDontSee('SQLSTATE')->assertDontSee('select 1');
    expect($page->headers->get('Retry-After'))->toBe($status === 503 ? '5' : null)
        ->and($page->headers->get('Content-Security-Policy'))->not->toBeNull();
    foreach (['/_without', '/ingest/_without'] as $path) {
        $this->getJson($path)->assertStatus($status)
            ->assertJsonPath('message', $status === 500 ? 'Server Error' : __("errors.$status.says"));
    }
})->with([
    'refused' => ['SQLSTATE[08006] [7] connection to server at "127.0.0.1", port 1 failed', 503, 'back shortly'],
    'shut down under it' => ['SQLSTATE[57P01]: Admin shutdown: 7 FATAL: terminating connection', 503, 'back shortly'],
    'killed under it' => [
        'SQLSTATE[HY000]: General error: 7 server closed the connection unexpectedly', 503, 'back shortly',
    ],
    'being started' => ['SQLSTATE[08006] [7] FATAL: the database system is starting up', 503, 'back shortly'],
    'no connection left' => ['SQLSTATE[53300]: Too many connections: 7 FATAL: sorry', 503, 'back shortly'],
    'full' => [
        'SQLSTATE[53100]: Disk full: 7 ERROR: could not extend file: No space left on device', 507, 'disk is full',
    ],
    'a fault of the program' => ['SQLSTATE[42P01]: Undefined table: 7 ERROR: no such', 500, 'fault of the program'],
]);

it('says in a sentence that a file could not be written for want of room', function () {
    Route::middleware('web')->get('/_full', static fn () => throw UnableToWriteFile::atLocation(
        'x',
        'file_put_contents(): Write of 9 bytes failed with errno=28 No space left on device',
    ));
    $this->get('/_full')->assertStatus(507)->assertSee('disk is full');
    $this->getJson('/_full')->assertStatus(507);
});

it('goes on where nothing can be written into the log', function () {
    config(['logging.channels.written.channels' => ['daily'], 'logging.channels.daily.path' => '/dev/full/no.log']);
    Log::forgetChannel('written');
    Log::forgetChannel('daily');
    $this->assertSame('written', config('logging.default'));
    Log::error('nobody reads this');
    Route::middleware('web')->get('/_broken', static fn () => throw new RuntimeException('written down nowhere'));
    $this->get('/_broken')->assertStatus(500)->assertSee('fault of the program');
});
