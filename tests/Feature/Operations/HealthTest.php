<?php

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

it('says to anybody, without a session, whether what it stands on is there', function () {
    $this->get('/up')
        ->assertOk()
        ->assertHeader('Content-Type', 'text/plain; charset=utf-8')
        ->assertHeaderMissing('Set-Cookie');
    expect($this->get('/up')->getContent())->toBe("database ok\nqueue ok\ndisk ok\n");
});

it('notices a queue that nobody works through, and not one that is worked through or waits on purpose', function () {
    config(['queue.default' => 'database']);
    $job = fn (int $ago, ?int $reserved = null) => DB::table('jobs')->insert(['queue' => 'default', 'payload' => '{}',
        'attempts' => 0, 'reserved_at' => $reserved, 'available_at' => now()->getTimestamp() - $ago, 'created_at' => 0]);
    $job(500);
    $job(-3600);
    $job(5000, now()->getTimestamp());
    $this->get('/up')->assertOk();
    $job(700);
    $this->get('/up')->assertStatus(503)->assertSee('queue failing')->assertSee('database ok');
});

it('answers without the database, in a line', function () {
    config(['database.connections.pgsql.port' => 1]);
    DB::purge('pgsql');
    $this->get('/up')
        ->assertStatus(503)
        ->assertSee('database failing')
        ->assertDontSee('SQLSTATE')
        ->assertDontSee('127.0.0.1');
    DB::purge('pgsql');
});

it('notices a backup that did not come, where backups are expected', function () {
    $root = sys_get_temp_dir().'/vc-health-'.getmypid();
    config(['backup.root' => $root, 'backup.expected' => true]);
    $this->get('/up')->assertStatus(503)->assertSee('backup failing');
    foreach ([40 => 503, 5 => 200] as $hours => $status) {
        $folder = $root.'/'.now()->utc()->subHours($hours)->format('Ymd\THis\Z').'-100';
        File::makeDirectory($folder, 0700, true);
        touch("$folder/manifest.json");
        $this->get('/up')->assertStatus($status);
    }
    File::deleteDirectory($root);
});
