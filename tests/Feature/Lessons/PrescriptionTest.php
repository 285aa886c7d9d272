<?php

use App\Models\Consent;
use App\Models\Exposure;
use App\Models\GolferLimit;
use App\Models\Prescription;
use App\Models\Reading;
use App\Sight\Onlookers;
use Core\Codebook\Codebook;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/taught.php';

it('sets out every drill with what speaks for it and against it, and fills in nothing', function () {
    $by = $this->person('tam');
    $lesson = taughtLesson(taughtGolfer(), $by, [2.4, 2.2, 2.5]);
    $this->actingAs($by);
    $seen = $this->get("/golfer-sessions/$lesson->public_id/prescription")->assertOk()
        ->assertSee('3 measured swings')->assertSee('supported in 3 of 3')->getContent();
    // Measured, and none of it said for the person.
    expect($seen)->not->toMatch('/<option value="(now|later|leave)"\s+selected/')
        ->not->toMatch('/name="causes\[\]"[^>]*checked/s');
    $draft = chosenDrill($this, $lesson);
    $page = $this->get("/prescriptions/$draft->public_id")->assertOk();
    foreach (Codebook::standard()->drills() as $drill) {
        $page->assertSee(ucfirst($drill->name));
    }
    $page->assertSee('helps with pressure comes back late, the first cause')
        ->assertSee('kept as a warning.', false)
        ->assertSee('a change of')
        ->assertSee('Warm up, clear the space');
    expect(substr_count($page->getContent(), 'name="drill"'))->toBe(count(Codebook::standard()->drills()) - 1);
});

it('flags every drill for every coded limit exactly where it is listed: in the reading, here, on the note and in print', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $lesson = taughtLesson($golfer, $by, []);
    $this->actingAs($by);
    $draft = chosenDrill($this, $lesson, 'box-turn');
    $reading = $this->openReading($by);
    DB::table('recordings')->where('id', $reading->case->recording->id)->update(['golfer_id' => $golfer->id]);
    App\Models\Consent::query()->create(['golfer_id' => $golfer->id, 'scope' => 'staff-training',
        'given_on' => now()->toDateString(), 'expires_on' => now()->addYear()->toDateString()]);
    $pairs = 0;
    foreach (LimitRegion::cases() as $region) {
        foreach ($region->hasSides() ? LimitSide::cases() : [null] as $side) {
            GolferLimit::query()->delete();
            $limit = GolferLimit::query()->create([
                'golfer_id' => $golfer->id, 'region' => $region, 'side' => $side, 'severity' => LimitSeverity::Avoid,
            ]);
            app(Onlookers::class)->forget();
            $page = $this->get("/prescriptions/$draft->public_id")->assertOk()->getContent();
            $sheet = $this->get("/read/$reading->public_id")->assertOk()->getContent();
            foreach (Codebook::standard()->drills() as $key => $drill) {
                $listed = $drill->plan?->loads($limit->toCore()) === true;
                preg_match('#drills/'.$key.'\.svg.*?</ul>#s', $page, $of);
                expect(str_contains($of[0], 'it loads what this golfer is to spare'))->toBe($listed, "$key $region->value")
                    ->and(str_contains($of[0], __("limits.regions.$region->value").': avoid'))->toBe($listed);
                preg_match('#data-drill-text="'.$key.'".*?</div>#s', $sheet, $part);
                expect(str_contains($part[0], 'It loads what this golfer is to spare'))->toBe($listed, "$key in the reading");
                $pairs++;
            }
        }
    }
    expect($pairs)->toBe(22 * count(Codebook::standard()->drills()));
});

it('prints on the note and the paper, of every drill, what was chosen against advice and why', function (string $drill) {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $lesson = taughtLesson($golfer, $by, []);
    $this->actingAs($by);
    foreach ([LimitSide::Lead, LimitSide::Trail] as $side) {
        foreach ([LimitRegion::Knee, LimitRegion::Ankle, LimitRegion::Hip, LimitRegion::Shoulder, LimitRegion::Wrist] as $region) {
            GolferLimit::query()
                ->create(
                    ['golfer_id' => $golfer->id, 'region' => $region, 'side' => $side, 'severity' => 'not-cleared'],
                );
        }
    }
    foreach ([LimitRegion::Back, LimitRegion::Balance, LimitRegion::Pregnancy, LimitRegion::HeartAndBreath] as $region) {
        GolferLimit::query()
            ->create(['golfer_id' => $golfer->id, 'region' => $region, 'side' => null, 'severity' => 'careful']);
    }
    $draft = chosenDrill($this, $lesson, $drill);
    $loads = $golfer->limitsInForce->filter(
        fn (GolferLimit $l): bool => Codebook::standard()->drills()[$drill]->plan?->loads($l->toCore()) === true,
    );
    // Not without a reason; a short one is none.
    foreach (['', 'because'] as $reason) {
        $this->put("/prescriptions/$draft->public_id", wholePlan($draft, ['hand_over' => '1', 'reason' => $reason]))
            ->assertSessionHas('refused');
        expect($draft->refresh()->issued_at)->toBeNull()->and($draft->plan['cue'])->toBe('Plant it, then swing');
    }
    $this->put("/prescriptions/$draft->public_id", wholePlan($draft, ['hand_over' => '1', 'reason' => 'A physiotherapist stands beside it.']))
        ->assertRedirect("/prescriptions/$draft->public_id/note");
    expect(array_filter($draft->refresh()->against, fn (string $k): bool => str_starts_with($k, 'limit:')))
        ->toHaveCount($loads->count());
    foreach (['/note', ''] as $where) {
        $page = $this->get("/prescriptions/$draft->public_id$where")->assertOk();
        foreach ($loads as $limit) {
            $page->assertSee('it loads what this golfer is to spare: '.App\Words\Term::limit($limit));
        }
        $page->assertSee('A physiotherapist stands beside it.')->assertSee('Warm up, clear the space');
    }
    $paper = view('lessons.note-paper', app(App\Lessons\Pages\NotePage::class)->of($draft->fresh(), $by))->render();
    foreach ($loads as $limit) {
        expect($paper)->toContain(App\Words\Term::limit($limit));
    }
    expect($paper)->toContain('A physiotherapist stands beside it.')->toContain('Warm up, clear the space');
})->with(fn (): array => array_keys(array_filter(
    Codebook::standard()->drills(),
    fn ($d): bool => ($d->plan->loads ?? []) !== [] || $d->harms,
)));

it('lets what a professional has cleared speak against nothing, and wants no reason where nothing does', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    GolferLimit::query()->create(['golfer_id' => $golfer->id, 'region' => 'knee', 'side' => 'lead', 'severity' => 'not-cleared',
        'is_cleared' => true, 'cleared_until' => now()->addDay()->toDateString()]);
    $lesson = taughtLesson($golfer, $by, []);
    $this->actingAs($by);
    expect(handedOver($this, $lesson)->against)->toBe([]);
    $this->travel(3)->days();
    app(Onlookers::class)->forget();
    $draft = chosenDrill($this, $lesson->fresh());
    $this->put("/prescriptions/$draft->public_id", wholePlan($draft, ['hand_over' => '1']))->assertSessionHas('refused');
});

it('never changes what was handed over, by any way', function () {
    $by = $this->person('tam');
    $lesson = taughtLesson(taughtGolfer(), $by, [2.4, 2.2, 2.5]);
    $this->actingAs($by);
    $given = handedOver($this, $lesson);
    expect($given->expected[0]['measure'])->toBe('recentre_lead')
        ->and($given->expected[0]['n'])->toBe(3)
        ->and($given->expected[0]['least'])->toBeGreaterThan(0.0)
        ->and($given->lines['before'])->toEqual([[0.1, 0.2, 0.3, 0.4], [1.0, 0.0, 0.5, 0.5]]);
    $was = $given->toArray();
    $this->put("/prescriptions/$given->public_id/drill", ['drill' => 'step-in'])->assertSessionHas('refused');
    $this->put("/prescriptions/$given->public_id", wholePlan($given))->assertSessionHas('refused');
    $this->delete("/prescriptions/$given->public_id")->assertSessionHas('refused');
    expect(
        fn () => DB::transaction(
            fn () => DB::table('prescriptions')->where('id', $given->id)->update(['drill' => 'step-in']),
        ),
    )
        ->toThrow(QueryException::class);
    expect(fn () => DB::transaction(fn () => DB::table('prescriptions')->insert([...DB::table('prescriptions')
        ->where('id', $given->id)->get()->map(fn ($r): array => [...(array) $r, 'id' => 999999, 'public_id' => str_repeat('z', 26), 'against' => '["harm-list"]', 'reason' => 'short'])->first()])))
        ->toThrow(QueryException::class);
    expect($given->fresh()->toArray())->toEqual($was);
    // Another may be begun beside it; two drafts may not.
    $next = chosenDrill($this, $lesson->fresh(), 'step-in');
    expect($next->id)->not->toBe($given->id)
        ->and(chosenDrill($this, $lesson->fresh(), 'rocker')->id)->toBe($next->id);
});

it('takes nothing that is none: faults, causes, drills, rungs, days and lines', function () {
    $by = $this->person('tam');
    $lesson = taughtLesson(taughtGolfer(), $by, []);
    $this->actingAs($by);
    $at = "/golfer-sessions/$lesson->public_id/prescription";
    $seen = fn (array $change): array => [
        'lens' => 'early-recentre',
        'faults' => ['slide' => 'now'],
        'causes' => ['slide'],
        ...$change,
    ];
    foreach ([
        ['lens' => 'none'], ['lens' => ['early-recentre']], ['faults' => ['no-such' => 'now']],
        ['faults' => ['slide' => 'soon']],
        ['faults' => 'slide'], ['causes' => ['no-such']], ['causes' => [['slide']]], ['causes' => ['slide', 'slide']],
        // No fault of this lens.
        ['faults' => ['lead-leg-leave' => 'now'], 'causes' => []],
    ] as $odd) {
        $this->post($at, $seen($odd))->assertSessionHasErrors();
    }
    // A first cause that was not seen.
    $this->post($at, $seen(['causes' => ['hang-back']]))->assertSessionHas('refused');
    expect(Prescription::query()->count())->toBe(0);
    $draft = chosenDrill($this, $lesson);
    foreach (['no-such', 'heel-plant ', str_repeat('x', 41)] as $drill) {
        $this->put("/prescriptions/$draft->public_id/drill", ['drill' => $drill]);
        expect($draft->refresh()->drill)->toBe('heel-plant');
    }
    foreach ([
        ['plan' => ['from' => 'course', 'to' => 'rehearsal']], ['plan' => ['from' => 'moon']],
        ['plan' => ['speed' => '9']],
        ['plan' => ['speed' => '101']], ['plan' => ['ball' => 'two']], ['plan' => ['cue' => str_repeat('x', 121)]],
        ['until' => 'soon'], ['next_on' => '1900-01-01'], ['lines' => 'no'],
        ['lines' => '['.str_repeat('[0,0,1,1],', 300).'[0,0,1,1]]'],
    ] as $odd) {
        $this->put("/prescriptions/$draft->public_id", wholePlan($draft, $odd))->assertSessionHasErrors();
    }
    foreach ([['plan' => ['cue' => '']], ['next_on' => '']] as $lacks) {
        $this->put("/prescriptions/$draft->public_id", wholePlan($draft, ['hand_over' => '1', ...$lacks]))->assertSessionHas('refused');
    }
    expect($draft->refresh()->issued_at)->toBeNull();
});

it('is the giver’s and the head coach’s, and nobody else’s, and of a golfer who agrees', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $lesson = taughtLesson($golfer, $by, [2.4, 2.2, 2.5]);
    $this->actingAs($by);
    $given = handedOver($this, $lesson);
    $swing = $lesson->recordings()->firstOrFail();
    $all = ["/golfer-sessions/$lesson->public_id", "/golfer-sessions/$lesson->public_id/prescription",
        "/prescriptions/$given->public_id", "/prescriptions/$given->public_id/note",
        "/prescriptions/$given->public_id/note.pdf", "/prescriptions/$given->public_id/note.ics", "/bench/$swing->public_id"];
    foreach ([[$by, 200], [$this->headCoach(), 200], [$this->person('kit'), 404], [$this->person('odile'), 404]] as [$who, $status]) {
        app(Onlookers::class)->forget();
        foreach ($all as $uri) {
            $this->actingAs($who)->get($uri)->assertStatus($status);
        }
    }
    // Who gave one session begins the next; somebody else does not.
    $this->actingAs($by)->post("/golfers/$golfer->id/sessions", ['held_on' => now()->toDateString(), 'given_by' => $this->person('kit')->id])
        ->assertRedirect();
    expect($golfer->hasMany(App\Models\Lesson::class)->latest('id')->first()->given_by)->toBe($by->id);
    $this->actingAs($this->person('kit'))->post("/golfers/$golfer->id/sessions", ['held_on' => now()->toDateString()])->assertNotFound();
    $this->actingAs($by)->get("/golfers/$golfer->id")->assertNotFound();
    // What is taken back is taken back.
    $golfer->consents()->update(['withdrawn_at' => now()]);
    app(Onlookers::class)->forget();
    foreach (array_slice($all, 1) as $uri) {
        $this->actingAs($by)->get($uri)->assertNotFound();
        $this->actingAs($this->headCoach())->get($uri)->assertNotFound();
    }
});

it('counts nobody’s reading as blind who has taught with the swing', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $lesson = taughtLesson($golfer, null, [2.4]);
    $swing = $lesson->recordings()->firstOrFail();
    $exposed = fn (): int => Exposure::query()->where('user_id', $by->id)->where('recording_id', $swing->id)->count();
    $this->actingAs($this->headCoach());
    $keep = fn (): object => $this->put("/golfer-sessions/$lesson->public_id", ['held_on' => now()->toDateString(), 'given_by' => $by->id,
        'asks_feel' => '1', 'swings_listed' => '1', 'swings' => [$swing->id]])->assertSessionHasNoErrors();
    $keep();
    // Not while the feel is still to be said: nothing was to be seen.
    expect($exposed())->toBe(0);
    $this->post("/golfer-sessions/$lesson->public_id/feel", ['feel' => 'late'])->assertSessionHas('done');
    expect($exposed())->toBe(1);
    $keep();
    expect($exposed())->toBe(1);
});

it('draws every shipped drill in two to four moments, with as many words', function () {
    foreach (Core\Simulation\DrillScenes::all() as $key => $scene) {
        expect(count($scene->moments))->toBeGreaterThanOrEqual(2)->toBeLessThanOrEqual(4)
            ->and((array) __("drills.$key"))->toHaveCount(count($scene->moments), $key);
        expect(public_path("drills/$key.svg"))->toBeFile();
        $svg = simplexml_load_file(public_path("drills/$key.svg"));
        expect(count($svg->g))->toBe(count($scene->moments));
    }
    expect(array_keys(Core\Simulation\DrillScenes::all()))
        ->toEqualCanonicalizing(array_keys(Codebook::standard()->drills()));
    // The same command makes the same files.
    $out = sys_get_temp_dir().'/drawn-'.bin2hex(random_bytes(4));
    $this->artisan('codebook:drawings', ['--out' => $out, '--drill' => ['rocker', 'knee-spread']])->assertSuccessful();
    foreach (['rocker', 'knee-spread'] as $key) {
        expect(file_get_contents("$out/$key.svg"))->toBe(file_get_contents(public_path("drills/$key.svg")));
    }
    $this->actingAs($this->person('tam'))->get('/codebook')->assertSee('drills/rocker.svg');
});

it('gives the golfer one page of paper, and the next date as a calendar’s entry that names nobody', function () {
    $by = $this->person('tam');
    $lesson = taughtLesson(taughtGolfer('Redwing', 'left'), $by, [2.4, 2.2, 2.5]);
    $this->actingAs($by);
    $given = handedOver($this, $lesson);
    $pdf = $this->get("/prescriptions/$given->public_id/note.pdf")->assertOk()->assertHeader('content-type', 'application/pdf')->getContent();
    expect($pdf)->toStartWith('%PDF')->and(preg_match_all('#/Type\s*/Page\b(?!s)#', $pdf))->toBe(1);
    $ics = $this->get("/prescriptions/$given->public_id/note.ics")->assertOk()->getContent();
    $event = Sabre\VObject\Reader::read($ics)->VEVENT;
    expect((string) $event->DTSTART)->toBe($given->next_on->format('Ymd'))
        ->and($ics)->not->toContain('Redwing')->not->toContain('Tam')
        ->and((string) $event->DESCRIPTION)->toContain('Plant it, then swing');
    $this->get("/prescriptions/$given->public_id/note")->assertSee('Before: top')->assertSee('scale(-1 1)', false);
});

it('gives nobody a swing for naming it', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $mine = taughtLesson($golfer, $by, []);
    $hidden = taughtLesson($golfer, null, [2.0, 0.0]);
    $ids = $hidden->recordings()->pluck('id')->all();
    DB::table('recordings')->whereIn('id', $ids)->update(['lesson_id' => null]);
    $form = fn (array $swings): array => [
        'held_on' => now()->toDateString(),
        'asks_feel' => '0',
        'swings_listed' => '1',
        'swings' => $swings,
    ];
    app(Onlookers::class)->forget();
    $this->actingAs($by)->put("/golfer-sessions/$mine->public_id", $form($ids))->assertSessionHasNoErrors();
    expect($mine->recordings()->count())->toBe(0);
    foreach (App\Models\Recording::query()->whereKey($ids)->pluck('public_id') as $id) {
        $this->get("/bench/$id")->assertNotFound();
    }
    // Who may see them puts them there; then they are the giver's to keep or to take out.
    app(Onlookers::class)->forget();
    $this->actingAs($this->headCoach())->put("/golfer-sessions/$mine->public_id", $form($ids))->assertSessionHasNoErrors();
    expect($mine->recordings()->count())->toBe(2);
    app(Onlookers::class)->forget();
    $this->actingAs($by)->put("/golfer-sessions/$mine->public_id", $form([$ids[0]]));
    expect($mine->recordings()->pluck('id')->all())->toBe([$ids[0]]);
    // While the feel is still to be said nothing of it is listed, and nothing taken out by what a form did not hold.
    $mine->update(['asks_feel' => true]);
    app(Onlookers::class)->forget();
    $this->put("/golfer-sessions/$mine->public_id", [...$form([]), 'asks_feel' => '1']);
    expect($mine->recordings()->count())->toBe(1);
});

it('takes over what somebody said of the same swing in a round that is over, when asked to, and nobody else’s', function () {
    $by = $this->person('tam');
    DB::statement('alter table sittings disable trigger user');
    $reading = Reading::query()
        ->where('user_id', $by->id)
        ->whereNotNull('handed_in_at')
        ->whereHas('calls', fn ($q) => $q->where('presence', 'present')->whereNotNull('decision'))
        ->whereHas('case.sitting', fn ($q) => $q->where('kind', 'round')->where('state', 'published'))
        ->whereHas('case.rated', fn ($q) => $q->where('kind', 'single'))
        ->with(['calls', 'case.sitting', 'case.swings.recording'])
        ->firstOrFail();
    $recording = $reading->case->swings->sole()->recording;
    Consent::query()->create([
        'golfer_id' => $recording->golfer_id, 'scope' => 'lessons', 'given_on' => now()->toDateString(),
        'expires_on' => now()->addYear()->toDateString(),
    ]);
    $lesson = taughtLesson($recording->golfer, $by, []);
    DB::table('recordings')->where('id', $recording->id)->update(['lesson_id' => $lesson->id]);
    app(Onlookers::class)->forget();
    $page = "/golfer-sessions/$lesson->public_id/prescription?lens={$reading->case->sitting->lens}";
    $said = $reading->calls->first(fn ($c) => $c->presence->value === 'present' && $c->decision !== null);
    $chosen = '/name="faults\['.$said->fault.'\]".*?<option value="'.$said->decision->value.'"\s+selected/s';
    $asked = fn (string $own) => (function () use ($page, $own) {
        app(Onlookers::class)->forget();

        return $this->get("$page&own=$own")->assertOk()->getContent();
    })->call($this);

    $this->actingAs($by)->get($page)->assertOk()->assertSee('begin with what you said then');
    expect($asked(''))->not->toContain('selected>')->and($asked($reading->public_id))->toMatch($chosen)
        ->toContain('taken over below')
        ->and(Prescription::query()->where('lesson_id', $lesson->id)->exists())->toBeFalse();
    $others = Reading::query()
        ->where('sitting_case_id', $reading->sitting_case_id)
        ->where('user_id', '!=', $by->id)
        ->firstOrFail();
    expect($asked($others->public_id))->not->toContain('taken over below')
        ->and($asked("' or 1=1"))->not->toContain('taken over below');

    // Nothing is told of what is kept for later rounds, nor of what is open: the session itself is hidden with it.
    $isHidden = function () use ($page, $reading): void {
        app(Onlookers::class)->forget();
        $this->get("$page&own=$reading->public_id")->assertNotFound();
    };
    DB::statement('alter table sitting_cases disable trigger user');
    DB::table('sitting_cases')->where('id', $reading->sitting_case_id)->update(['reserved' => true]);
    $isHidden();
    DB::table('sitting_cases')->where('id', $reading->sitting_case_id)->update(['reserved' => false]);
    DB::table('sittings')->where('id', $reading->case->sitting_id)->update(['state' => 'open']);
    $isHidden();
});
