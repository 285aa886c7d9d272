<?php

use App\Capture\Pages\CaptureLive;
use App\Models\CaptureChunk;
use App\Models\CaptureSession;
use App\Models\CaughtSwing;
use App\Models\Device;
use App\Models\Golfer;
use App\Models\Recording;
use Core\Format\Json\StanceJson;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Http;

/** A connection that sends a swing in chunks of a tenth of a second. */
function openCapture(object $test, string $token, Swing $s): string
{
    return $test
        ->withToken($token)
        ->postJson('/ingest/sessions', [
            'class' => $s->trace->device->value,
            'rate_hz' => $s->trace->rateHz,
            'channels' => array_keys($s->trace->channels),
            'stance' => StanceJson::write($s->stance),
            'mass_kg' => 78,
        ])
        ->assertCreated()
        ->json('session');
}

/** @return list<array<string, mixed>> */
function chunksOf(Swing $s): array
{
    $rows = [];
    for ($i = 0; $i < $s->trace->samples(); $i++) {
        $rows[] = array_map(
            static fn (array $v): ?float => is_nan($v[$i]) ? null : $v[$i],
            array_values($s->trace->channels),
        );
    }
    $size = (int) ($s->trace->rateHz / 10);

    return array_map(
        static fn (array $part, int $seq): array => [
            'seq' => $seq,
            'first_sample' => $seq * $size,
            'device_s' => 100.0 + $seq / 10,
            'samples' => $part,
        ],
        $chunks = array_chunk($rows, $size),
        array_keys($chunks),
    );
}

it('catches a swing out of what a device sends, and puts it on the Shelf once', function (DeviceClass $device) {
    $token = deviceToken($this);
    $s = Swing::simulated(new GolferSpec('live', new Plant(['hang-back' => 2]), device: $device));
    $session = openCapture($this, $token, $s);
    foreach (array_chunk(chunksOf($s), 3) as $batch) {
        $this->withToken($token)
            ->postJson("/ingest/sessions/$session/chunks", ['chunks' => $batch])
            ->assertOk()
            ->assertJsonPath('acknowledged', array_column($batch, 'seq'));
    }
    $this->withToken($token)->postJson("/ingest/sessions/$session/close")->assertOk();
    $swing = CaughtSwing::query()->sole();
    expect($swing->impact_s)->toEqualWithDelta($s->stations->t(Core\Motion\Station::Impact), 0.12);
    $live = $this->actingAs($this->headCoach())
        ->getJson("/capture/$session/live")
        ->assertOk()
        ->assertJsonPath('state', 'closed')
        ->json();
    expect($live['swings'])
        ->toHaveCount(1)
        ->and($live['share'])
        ->not->toBeEmpty()
        ->and($live['warnings'])
        ->toHaveCount(1)
        ->and($live['warnings'][0])
        ->toContain('clock');
    $keep = fn () => $this->post("/capture/swings/{$swing->public_id}", [
        'golfer' => Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'club' => 'hybrid',
        'series' => 'tonight',
    ]);
    $keep()->assertSessionHas('done');
    $recording = Recording::query()->latest('id')->firstOrFail();
    expect($recording->device_name)
        ->toBe('bench')
        ->and($recording->series)
        ->toBe('tonight')
        ->and($recording->effectiveStations())
        ->toHaveCount(9)
        ->and($recording->measured->measurements['trail_peak']['value'])
        ->toEqualWithDelta(73.0, 8.0);
    $keep()->assertSessionHas('refused', 'This swing is on the Shelf already.');
})->with(DeviceClass::cases());

it('counts a chunk once however often it comes, in any order, and shows what is missing', function () {
    $token = deviceToken($this);
    $s = Swing::simulated(new GolferSpec('order', device: DeviceClass::Mat));
    $session = openCapture($this, $token, $s);
    $chunks = chunksOf($s);
    $send = fn (array $c) => $this->withToken($token)->postJson("/ingest/sessions/$session/chunks", ['chunks' => $c]);
    $lost = array_splice($chunks, 7, 1);
    mt_srand(3);
    shuffle($chunks);
    foreach (array_chunk($chunks, 4) as $batch) {
        $send($batch)->assertOk();
        $send($batch)->assertOk();
    }
    $row = CaptureSession::query()->where('public_id', $session)->sole();
    expect($row->chunks)
        ->toBe(count($chunks))
        ->and($row->repeated)
        ->toBe(count($chunks))
        ->and(CaptureChunk::query()->where('capture_session_id', $row->id)->count())
        ->toBe(count($chunks));
    $trace = $row->trace(0, $row->newest_sample);
    foreach ([0, 35, 200] as $i) {
        expect($trace->channels['lead_pct'][$i])->toEqualWithDelta($s->trace->channels['lead_pct'][$i], 1e-4);
    }
    expect($trace->channels['lead_pct'][75])
        ->toBeNan()
        ->and(implode(' ', app(CaptureLive::class)->of($row->load('device'), $this->headCoach())['warnings']))
        ->toContain('100 ms of the last ten seconds');
    $send($lost)->assertOk();
    expect($row->fresh()->trace(0, $row->newest_sample)->channels['lead_pct'][75])->toEqualWithDelta(
        $s->trace->channels['lead_pct'][75],
        1e-4,
    );
    $changed = $lost;
    $changed[0]['samples'][0][0] = 99.0;
    $send($changed)->assertStatus(409)->assertJsonPath('message', 'Chunk 7 was sent before with other samples.');
});

it('takes what is known of a caught swing with it, and nothing that is no fact', function () {
    $token = deviceToken($this);
    $s = Swing::simulated(new GolferSpec('facts', new Plant([]), device: DeviceClass::Mat));
    $session = openCapture($this, $token, $s);
    foreach (array_chunk(chunksOf($s), 3) as $batch) {
        $this->withToken($token)->postJson("/ingest/sessions/$session/chunks", ['chunks' => $batch])->assertOk();
    }
    $this->withToken($token)->postJson("/ingest/sessions/$session/close")->assertOk();
    $swing = CaughtSwing::query()->sole();
    $this->actingAs($this->headCoach());
    $keep = fn (array $with) => $this->post("/capture/swings/{$swing->public_id}", [
        'golfer' => Golfer::query()->where('handedness', 'right')->value('id'), 'club' => 'wedge', ...$with,
    ]);
    foreach ([['swing' => 'waggle'], ['effort_pct' => '900'], ['has_ball' => 'maybe'], ['club' => '']] as $odd) {
        $keep($odd)->assertSessionHasErrors();
    }
    $keep(['swing' => 'rehearsal', 'shape' => 'draw', 'effort_pct' => '70', 'has_ball' => '0', 'is_cold' => '1',
        'series' => 'bay two'])->assertSessionHas('done');
    expect(Recording::query()->latest('id')->firstOrFail()
        ->only(['club', 'swing', 'shape', 'effort_pct', 'has_ball', 'is_cold', 'series', 'source']))->toBe([
            'club' => 'wedge', 'swing' => 'rehearsal', 'shape' => 'draw', 'effort_pct' => 70, 'has_ball' => false,
            'is_cold' => true, 'series' => 'bay two', 'source' => 'capture',
        ]);
});

it('keeps ten seconds and lets go of what is older', function () {
    $token = deviceToken($this);
    $session = $this->withToken($token)
        ->postJson('/ingest/sessions', [
            'class' => 'mat',
            'rate_hz' => 50,
            'channels' => ['lead_pct', 'trail_pct', 'copx_mm', 'copy_mm'],
        ])
        ->json('session');
    for ($seq = 0; $seq < 40; $seq++) {
        $this->withToken($token)
            ->postJson("/ingest/sessions/$session/chunks", [
                'chunks' => [
                    [
                        'seq' => $seq,
                        'first_sample' => 25 * $seq,
                        'device_s' => $seq / 2,
                        'samples' => array_fill(0, 25, [50.0, 50.0, 0, 0]),
                    ],
                ],
            ])
            ->assertOk();
    }
    $row = CaptureSession::query()->where('public_id', $session)->sole();
    expect(CaptureChunk::query()->where('capture_session_id', $row->id)->count())
        ->toBeBetween(20, 23)
        ->and($row->newest_sample)
        ->toBe(999)
        ->and(CaughtSwing::query()->count())
        ->toBe(0);
});

it(
    'lets nobody in without a token, nor into another device\'s session, nor after the token was taken away',
    function () {
        $token = deviceToken($this);
        $open = ['class' => 'mat', 'rate_hz' => 100, 'channels' => ['lead_pct', 'trail_pct', 'copx_mm', 'copy_mm']];
        $this->flushHeaders()->postJson('/ingest/sessions', $open)->assertUnauthorized();
        $this->withToken('wrong')->postJson('/ingest/sessions', $open)->assertUnauthorized();
        $session = $this->withToken($token)->postJson('/ingest/sessions', $open)->json('session');
        $other = deviceToken($this);
        $chunk = ['chunks' => [['seq' => 0, 'first_sample' => 0, 'device_s' => 0, 'samples' => [[50, 50, 0, 0]]]]];
        $this->withToken($other)
            ->postJson("/ingest/sessions/$session/chunks", $chunk)
            ->assertNotFound();
        $this->withToken($token)
            ->postJson("/ingest/sessions/$session/chunks", $chunk)
            ->assertOk();
        $device = Device::query()->where('token_hash', hash('sha256', $token))->sole();
        $this->actingAs($this->headCoach())
            ->delete("/capture/devices/{$device->public_id}")
            ->assertSessionHas('done');
        $this->withToken($token)
            ->postJson("/ingest/sessions/$session/chunks", $chunk)
            ->assertUnauthorized();
        expect(json_encode(Device::query()->get()))->not->toContain('token_hash');
        foreach (['tam', 'odile'] as $who) {
            $this->flushHeaders()->actingAs($this->person($who))->get('/capture')->assertForbidden();
            $this->actingAs($this->person($who))
                ->getJson("/capture/$session/live")
                ->assertNotFound();
            $this->actingAs($this->person($who))
                ->post('/capture/devices', ['name' => 'x'])
                ->assertForbidden();
        }
    },
);

it('refuses what is no chunk, in a sentence, and takes nothing of it', function (array $chunk, int $status) {
    $token = deviceToken($this);
    $session = $this->withToken($token)
        ->postJson('/ingest/sessions', [
            'class' => 'mat',
            'rate_hz' => 100,
            'channels' => ['lead_pct', 'trail_pct', 'copx_mm', 'copy_mm'],
        ])
        ->json('session');
    $this->withToken($token)
        ->postJson("/ingest/sessions/$session/chunks", [
            'chunks' => [['seq' => 0, 'first_sample' => 0, 'device_s' => 0, 'samples' => [[50, 50, 0, 0]]], $chunk],
        ])
        ->assertStatus($status);
    expect(CaptureChunk::query()->count())->toBe(0);
})->with([
    [['seq' => -1, 'first_sample' => 0, 'device_s' => 0, 'samples' => [[50, 50, 0, 0]]], 422],
    [['seq' => 1, 'first_sample' => 0, 'device_s' => 0, 'samples' => [[50, 50, 0]]], 409],
    [['seq' => 1, 'first_sample' => 0, 'device_s' => 0, 'samples' => [['a', 50, 0, 0]]], 422],
    [['seq' => 1, 'first_sample' => 0, 'device_s' => 0, 'samples' => 'none'], 422],
    [['seq' => 1], 422],
]);

it('refuses a session that lacks what its class needs', function () {
    $this->withToken(deviceToken($this))
        ->postJson('/ingest/sessions', ['class' => 'plate', 'rate_hz' => 500, 'channels' => ['fz_n']])
        ->assertStatus(422)
        ->assertJsonPath('message', 'A force plate sends fx_n, fy_n, mz_nm, copx_mm, copy_mm too.');
});

it('has a simulated device that keeps what was not acknowledged and sends it again', function () {
    $seen = [];
    $calls = 0;
    Http::fake(function ($request) use (&$seen, &$calls) {
        if (str_ends_with($request->url(), '/sessions')) {
            return Http::response(['session' => 'x'], 201);
        }
        if (str_ends_with($request->url(), '/close')) {
            return Http::response([]);
        }
        // The server is gone for a while in the middle.
        if (++$calls > 6 && $calls < 9) {
            return Http::response('', 503);
        }
        foreach ($request->data()['chunks'] as $c) {
            $seen[$c['seq']] = $c['first_sample'];
        }

        return Http::response(['acknowledged' => array_column($request->data()['chunks'], 'seq')]);
    });
    expect(
        Artisan::call('device:simulate', [
            '--token' => 't',
            '--swings' => 1,
            '--fast' => true,
            '--lose' => 0.2,
            '--twice' => 0.2,
            '--shuffle' => true,
        ]),
    )->toBe(0);
    ksort($seen);
    expect(array_keys($seen))
        ->toBe(range(0, count($seen) - 1))
        ->and($seen[5])
        ->toBe(50)
        ->and(Artisan::call('device:simulate', ['--device' => 'scale', '--token' => 't']))
        ->toBe(1)
        ->and(Artisan::call('device:simulate'))
        ->toBe(1)
        ->and(Artisan::call('device:simulate', ['--token' => 't', '--fault' => ['moonwalk:2']]))
        ->toBe(1);
});

it('ends a token in time, and lets the device or the head coach give another', function () {
    Carbon\Carbon::setTestNow('2027-01-01 10:00');
    $token = deviceToken($this);
    $open = ['class' => 'mat', 'rate_hz' => 100, 'channels' => ['lead_pct', 'trail_pct', 'copx_mm', 'copy_mm']];
    $opens = fn (string $with): int => $this->flushHeaders()
        ->withToken($with)
        ->postJson('/ingest/sessions', $open)
        ->getStatusCode();
    expect($opens($token))->toBe(201);
    $session = App\Models\CaptureSession::query()->latest('id')->value('public_id');
    // By the device: both hold for an hour, and what was open goes on.
    $new = $this->withToken($token)->postJson('/ingest/token')->assertOk()->json();
    expect($new['expires_at'])->toBe('2027-06-30T10:00:00Z')
        ->and([$opens($token), $opens($new['token'])])->toBe([201, 201]);
    $chunk = ['chunks' => [['seq' => 0, 'first_sample' => 0, 'device_s' => 0, 'samples' => [[50, 50, 0, 0]]]]];
    $this->withToken($new['token'])->postJson("/ingest/sessions/$session/chunks", $chunk)->assertOk();
    Carbon\Carbon::setTestNow('2027-01-01 11:00:01');
    expect([$opens($token), $opens($new['token'])])->toBe([401, 201]);
    // By the head coach: the one before is gone at once.
    $device = Device::query()->latest('id')->firstOrFail();
    $third = $this->flushHeaders()->actingAs($this->headCoach())->post("/capture/devices/$device->public_id/token")
        ->assertRedirect('/capture')->getSession()->get('token');
    auth()->logout();
    expect([$opens($new['token']), $opens($third)])->toBe([401, 201]);
    Carbon\Carbon::setTestNow('2027-07-10');
    expect($opens($third))->toBe(401);
    $this->flushHeaders()->flushSession();
    $this->actingAs($this->headCoach())->get('/capture')->assertSee('its token ended on 30 June 2027');
    $this->actingAs($this->person('tam'))->post("/capture/devices/$device->public_id/token")->assertNotFound();
    expect(App\Models\AuditEntry::query()->where('action', 'device-renewed')->pluck('user_id')->all())
        ->toBe([null, $this->headCoach()->id]);
});

it('lets a token open only what it is for, and nothing of the pages', function () {
    $this->actingAs($this->headCoach())->post('/capture/devices', ['name' => 'Plate', 'class' => 'plate']);
    $token = session('token');
    auth()->logout();
    $this->flushHeaders()->withToken($token)
        ->postJson(
            '/ingest/sessions',
            ['class' => 'mat', 'rate_hz' => 100, 'channels' => ['lead_pct', 'trail_pct', 'copx_mm', 'copy_mm']],
        )
        ->assertStatus(422)
        ->assertJsonFragment(
            [
                'message' => __(
                    'refusals.capture.other-kind',
                    ['device' => App\Words\Term::device(Core\Trace\DeviceClass::Plate)],
                ),
            ],
        );
    foreach (['/', '/shelf', '/record', '/own/data', '/capture'] as $page) {
        expect($this->withToken($token)->getJson($page)->getStatusCode())->toBe(401, $page);
    }
});

it('counts wrong tokens by where they come from, and requests by device', function () {
    $token = deviceToken($this);
    foreach (range(1, 30) as $i) {
        $this->withToken("guess $i")->postJson('/ingest/sessions')->assertUnauthorized();
    }
    $this->withToken('guess 31')->postJson('/ingest/sessions')->assertStatus(429)->assertHeader('Retry-After');
    // The right one from the same place has to wait as well: who guesses learns nothing from being let in.
    $this->withToken($token)->postJson('/ingest/sessions')->assertStatus(429);
    $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.9'])
        ->withToken($token)
        ->postJson('/ingest/sessions')
        ->assertStatus(422);
});
