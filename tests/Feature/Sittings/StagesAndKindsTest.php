<?php

use App\Models\Call;
use App\Models\CaseSwing;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Sight\Onlooker;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Reading\CaseKind;
use Core\Sight\SittingKind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Three dual-plate swings made one golfer's series, the first of them cold. */
function aSeries(): array
{
    $swings = Recording::query()->where('device_class', 'dual-plate')->orderBy('id')->take(3)->get();
    foreach ($swings as $i => $swing) {
        $swing->update(['golfer_id' => $swings[0]->golfer_id, 'series' => 'evening', 'is_cold' => $i === 0]);
    }

    return $swings->pluck('id')->all();
}

/** A panel study over these cases, read, closed and published. */
function studied(object $test, array $groups, array $present = []): Sitting
{
    $panel = collect(['odile', 'piet', 'ros'])->map(fn (string $who) => $test->person($who));
    $round = app(PlanRound::class)(
        'Study of several',
        SittingKind::Panel,
        [],
        $panel->pluck('id')->all(),
        'both',
        $test->headCoach(),
        groups: $groups,
    );
    app(OpenRound::class)($round, $test->headCoach());
    app(Onlookers::class)->forget();
    foreach (
        Reading::query()
            ->whereIn('sitting_case_id', $round->cases()->pluck('id'))
            ->with('user', 'case')
            ->get() as $reading
    ) {
        $test
            ->actingAs($reading->user)
            ->postJson(
                "/read/{$reading->public_id}/changes",
                $test->changes(withTrends($test->sheet($present), $reading->case->kind)),
            )
            ->assertOk()
            ->assertJsonPath('refused', []);
        $test
            ->actingAs($reading->user)
            ->post("/read/{$reading->public_id}/hand-in")
            ->assertSessionHas('done');
    }
    $test->actingAs($test->headCoach())->post("/rounds/{$round->public_id}/close")->assertSessionHas('done');
    $test->actingAs($test->headCoach())->post("/rounds/{$round->public_id}/publish")->assertSessionHas('done');

    return $round->refresh();
}

function withTrends(array $sheet, CaseKind $kind): array
{
    return array_map(
        fn ($v) => $kind === CaseKind::Pair && ($v['presence'] ?? '') === 'present' ? [...$v, 'trend' => 'better'] : $v,
        $sheet,
    );
}

/** A staff round over these cases, open for Tam. */
function givenToTam(
    object $test,
    array $groups,
    bool $reveals = false,
    string $show = 'both',
    array $recordings = [],
): Reading {
    $round = app(PlanRound::class)(
        'Several swings',
        SittingKind::Round,
        $recordings,
        [$test->person('tam')->id],
        $show,
        $test->headCoach(),
        groups: $groups,
        reveals: $reveals,
    );
    app(OpenRound::class)($round, $test->headCoach());
    app(Onlookers::class)->forget();

    return Reading::query()
        ->where('user_id', $test->person('tam')->id)
        ->whereIn('sitting_case_id', $round->cases()->pluck('id'))
        ->firstOrFail();
}

it('plans series and pairs from the page, in order, and shows them', function () {
    $series = aSeries();
    $this->actingAs($this->headCoach())
        ->get('/rounds/plan')
        ->assertOk()
        ->assertSee('3 swings, two force plates, 1 cold');
    $this->actingAs($this->headCoach())
        ->post('/rounds', [
            'name' => 'From the page',
            'kind' => 'round',
            'show' => 'both',
            'reveals' => '1',
            'series' => [implode(',', $series)],
            'pairs' => [
                ['before' => (string) $series[2], 'after' => (string) $series[1]],
                ['before' => '', 'after' => ''],
            ],
            'members' => [$this->person('tam')->id],
        ])
        ->assertSessionHas('done');
    $round = $this->round('From the page');
    expect($round->reveals)
        ->toBeTrue()
        ->and(
            $round
                ->cases()
                ->with('swings')
                ->orderBy('id')
                ->get()
                ->map(
                    fn (SittingCase $c): string => $c->kind->value.
                        ':'.
                        $c->swings->pluck('recording_id')->implode(','),
                )
                ->all(),
        )
        ->toBe(['series:'.implode(',', $series), "pair:{$series[2]},{$series[1]}"]);
    $this->get("/rounds/{$round->public_id}")
        ->assertOk()
        ->assertSee('with a second look')
        ->assertSee('1, cold')
        ->assertSee('before');
});

it('asks of a ladder where the change breaks, and holds its key to the swing before it', function () {
    $series = aSeries();
    $head = $this->headCoach();
    $this->actingAs($head)->get('/rounds/plan')->assertOk()->assertSee('One ladder');
    $this->actingAs($head)->post('/rounds', [
        'name' => 'A ladder', 'kind' => 'panel', 'show' => 'both', 'members' => [$this->person('odile')->id],
        'ladder' => [...array_map(strval(...), $series), '', ''],
    ])->assertSessionHas('done');
    $round = $this->round('A ladder');
    $case = $round->cases()->with('swings.recording')->sole();
    expect($case->kind)->toBe(CaseKind::Ladder)
        ->and($case->swings->pluck('recording_id')->all())->toBe($series)
        ->and($case->swings->map(fn (CaseSwing $s): string => $case->swingName($s))->all())
        ->toBe(['before', '2, full', '3, full']);
    app(OpenRound::class)($round, $head);
    app(Onlookers::class)->forget();
    $reading = Reading::query()->where('sitting_case_id', $case->id)->sole();
    $this->actingAs($this->person('odile'))
        ->get("/read/{$reading->public_id}")
        ->assertOk()
        ->assertSee('say where the change breaks')
        ->assertSee('it holds to the end');
    $this->postJson("/read/{$reading->public_id}/changes", $this->changes($this->sheet()))->assertOk();
    $this->post("/read/{$reading->public_id}/hand-in")
        ->assertSessionHas('refused', fn (string $said): bool => str_contains($said, 'Where the change breaks'));
    $this->postJson("/read/{$reading->public_id}/changes", $this->changes(['breaks' => 3], 90))->assertOk();
    $this->post("/read/{$reading->public_id}/hand-in")->assertSessionHas('done');
    expect($reading->refresh()->breaks)->toBe(3);
});

it('refuses swings that make no case, in a sentence, and stores nothing', function (Closure $change, string $says) {
    $series = aSeries();
    $count = Sitting::query()->count();
    $this->actingAs($this->headCoach())
        ->post('/rounds', [
            ...['name' => 'No case', 'kind' => 'round', 'show' => 'both', 'members' => [$this->person('tam')->id]],
            ...$change($series),
        ])
        ->assertSessionHas('refused', fn (string $said): bool => str_contains($said, $says));
    expect(Sitting::query()->count())->toBe($count);
})->with([
    'one swing twice' => [fn ($s) => ['pairs' => [['before' => $s[0], 'after' => $s[0]]]], 'stands in a case once'],
    'another golfer' => [
        fn ($s) => [
            'pairs' => [
                [
                    'before' => $s[0],
                    'after' => Recording::query()
                        ->where('golfer_id', '<>', Recording::query()->find($s[0])->golfer_id)
                        ->value('id'),
                ],
            ],
        ],
        'of one golfer',
    ],
    'the same case twice' => [
        fn ($s) => ['pairs' => [['before' => $s[0], 'after' => $s[1]], ['before' => $s[0], 'after' => $s[1]]]],
        'are the same',
    ],
    'a short ladder' => [fn ($s) => ['ladder' => [$s[0], $s[1]]], 'three to five'],
    'too few' => [fn ($s) => ['series' => [implode(',', [$s[0], 999_999_999, 999_999_998])]], 'is not there'],
]);

it('takes a half pair for a slip, and wants a case', function () {
    $this->actingAs($this->headCoach())
        ->post('/rounds', [
            'name' => 'Half',
            'kind' => 'round',
            'show' => 'both',
            'pairs' => [['before' => aSeries()[0], 'after' => '']],
            'members' => [$this->person('tam')->id],
        ])
        ->assertSessionHasErrors('pairs.0.after');
    $this->actingAs($this->headCoach())
        ->post('/rounds', [
            'name' => 'None',
            'kind' => 'round',
            'show' => 'both',
            'members' => [$this->person('tam')->id],
        ])
        ->assertSessionHasErrors('recordings');
});

it('grades a series by its warm swings, and scores it only against a key of the same swings', function () {
    $series = aSeries();
    $study = studied($this, [['kind' => CaseKind::Series, 'recordings' => $series]]);
    $key = $study->keys()->sole();
    expect(
        $key
            ->entries()
            ->distinct()
            ->with('case.swings')
            ->get()
            ->map(fn ($e) => $e->case->swings->pluck('recording_id')->all())
            ->unique()
            ->all(),
    )
        ->toBe([$series])
        ->and(
            $key
                ->entries()
                ->where('judgement->why->code', 'ground.most-swings')
                ->where('judgement->why->with->held', 2)
                ->count(),
        )
        ->toBeGreaterThan(5);
    $reading = givenToTam($this, [['kind' => CaseKind::Series, 'recordings' => $series]]);
    expect($reading->case->sitting->key_version_id)->toBe($key->id);
    // The single swing is asked about in the winter study, not in this one.
    $single = givenToTam($this, [], recordings: [$series[0]]);
    expect($single->case->sitting->key_version_id)->not->toBe($key->id);
    expect(fn () => givenToTam($this, [['kind' => CaseKind::Pair, 'recordings' => [$series[1], $series[2]]]]))->toThrow(
        App\Exceptions\ActionException::class,
        'covers every case',
    );
});

it('gives every swing of the case to whom it was dealt, each by its place, and no other', function () {
    $series = aSeries();
    studied($this, [['kind' => CaseKind::Series, 'recordings' => $series]]);
    $reading = givenToTam($this, [['kind' => CaseKind::Series, 'recordings' => $series]], show: 'trace');
    $this->actingAs($this->person('tam'));
    $page = $this->get("/read/{$reading->public_id}")
        ->assertOk()
        ->assertSee('judged as a whole')
        ->assertSee('1, cold')
        ->assertSee("/read/{$reading->public_id}/evidence/3")
        ->assertDontSee('Your own times');
    foreach ($reading->case->load('swings.recording')->swings as $swing) {
        $page->assertDontSee($swing->recording->public_id);
        $json = $this->getJson("/read/{$reading->public_id}/evidence/{$swing->position}")->assertOk()->json();
        expect($json['motion'])->toBeNull()->and($json['films'])->toBe([])->and($json['trace'])->not->toBeNull();
        $this->get("/bench/{$swing->recording->public_id}")->assertNotFound();
        $this->get("/bench/{$swing->recording->public_id}/evidence")->assertNotFound();
        foreach (['face-on', 'down-the-line'] as $view) {
            $this->get("/read/{$reading->public_id}/film/{$swing->position}/$view/stream")->assertNotFound();
        }
    }
    $this->getJson("/read/{$reading->public_id}/evidence/4")->assertNotFound();
    $this->getJson("/read/{$reading->public_id}/evidence/0")->assertNotFound();
    $this->actingAs($this->person('kit'))->getJson("/read/{$reading->public_id}/evidence/2")->assertNotFound();
});

it('wants to hear of a pair whether it became better, and keeps it', function () {
    $pair = array_slice(aSeries(), 0, 2);
    studied($this, [['kind' => CaseKind::Pair, 'recordings' => $pair]], ['sway']);
    $reading = givenToTam($this, [['kind' => CaseKind::Pair, 'recordings' => $pair]]);
    $this->actingAs($this->person('tam'))
        ->get("/read/{$reading->public_id}")
        ->assertOk()
        ->assertSee('before and after')
        ->assertSee('name="trend"', false);
    $sheet = $this->sheet(['sway']);
    $sheet['call:sway']['pins'] = [['on' => 'film', 't' => 1.2, 'swing' => 2]];
    $this->postJson("/read/{$reading->public_id}/changes", $this->changes($sheet))->assertJsonPath('refused', []);
    $this->post("/read/{$reading->public_id}/hand-in")->assertSessionHas(
        'refused',
        'Drifting off the ball is not yet said to be better, the same or worse.',
    );
    $this->postJson(
        "/read/{$reading->public_id}/changes",
        $this->changes(['call:sway' => [...$sheet['call:sway'], 'trend' => 'worse']], 24),
    );
    $this->post("/read/{$reading->public_id}/hand-in")->assertSessionHas('done');
    $call = Call::query()->where('reading_id', $reading->id)->where('fault', 'sway')->sole();
    expect($call->trend)
        ->toBe(Core\Reading\Trend::Worse)
        ->and($call->pins)
        ->toEqual([['on' => 'film', 't' => 1.2, 'swing' => 2]]);
});

it('keeps both looks: the first blind and locked, the second with the ball and the numbers', function () {
    $recording = $this->round('Spring')->cases()->with('recording')->firstOrFail()->recording;
    $says = App\Words\Term::flight($recording->flight());
    $reading = givenToTam($this, [], true, 'both', [$recording->id]);
    $tam = $this->person('tam');
    $this->actingAs($tam)
        ->get("/read/{$reading->public_id}")
        ->assertOk()
        ->assertDontSee('The ball, and the numbers')
        ->assertDontSee(ucfirst($says))
        ->assertDontSee('data-do="pin-ball"', false);
    $this->postJson("/read/{$reading->public_id}/changes", $this->changes($this->sheet(['sway'], ['cue' => 'stay'])));
    $this->post("/read/{$reading->public_id}/hand-in")->assertSessionHas('done');
    $again = Reading::query()->where('sitting_case_id', $reading->sitting_case_id)->where('stage', 'reveal')->sole();
    expect($again->cue)
        ->toBe('stay')
        ->and($again->version)
        ->toBe(0)
        ->and($again->calls()->count())
        ->toBe(28)
        ->and($again->handed_in_at)
        ->toBeNull();
    $this->get('/')->assertOk()->assertSee('Second look');
    $this->get("/read/{$again->public_id}")
        ->assertOk()
        ->assertSee('The ball, and the numbers')
        ->assertSee(ucfirst($says))
        ->assertSee('What was measured')
        ->assertSee('data-do="pin-ball"', false);
    $this->postJson(
        "/read/{$again->public_id}/changes",
        $this->changes(['call:sway' => ['presence' => 'absent'], 'causes' => []]),
    )->assertJsonPath('refused', []);
    $this->post("/read/{$again->public_id}/hand-in")->assertSessionHas('done');
    expect($reading->calls()->where('fault', 'sway')->value('presence'))
        ->toBe(Core\Reading\Presence::Present)
        ->and($again->calls()->where('fault', 'sway')->value('presence'))
        ->toBe(Core\Reading\Presence::Absent);
    $this->actingAs($this->headCoach())
        ->get("/rounds/{$reading->case->sitting->public_id}")
        ->assertOk()
        ->assertSee('Knowing the result changed 1 of 28 calls')
        ->assertSee('1 became absent.')
        ->assertSee('named otherwise in 1.');
    // What counts is the blind one.
    expect($reading->case->sitting->readings()->count())->toBe(1);
    $this->actingAs($this->headCoach())->get("/read/{$again->public_id}")->assertNotFound();
});

it('holds a second look back while one of its swings waits to be read blind elsewhere', function () {
    $recording = $this->round('Spring')->cases()->with('recording')->firstOrFail()->recording;
    $reading = givenToTam($this, [], true, 'both', [$recording->id]);
    $tam = $this->person('tam');
    $this->actingAs($tam)->postJson("/read/{$reading->public_id}/changes", $this->changes($this->sheet([])));
    $this->post("/read/{$reading->public_id}/hand-in")->assertSessionHas('done');
    $again = Reading::query()->where('sitting_case_id', $reading->sitting_case_id)->where('stage', 'reveal')->sole();
    Sitting::query()->whereKey($reading->case->sitting_id)->update(['name' => 'The first']);
    $other = givenToTam($this, [], false, 'both', [$recording->id]);
    foreach (['', '/evidence/1', '/film/1/face-on/stream'] as $part) {
        $this->actingAs($tam)->get("/read/{$again->public_id}$part")->assertStatus(409);
    }
    $this->postJson("/read/{$other->public_id}/changes", $this->changes($this->sheet([])));
    $this->post("/read/{$other->public_id}/hand-in")->assertSessionHas('done');
    $this->get("/read/{$again->public_id}")->assertOk();
});

it('holds the rules of cases in the database', function (string $sql) {
    $case = SittingCase::query()->firstOrFail();
    expect(CaseSwing::query()->where('case_id', $case->case_id)->sole()->recording_id)->toBe($case->recording->id);
    expect(
        fn () => DB::transaction(
            fn () => DB::statement(str_replace([':case', ':recording'], [$case->case_id, $case->recording->id], $sql)),
        ),
    )->toThrow(QueryException::class);
})->with([
    "update cases set kind = 'crowd' where id = :case",
    'insert into case_swings (case_id, recording_id, position) values (:case, :recording, 2)',
    'insert into case_swings (case_id, recording_id, position) values (:case, 999999999, 2)',
    'insert into case_swings (case_id, recording_id, position) select :case, max(id), 7 from recordings',
]);

it('shows the ball and the numbers of every swing of a series, but no verdict and no key', function () {
    $series = aSeries();
    studied($this, [['kind' => CaseKind::Series, 'recordings' => $series]], ['sway']);
    $reading = givenToTam($this, [['kind' => CaseKind::Series, 'recordings' => $series]], reveals: true);
    $this->actingAs($this->person('tam'))->postJson(
        "/read/{$reading->public_id}/changes",
        $this->changes($this->sheet([])),
    );
    $this->post("/read/{$reading->public_id}/hand-in")->assertSessionHas('done');
    $again = Reading::query()->where('sitting_case_id', $reading->sitting_case_id)->where('stage', 'reveal')->sole();
    $looks = app(App\Sittings\Pages\SecondLook::class)->of($again->fresh(['case.swings.recording']));
    expect(array_column($looks['swings'], 'name'))
        ->toBe(['1, cold', '2', '3'])
        ->and(app(App\Sittings\Pages\SecondLook::class)->of($reading->fresh()))
        ->toBeNull();
    $impact = App\Words\Term::measure(Core\Measurement\Measure::ImpactShare);
    $row = collect($looks['rows'])->firstWhere('label', $impact);
    foreach ($looks['swings'] as $i => $look) {
        $measured = Recording::query()->find($series[$i])->measured()->first()->measurements['impact_share'];
        expect($row['values'][$i])->toBe(number_format($measured['value'], 0));
    }
    $page = $this->get("/read/{$again->public_id}")->assertOk();
    foreach (['supported', 'contradicted', 'borderline', 'verified', 'panel only'] as $word) {
        $page->assertDontSee($word);
    }
});

it('leads past a second look that has to wait, and comes back to it', function () {
    $recording = $this->round('Spring')->cases()->with('recording')->firstOrFail()->recording;
    $tam = $this->person('tam');
    $first = givenToTam($this, [], true, 'both', [$recording->id]);
    $this->actingAs($tam)->postJson("/read/{$first->public_id}/changes", $this->changes($this->sheet([])));
    $this->post("/read/{$first->public_id}/hand-in");
    $again = Reading::query()->where('sitting_case_id', $first->sitting_case_id)->where('stage', 'reveal')->sole();
    $sees = fn (Reading $r): bool => ! (new Onlooker($tam))->ofReading($r->fresh())->isNothing();
    expect($sees($again))->toBeTrue()->and($sees($first))->toBeTrue();
    $other = givenToTam($this, [], false, 'both', [$recording->id]);
    expect($sees($again))->toBeFalse();
    // Everything else of Tam's handed in: the next is the blind one, then the second look.
    Reading::query()
        ->where('user_id', $tam->id)
        ->whereNotIn('id', [$again->id, $other->id])
        ->whereNull('handed_in_at')
        ->update(['handed_in_at' => now()]);
    $this->get('/read/next')->assertRedirect("/read/{$other->public_id}");
    $this->postJson("/read/{$other->public_id}/changes", $this->changes($this->sheet([])));
    $this->post("/read/{$other->public_id}/hand-in");
    $this->get('/read/next')->assertRedirect("/read/{$again->public_id}");
});

it('ends with the consent of the golfer, whichever swing is asked for', function () {
    $series = aSeries();
    studied($this, [['kind' => CaseKind::Series, 'recordings' => $series]]);
    $reading = givenToTam($this, [['kind' => CaseKind::Series, 'recordings' => $series]]);
    $this->actingAs($this->person('tam'))->getJson("/read/{$reading->public_id}/evidence/3")->assertOk();
    Recording::query()->find($series[0])->golfer->consents()->update(['withdrawn_at' => now()]);
    foreach (['', '/evidence/1', '/evidence/3', '/film/2/face-on/stream'] as $part) {
        $this->get("/read/{$reading->public_id}$part")->assertStatus(410);
    }
});

it('names the release by what is shipped, so that a browser lets go of an older one', function () {
    $now = App\Http\Release::current();
    // On a copy: what is shipped is what other tests, beside this one, compare their pages by.
    $copy = sys_get_temp_dir().'/release-'.getmypid();
    File::ensureDirectoryExists("$copy/js/bench");
    $file = "$copy/js/bench/page.js";
    try {
        File::put($file, '// one');
        touch($file, 1_700_000_000);
        $then = App\Http\Release::of($copy);
        touch($file, 1_700_000_060);
        clearstatcache();
        expect($now)->toMatch('/^[0-9a-f]{12}$/')->and(App\Http\Release::of($copy))->not->toBe($then);
        touch($file, 1_700_000_000);
        clearstatcache();
        expect(App\Http\Release::of($copy))->toBe($then);
    } finally {
        File::deleteDirectory($copy);
    }
    $this->get('/login')->assertOk()->assertSee('<meta name="release" content="'.$now.'">', false);
});

it('counts what knowing the result changed, by what the calls became', function () {
    $bias = app(App\Sittings\Pages\OutcomeBias::class);
    expect($bias->of($this->round('Spring')))->toBeNull();
    $recording = $this->round('Spring')->cases()->with('recording')->firstOrFail()->recording;
    $reading = givenToTam($this, [], true, 'both', [$recording->id]);
    $this->actingAs($this->person('tam'))->postJson(
        "/read/{$reading->public_id}/changes",
        $this->changes($this->sheet(['sway', 'no-load'])),
    );
    $this->post("/read/{$reading->public_id}/hand-in");
    // A second look that is open does not count yet.
    expect($bias->of($reading->case->sitting))->toBeNull();
    $again = Reading::query()->where('sitting_case_id', $reading->sitting_case_id)->where('stage', 'reveal')->sole();
    $this->postJson(
        "/read/{$again->public_id}/changes",
        $this->changes([
            'call:no-load' => ['presence' => 'cannot-tell'],
            'call:hang-back' => ['presence' => 'present', 'severity' => 1],
            'call:late-load' => ['presence' => 'present', 'severity' => 2],
            'call:spin-out' => ['presence' => 'absent', 'confidence' => 50],
        ]),
    )->assertJsonPath('refused', []);
    $this->post("/read/{$again->public_id}/hand-in")->assertSessionHas('done');
    expect($bias->of($reading->case->sitting))->toBe([
        'looks' => 1,
        'calls' => 28,
        'changed' => 3,
        'to' => ['cannot-tell' => 1, 'present' => 2],
        'causes' => 0,
    ]);
});
