<?php

use App\Models\AuditEntry;
use App\Models\Golfer;
use App\Models\Motion;
use App\Models\Recording;
use App\Models\StationMark;
use Core\Codebook\Codebook;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Simulation\Camera;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

function onTheShelf(
    string $seed,
    array $plant = [],
    DeviceClass $device = DeviceClass::DualPlate,
    array $facts = [],
    float $filmLag = 0.0,
): Recording {
    $s = Swing::simulated(new GolferSpec($seed, new Plant($plant), device: $device));
    $m = $s->motion();

    return stored(
        Golfer::query()->where('handedness', 'right')->firstOrFail(),
        ['club' => 'hybrid', 'source' => 'file', ...$facts],
        $s->trace,
        null,
        new CoreMotion($m->rateHz, $m->points, $m->t0 - $filmLag),
    );
}

it('finds the stations of a recording by itself and keeps a hand\'s mark beside them', function () {
    $r = onTheShelf('marks');
    $found = $r->effectiveStations();
    expect($found)->toHaveCount(9)->and($found->pluck('source')->unique()->all())->toBe([StationSource::Motion]);
    $before = $r->measured()->sole()->measurements['impact_share']['value'];
    $t = $found['IM']->t_s - 0.03;
    $this->actingAs($this->headCoach())
        ->post("/bench/{$r->public_id}/stations", ['code' => 'IM', 't_s' => $t])
        ->assertSessionHas('done');
    $r = $r->fresh();
    expect($r->stations()->where('code', 'IM')->count())
        ->toBe(2)
        ->and($r->effectiveStations()['IM']->source)
        ->toBe(StationSource::Hand)
        ->and($r->effectiveStations()['IM']->t_s)
        ->toEqualWithDelta($t, 1e-9)
        ->and($r->measured()->sole()->measurements['impact_share']['value'])
        ->not->toBe($before)
        ->and(AuditEntry::query()->where('action', 'mark')->count())
        ->toBe(1);
    $this->get("/bench/{$r->public_id}")
        ->assertSee('marked by hand')
        ->assertSee('take back');
    $this->post("/bench/{$r->public_id}/stations", ['code' => 'IM'])->assertSessionHas('done');
    expect($r->fresh()->effectiveStations()['IM']->source)
        ->toBe(StationSource::Motion)
        ->and($r->measured()->sole()->measurements['impact_share']['value'])
        ->toBe($before);
});

it('refuses a mark out of order or outside the recording, and changes nothing', function (float $t, string $why) {
    $r = onTheShelf('order');
    $before = $r->measured()->sole()->updated_at;
    $this->actingAs($this->headCoach())
        ->post("/bench/{$r->public_id}/stations", ['code' => 'TP', 't_s' => $t])
        ->assertSessionHas(
            'refused',
            fn (string $s): bool => str_contains($s, $why) && str_contains($s, 'othing was changed'),
        );
    expect(StationMark::query()->where('source', 'hand')->count())
        ->toBe(0)
        ->and($r->measured()->sole()->updated_at->eq($before))
        ->toBeTrue();
})->with([[0.2, 'must come after'], [99.0, 'outside the recording']]);

it('lets nobody but the head coach mark a station or set a clock', function () {
    $r = Recording::query()->firstOrFail();
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who))
            ->post("/bench/{$r->public_id}/stations", ['code' => 'IM', 't_s' => 1.0])
            ->assertNotFound();
        $this->actingAs($this->person($who))
            ->post("/bench/{$r->public_id}/clock", ['by' => 'hand', 'shift' => 0.01])
            ->assertNotFound();
    }
    $this->actingAs($this->headCoach())
        ->post("/bench/{$r->public_id}/clock", ['by' => 'hand'])
        ->assertSessionHasErrors('shift');
    expect(
        fn () => DB::table('station_times')->insert([
            'recording_id' => $r->id,
            'code' => 'AD',
            't_s' => 1,
            'uncertainty_s' => 0.1,
            'source' => 'hand',
        ]),
    )->toThrow(QueryException::class);
});

it(
    'brings the film\'s clock to the trace\'s by the push, by impact and by a frame, and what was seen in the film '
        .'goes with it',
    function () {
        $r = onTheShelf('c1', ['late-load' => 2], DeviceClass::Plate, [], 0.137);
        $filmImpact = $r->effectiveStations()['IM']->t_s;
        $this->actingAs($this->headCoach())
            ->post("/bench/{$r->public_id}/clock", ['by' => 'correlation'])
            ->assertSessionHas('done');
        $r = $r->fresh();
        expect($r->points_offset_s)
            ->toEqualWithDelta(0.137, 0.012)
            ->and($r->points_clock_by)
            ->toBe('correlation')
            ->and($r->effectiveStations()['IM']->t_s - $filmImpact)
            ->toEqualWithDelta($r->points_offset_s, 1e-6)
            ->and($r->views->sole()->toCore($r->pointsClock())->t0)
            ->toEqualWithDelta(-0.137 + $r->points_offset_s, 1e-9);
        $offset = $r->points_offset_s;
        $this->post("/bench/{$r->public_id}/clock", ['by' => 'hand', 'shift' => 1 / 120])->assertSessionHas('done');
        expect($r->fresh()->points_offset_s)->toEqualWithDelta($offset + 1 / 120, 1e-6);
        $this->post("/bench/{$r->public_id}/clock", ['by' => 'impact'])->assertSessionHas('done');
        expect($r->fresh()->points_offset_s)->toEqualWithDelta(0.137, 0.04);
        $bare = stored(
            Golfer::query()->firstOrFail(),
            ['club' => 'hybrid', 'source' => 'file'],
            Swing::simulated(new GolferSpec('no film'))->trace,
        );
        $this->post("/bench/{$bare->public_id}/clock", ['by' => 'impact'])->assertSessionHas(
            'refused',
            fn (string $s): bool => str_contains($s, 'no film'),
        );
    },
);

it(
    'takes up a drift between the clocks: the first frame stays, the last moves by a frame, what was seen between '
        .'goes along',
    function () {
        $r = onTheShelf('c2', ['late-load' => 2], DeviceClass::Plate, [], 0.05);
        $this->actingAs($this->headCoach())
            ->post("/bench/{$r->public_id}/clock", ['by' => 'hand', 'shift' => 0.05])
            ->assertSessionHas('done');
        $r = $r->fresh();
        $film = $r->views->sole();
        $impact = $r->stations()->where('code', 'IM')->where('source', 'motion')->sole()->t_s;
        $this->post("/bench/{$r->public_id}/clock", ['by' => 'drift', 'shift' => 1 / $film->rate_hz])->assertSessionHas(
            'done',
            fn (string $s): bool => str_contains($s, 'parts per million'),
        );
        $r = $r->fresh();
        $before = $film->toCore($r->pointsClock()->drifting(0.0));
        $after = $film->toCore($r->pointsClock());
        $last = fn ($m): float => $m->t0 + ($m->frames() - 1) / $m->rateHz;
        $part = ($impact - $before->t0) / ($last($before) - $before->t0);
        expect($r->points_offset_s)
            ->toEqualWithDelta(0.05, 1e-6)
            ->and($after->t0)
            ->toBe($before->t0)
            ->and($last($after) - $last($before))
            ->toEqualWithDelta(1 / $film->rate_hz, 1e-6)
            ->and($r->stations()->where('code', 'IM')->where('source', 'motion')->sole()->t_s - $impact)
            ->toEqualWithDelta($part / $film->rate_hz, 1e-6)
            ->and($part)
            ->toBeBetween(0.3, 0.95);
        // The offset moved afterwards leaves the drift, and back again is back.
        $this->post("/bench/{$r->public_id}/clock", ['by' => 'hand', 'shift' => 0.01])->assertSessionHas('done');
        expect($r->fresh()->points_drift_ppm)->toBe($r->points_drift_ppm);
        $this->post("/bench/{$r->public_id}/clock", ['by' => 'hand', 'shift' => -0.01]);
        $this->post("/bench/{$r->public_id}/clock", ['by' => 'drift', 'shift' => -1 / $film->rate_hz]);
        expect($r->fresh()->points_drift_ppm)
            ->toEqualWithDelta(0.0, 0.01)
            ->and($r->stations()->where('code', 'IM')->where('source', 'motion')->sole()->t_s)
            ->toEqualWithDelta($impact, 1e-6);
        $this->post("/bench/{$r->public_id}/clock", ['by' => 'drift', 'shift' => 0.9])->assertSessionHas(
            'refused',
            fn (string $s): bool => str_contains($s, 'frame rate'),
        );
        expect($r->fresh()->points_drift_ppm)->toEqualWithDelta(0.0, 0.01);
    },
);

it('switches the lens: other verdicts, other bands, faults that do not count left out', function () {
    $r = onTheShelf('lens', ['late-load' => 2]);
    $page = fn (string $lens) => $this->actingAs($this->headCoach())
        ->get("/bench/{$r->public_id}?lens=$lens")
        ->assertOk();
    expect($r->measured()->sole()->faults['early-recentre']['late-load']['verdict'])
        ->toBe('supported')
        ->and($r->measured()->sole()->faults['loaded-top'])
        ->not->toHaveKey('late-load');
    $page('early-recentre')->assertSee('loads too long')->assertSee('lenses differ');
    $page('loaded-top')->assertDontSee('Loads too long is supported')->assertSee('Do not count under this lens');
    $this->get("/bench/{$r->public_id}?lens=moonwalk")->assertSessionHasErrors('lens');
});

it('shows which shape the feet lean to, beside the shape that is played and the ball that was seen', function () {
    $head = $this->headCoach();
    $r = onTheShelf('leans', ['spin-out' => 3], facts: [
        'shape' => 'soft draw',
        'outcome' => ['start_deg' => 1.0, 'curve_deg' => 6.0, 'height' => 'normal', 'strike' => 'centre'],
    ]);
    $this->actingAs($head)
        ->get("/bench/{$r->public_id}")
        ->assertOk()
        ->assertSee('Which shape the feet lean to')
        ->assertSee('spins out')
        ->assertSee('This golfer plays draw')
        ->assertSee('The ball')
        ->assertSee('A leaning is no fault');
    $mat = onTheShelf('leans not', device: DeviceClass::Mat);
    $mat->motion()->delete();
    $this->get("/bench/{$mat->public_id}")->assertOk();
});

it('opens a verdict to the curve and threshold it came from', function () {
    $r = onTheShelf('curve', ['hang-back' => 3]);
    $this->actingAs($this->headCoach())
        ->get("/bench/{$r->public_id}/why/hang-back")
        ->assertOk()
        ->assertSee('Lead share at impact')
        ->assertSee('rule &lt; 68', false)
        ->assertSee('class="limit"', false)
        ->assertSee('class="curve"', false);
    foreach (Codebook::standard()->keys() as $fault) {
        $this->get("/bench/{$r->public_id}/why/$fault")->assertOk()->assertDontSee('INF')->assertDontSee('NAN');
    }
    $this->get("/bench/{$r->public_id}/why/moonwalk")->assertNotFound();
});

it('shows faults of the instrument with what they touch, and leaves those measures out', function () {
    $s = Swing::simulated(new GolferSpec('broken'));
    $channels = $s->trace->channels;
    $from = (int) (1000 * ($s->stations->t(Station::Top) + 0.02));
    for ($i = $from; $i < $from + 180; $i++) {
        $channels['trail_fz_n'][$i] = $channels['trail_fz_n'][$from];
    }
    $r = stored(
        Golfer::query()->firstOrFail(),
        ['club' => 'hybrid', 'source' => 'file'],
        new Trace($s->trace->device, 1000.0, $channels, $s->stance, 78.0),
        $s->stations,
        $s->motion(),
    );
    $this->actingAs($this->headCoach())
        ->get("/bench/{$r->public_id}")
        ->assertOk()
        ->assertSee('stands still from')
        ->assertSee('Left out')
        ->assertSee('trail force gained after the top');
    $quality = $this->getJson("/bench/{$r->public_id}/evidence")->json('quality');
    expect($quality[0]['kind'])
        ->toBe('stuck')
        ->and($quality[0]['from_s'])
        ->toEqualWithDelta($from / 1000, 0.002)
        ->and($r->measured()->sole()->measurements['level_share']['value'])
        ->toBeNull();
});

it('gives the golfer\'s own spread where a series is held, without the cold swings', function () {
    foreach (range(1, 5) as $i) {
        $last = onTheShelf("series$i", [], DeviceClass::Mat, ['series' => 'after', 'is_cold' => $i === 1]);
    }
    $this->actingAs($this->headCoach())
        ->get("/bench/{$last->public_id}")
        ->assertOk()
        ->assertSee('series “after”, 5 swings')
        ->assertSee('over 4 swings');
});

it('holds film of one view beside 3-D points, each once', function () {
    $s = Swing::simulated(new GolferSpec('views'));
    $r = stored(
        Golfer::query()->firstOrFail(),
        ['club' => 'hybrid', 'source' => 'file'],
        $s->trace,
        null,
        new Views(
            Camera::record($s->motion(), View::FaceOn, 'v'),
            Camera::record($s->motion(), View::DownTheLine, 'v'),
        ),
    );
    expect($r->views()->pluck('view')->all())
        ->toBe(['face-on', 'down-the-line'])
        ->and($r->basis()->held->kinds())
        ->toContain('face-on', 'down-the-line')
        ->not->toContain('points')
        ->and($r->measured()->sole()->measurements['knee_gap_growth']['reason']['code'])
        ->toBe('lack.film-no-knee-gap')
        ->and(
            fn () => DB::transaction(
                fn () => Motion::query()->create([
                    'recording_id' => $r->id,
                    ...Motion::row($s->motion()->seen(View::FaceOn)),
                ]),
            ),
        )
        ->toThrow(QueryException::class);
});

it('keeps codebook versions for good and uses the newest for new work', function () {
    $document = \Core\Codebook\CodebookDocument::standard()->toArray();
    $document['version'] = '3';
    $document['faults']['hang-back']['supported'] = ['impact_share', '<', 90];
    \App\Models\CodebookVersion::query()->create(['version' => '3', 'document' => $document, 'note' => 'stricter']);
    app()->forgetScopedInstances();
    $r = onTheShelf('version');
    expect($r->measured()->sole()->codebook_version)
        ->toBe('3')
        ->and($r->measured()->sole()->faults['early-recentre']['hang-back']['verdict'])
        ->toBe('supported')
        ->and(app(\App\Codebook\Codebooks::class)->of($this->round('Autumn'))->version)
        ->toBe('2')
        // A round that was opened under the version before is read, and its key answers, by that one.
        ->and(app(\App\Codebook\Codebooks::class)->of(
            (new \App\Models\Sitting)->forceFill(['codebook_version' => '1', 'lens' => 'quiet-centre']),
        )->keys())
        ->toHaveCount(22)->not->toContain('lead-leg-leave')
        ->and(fn () => DB::transaction(fn () => DB::table('codebook_versions')->update(['note' => 'changed'])))
        ->toThrow(QueryException::class, 'never changed');
});

it('takes the codebook as a file, edited, as a new version – and one with a fault in it not at all', function () {
    $document = $this->actingAs($this->person('tam'))
        ->get('/codebook/document')
        ->assertOk()
        ->assertHeader('Content-Disposition', 'attachment; filename="codebook-2.json"')
        ->json();
    $send = fn (array $data) => $this->actingAs($this->headCoach())->post('/codebook', [
        'document' => Illuminate\Http\UploadedFile::fake()->createWithContent('c.json', json_encode($data)),
        'note' => 'stricter on hanging back',
    ]);
    $rule = $document['faults']['hang-back']['supported'];
    $send($document)->assertSessionHas('refused', fn (string $m): bool => str_contains($m, "a version '2' already"));
    $document['version'] = '2.1';
    $document['faults']['hang-back']['supported'] = ['impact_share', '<', 'low'];
    $send($document)->assertSessionHas(
        'refused',
        fn (string $m): bool => str_contains($m, "fault 'hang-back', 'supported'") &&
            str_contains($m, 'Nothing was stored'),
    );
    // It can be read, and would call hanging back what lies inside its band.
    $document['faults']['hang-back']['supported'] = ['impact_share', '<', 90];
    $send($document)->assertSessionHas('refused', fn (string $m): bool => str_contains($m, 'lie inside their bands'));
    $document['faults']['hang-back']['supported'] = $rule;
    $document['faults']['hang-back']['supported'][1][2] -= 1;
    $send($document)->assertSessionHas('done');
    app()->forgetScopedInstances();
    $this->get('/codebook')
        ->assertOk()
        ->assertSee('Codebook, version 2.1')
        ->assertSee('stricter on hanging back')
        ->assertSee('lead share at impact &lt; '.$rule[1][2] - 1, false)
        // As it was sent, not as a database would sort it.
        ->assertSeeInOrder(['early recentre', 'loaded top', 'quiet centre']);
    expect(app(\App\Codebook\Codebooks::class)->document()->under('early-recentre')->keys())
        ->toBe(\Core\Codebook\Codebook::standard()->keys());
    $this->actingAs($this->person('tam'))->post('/codebook', [])->assertForbidden();
    expect(App\Models\CodebookVersion::query()->count())->toBe(1);
});

it('says what was done until the page has been shown with the new measures', function () {
    Illuminate\Support\Facades\Queue::fake();
    $r = Recording::query()->firstOrFail();
    $t = $r->effectiveStations()['IM']->t_s + 0.004;
    $this->actingAs($this->headCoach())
        ->post("/bench/{$r->public_id}/stations", ['code' => 'IM', 't_s' => $t])
        ->assertSessionHas('done');
    $page = fn () => $this->get("/bench/{$r->public_id}", ['Sec-Fetch-Dest' => 'document'])->assertOk();
    $page()->assertSee('It is being measured anew')->assertSee('Marked. Everything is measured anew');
    App\Models\Work::query()->update(['state' => 'done', 'progress' => 1]);
    $page()->assertDontSee('It is being measured anew')->assertSee('Marked. Everything is measured anew');
    $page()->assertDontSee('Marked. Everything is measured anew');
});
