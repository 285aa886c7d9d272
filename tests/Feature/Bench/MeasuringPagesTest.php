<?php

use App\Bench\Pages\BenchPage;
use App\Bench\Pages\MeasurementRows;
use App\Bench\Pages\VerdictCurves;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Shelf\Actions\MeasureRecording;
use Core\Codebook\CodebookDocument;
use Core\Drawing\RuleChart;
use Core\Measurement\Measure;
use Core\Motion\Station;
use Illuminate\Support\Facades\Route;

it('shows measuring to the head coach alone: no route of it opens for anybody else', function () {
    $recording = Recording::query()->orderByDesc('id')->firstOrFail();
    $get = ['/capture', '/shelf'];
    $post = [
        "/bench/{$recording->public_id}/stations",
        "/bench/{$recording->public_id}/clock",
        '/imports',
        '/capture/devices',
        '/codebook',
    ];
    foreach (['tam', 'odile'] as $who) {
        foreach ($get as $path) {
            $this->actingAs($this->person($who))->get($path)->assertForbidden();
        }
        foreach ($post as $path) {
            expect($this->actingAs($this->person($who))->post($path, [])->status())->toBe(
                str_starts_with($path, '/bench/') ? 404 : 403,
                $path,
            );
        }
    }
    auth()->logout();
    foreach ($get as $path) {
        $this->get($path)->assertRedirect('/login');
    }
});

it('guards every route but log-in, health and the devices\' own by a log-in', function () {
    // What is behind a letter's link asks for the link; a statement of readiness for its code.
    $open = ['login', 'login/code', 'forgotten', 'up', 'storage/{path}', 'verify',
        'begin/{token}', 'invited/{token}', 'reset/{token}', 'address/{token}'];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array($route->uri(), $open, true) || str_starts_with($route->uri(), 'ingest/')) {
            continue;
        }
        expect(str_contains(implode(' ', $route->gatherMiddleware()), 'auth'))->toBeTrue($route->uri());
    }
});

it('draws for every verdict that could be decided the curve, the threshold and the value on it', function () {
    $curves = app(VerdictCurves::class);
    $drawn = 0;
    foreach (Recording::query()->get() as $recording) {
        $set = app(MeasureRecording::class)($recording);
        foreach (array_keys(CodebookDocument::standard()->lenses()) as $lens) {
            foreach ($set->faults[$lens] as $fault => $verdict) {
                $charts = $curves->of($recording, $fault, $lens, $this->headCoach());
                expect($charts)->toHaveCount(count($verdict['deciding']));
                foreach (array_filter(array_column($charts, 'chart')) as $chart) {
                    $drawn++;
                    expect($chart->curve)->toMatch('/^M[\d. ]+(L[\d. ]+)+$/');
                    foreach (['level' => RuleChart::HEIGHT, 'moment' => RuleChart::WIDTH] as $name => $most) {
                        if ($chart->$name !== null) {
                            expect($chart->$name)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual($most);
                        }
                    }
                    if ($chart->dot !== null) {
                        expect($chart->dot[0])->toBeGreaterThanOrEqual(30.0)->toBeLessThanOrEqual(380.0);
                    }
                }
            }
        }
    }
    expect($drawn)->toBeGreaterThan(300);
});

it('lists what the lens says of each measure, and only bands that the lens has', function (string $lens) {
    $recording = Recording::query()->where('device_class', 'dual-plate')->firstOrFail();
    $page = app(BenchPage::class)->of($recording, $lens, $this->headCoach());
    $codebook = app(App\Codebook\Codebooks::class)->current(
        $lens,
        $recording->club,
        $recording->swing,
        Core\Codebook\SwingSize::ofSwing($recording->size, $recording->club),
    );
    $scale = $codebook->scale($recording->stationTimes());
    $bands = [];
    foreach ($codebook->lens->bands as $name => $ends) {
        $measure = Core\Measurement\Measure::from(explode('@', $name)[0]);
        $bands[$name] = [$scale->threshold($measure, $ends[0]), $scale->threshold($measure, $ends[1])];
    }
    foreach ($page['rows'] as $row) {
        if ($row['band'] !== null) {
            expect(
                array_filter(
                    $bands,
                    static fn (array $b, string $name): bool => explode('@', $name)[0] === $row['key'] &&
                        $b === $row['band'],
                    ARRAY_FILTER_USE_BOTH,
                ),
            )->not->toBe([]);
        }
        if ($row['scale'] !== null) {
            expect($row['scale'][0])->toBeLessThan($row['scale'][1]);
        }
    }
    expect(array_filter(array_column($page['rows'], 'group')))->toHaveCount(count(MeasurementRows::GROUPS));
})->with(['early-recentre', 'loaded-top', 'quiet-centre']);

it('explains every measure and every word on the codebook page, and links to them from the Bench', function () {
    $page = $this->actingAs($this->person('tam'))->get('/codebook')->assertOk();
    foreach (Measure::cases() as $measure) {
        $page->assertSee('id="m-'.$measure->value.'"', false)->assertSee(App\Words\Term::measure($measure));
    }
    foreach (__('glossary') as $entry) {
        expect($entry['means'])->toMatch('/^[A-Z].*\.$/');
        $page->assertSee($entry['word'])->assertSee($entry['means']);
    }
    $recording = Recording::query()->firstOrFail();
    $bench = $this->actingAs($this->headCoach())->get("/bench/{$recording->public_id}")->assertOk();
    foreach (['impact_share', 'trail_jump', 'chest_first', 'knee_gap_growth'] as $key) {
        $bench->assertSee("#m-$key", false);
    }
    $this->actingAs($this->person('tam'))
        ->get('/codebook?lens=quiet-centre')
        ->assertOk()
        ->assertSee('The centre hardly leaves the lead side')
        ->assertDontSee('<section id="late-load">', false);
});

it('shows every station with where its time comes from, and every clock', function () {
    foreach (Recording::query()->limit(3)->get() as $recording) {
        $page = $this->actingAs($this->headCoach())->get("/bench/{$recording->public_id}")->assertOk();
        foreach (Station::cases() as $station) {
            $page->assertSee('title="'.e(ucfirst(App\Words\Term::stationDefinition($station))).'"', false);
        }
        $page->assertSee('body points')->assertSee('parts per million')->assertSee('+ frame');
        if ($recording->deviceClass()->measuresForce()) {
            $page->assertSee('match by the push');
        } else {
            $page->assertDontSee('match by the push');
        }
    }
});

it('plans a round under any lens, and asks only the faults that count under it', function () {
    $panel = App\Models\User::query()->where('role', 'panel')->pluck('id')->all();
    $this->actingAs($this->headCoach())
        ->post('/rounds', [
            'name' => 'Loaded study',
            'kind' => 'panel',
            'lens' => 'loaded-top',
            'show' => 'both',
            'recordings' => Recording::query()->limit(2)->pluck('id')->all(),
            'members' => $panel,
        ])
        ->assertSessionHasNoErrors();
    $round = $this->round('Loaded study');
    expect($round->lens)
        ->toBe('loaded-top')
        ->and(app(App\Codebook\Codebooks::class)->of($round)->keys())
        ->toHaveCount(25);
    $this->post("/rounds/{$round->public_id}/open")->assertSessionHas('done');
    $member = App\Models\User::query()->findOrFail($panel[0]);
    $reading = App\Models\Reading::query()
        ->where('user_id', $member->id)
        ->whereHas('case', fn ($q) => $q->where('sitting_id', $round->id))
        ->firstOrFail();
    $this->actingAs($member)
        ->get("/read/{$reading->public_id}")
        ->assertOk()
        ->assertSee('of 25 called')
        ->assertDontSee('<section id="late-load">', false);
    $this->actingAs($member)
        ->postJson(
            "/read/{$reading->public_id}/changes",
            $this->changes(['call:late-load' => ['presence' => 'absent']]),
        )
        ->assertOk()
        ->assertJsonPath('applied', [])
        ->assertJsonPath('refused.0.because', "The codebook has no fault 'late-load'.");
    $this->actingAs($this->headCoach())
        ->post('/rounds', [
            'name' => 'x',
            'kind' => 'panel',
            'lens' => 'moonwalk',
            'show' => 'both',
            'recordings' => [1],
            'members' => $panel,
        ])
        ->assertSessionHasErrors('lens');
});

it('keeps nothing of an import that was left for a week', function () {
    $old = PendingImport::query()->create([
        'user_id' => $this->headCoach()->id,
        'golfer_id' => App\Models\Golfer::query()->value('id'),
        'format' => 'csv',
        'file_name' => 'old.csv',
        'path' => 'imports/old',
        'checksum' => str_repeat('a', 64),
        'settings' => [],
    ]);
    $old->forceFill(['created_at' => now()->subDays(8)])->save();
    $this->actingAs($this->headCoach())->post('/imports', [
        'golfer' => App\Models\Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'trace' => Illuminate\Http\UploadedFile::fake()->createWithContent('new.csv', "t_s,a\n"),
    ]);
    expect(PendingImport::query()->pluck('file_name')->all())->toBe(['new.csv']);
});
