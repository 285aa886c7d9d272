<?php

use App\Exceptions\ActionException;
use App\Models\Enums\TestState;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\User;
use App\Readiness\Actions\BeginTest;
use App\Readiness\Actions\KeepRule;
use App\Readiness\Actions\PutNextCase;
use App\Readiness\TestCases;
use App\Readiness\TestRun;
use App\Sight\Onlookers;
use App\Sittings\Actions\HandInReading;
use Core\Codebook\StandardLenses;
use Core\Planning\SignOffDecision;
use Core\Sight\SittingState;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/readers.php';

it('puts one case at a time, of another golfer each, and ends where it is settled', function (bool $right, TestState $ends) {
    $nell = whoReadNothing();
    $test = app(BeginTest::class)($nell, aRule(), $this->headCoach());
    expect($test->state)->toBe(TestState::Open)->and(TestRun::asked($test))->toBe(1);
    $golfers = $calls = [];
    for ($n = 1; ($reading = waiting($test)) !== null; $n++) {
        $golfers[] = $reading->case->recording->golfer_id;
        expect(TestRun::asked($test))->toBe($n)->and($reading->case->reserved)->toBeTrue();
        readAs($test, $reading, $right);
    }
    $test = $test->fresh();
    expect($test->state)->toBe($ends)
        ->and($test->ended_at)->not->toBeNull()
        ->and($test->sitting->state)->toBe(SittingState::Closed)
        ->and(array_unique($golfers))->toBe($golfers)
        ->and(count($golfers))->toBeGreaterThanOrEqual(4);
    // What it came to is what was read, counted again.
    $course = app(TestRun::class)->of($test);
    expect($course->decision()->value)->toBe($test->state->value);
    foreach ($course->counted as [$hits, $all]) {
        expect($hits)->toBe($right ? $all : 0);
    }
})->with([[true, TestState::SignedOff], [false, TestState::Refused]]);

it('is over without a decision where there is nothing left that would tell', function () {
    // So near each other that eight golfers settle nothing.
    $test = app(BeginTest::class)(whoReadNothing(), aRule([
        new Criterion('some', ['hang-back', 'sway', 'late-push'], CriterionKind::Sensitivity, 0.8, 0.85),
    ]), $this->headCoach());
    while (($reading = waiting($test)) !== null) {
        readAs($test, $reading, true);
    }
    expect($test->fresh()->state)->toBe(TestState::Undecided)
        ->and(app(TestRun::class)->of($test->fresh())->decision())->toBe(SignOffDecision::GoesOn);
});

it('asks only what was never read nor told, once, and of one’s own swing never', function () {
    $rule = aRule();
    $cases = app(TestCases::class);
    // Who read the rounds has nothing left.
    foreach (['tam', 'kit'] as $who) {
        expect($cases->best($this->person($who), $rule)[1])->toBe([]);
    }
    expect(fn () => app(BeginTest::class)($this->person('tam'), $rule, $this->headCoach()))
        ->toThrow(ActionException::class, 'no case left');
    $nell = whoReadNothing();
    $all = $cases->best($nell, $rule)[1];
    $without = function () use ($cases, $nell, $rule): array {
        return array_column($cases->best($nell->fresh(), $rule)[1], 'recording');
    };
    [$first, $second, $third] = array_column($all, 'recording');
    DB::table('exposures')
        ->insert(['user_id' => $nell->id, 'recording_id' => $first, 'what' => 'key', 'shown_at' => now()]);
    expect($without())->not->toContain($first)->and(count($without()))->toBe(count($all) - 1);
    $golfer = Recording::query()->findOrFail($second)->golfer_id;
    $nell->forceFill(['golfer_id' => $golfer])->save();
    expect($without())->not->toContain($second);
    DB::table('consents')->where('golfer_id', Recording::query()->findOrFail($third)->golfer_id)->delete();
    expect($without())->not->toContain($third);
});

it('finds for all of the staff at once what it finds for each alone', function () {
    $rule = aRule();
    $cases = app(TestCases::class);
    $nell = whoReadNothing();
    $told = whoReadNothing('Told Already');
    foreach (array_slice($cases->best($nell, $rule)[1], 0, 3) as $one) {
        DB::table('exposures')->insert([
            'user_id' => $told->id, 'recording_id' => $one['recording'], 'what' => 'key', 'shown_at' => now(),
        ]);
    }
    $all = [$this->person('tam'), $nell, $told, $this->person('odile')];
    foreach ([[], array_column(array_slice($cases->best($nell, $rule)[1], 4, 2), 'recording')] as $hidden) {
        foreach ($cases->bestOf($all, $rule, $hidden) as $id => [$key, $found]) {
            [$own, $alone] = $cases->best(User::query()->findOrFail($id), $rule, $hidden);
            expect($found)->toEqual($alone)->and($key?->id)->toBe($own?->id)
                ->and(array_intersect(array_column($found, 'recording'), $hidden))->toBe([]);
            if ($own !== null && $hidden === []) {
                expect($cases->of(User::query()->findOrFail($id), $rule, $own))->toEqual($alone);
            }
        }
    }
});

it('keeps a test from everybody but its reader, while it runs and afterwards', function () {
    $nell = whoReadNothing();
    $rule = aRule();
    $test = app(BeginTest::class)($nell, $rule, $this->headCoach());
    $reading = waiting($test);
    $recording = $reading->case->recording;
    $this->actingAs($nell)->get("/read/$reading->public_id")->assertOk();
    foreach (["/bench/$recording->public_id", "/bench/$recording->public_id/evidence"] as $url) {
        $this->get($url)->assertNotFound();
    }
    foreach (['/rounds', '/agreement', '/panel', "/rounds/{$test->sitting->public_id}"] as $url) {
        expect($this->actingAs($this->headCoach())->get($url)->getContent())->not->toContain($test->sitting->public_id);
    }
    $this->get("/read/$reading->public_id")->assertStatus(404);
    $this->actingAs($this->person('tam'))->get("/read/$reading->public_id")->assertStatus(404);
    // How it stands is told to nobody before it is over.
    foreach ([1, 2] as $turn) {
        readAs($test, waiting($test), true);
    }
    foreach ([$nell, $this->headCoach()] as $who) {
        $page = $this->actingAs($who)->get(route('readiness.show', [$rule, $nell]))->assertOk();
        expect(array_filter(array_column($page->viewData('criteria'), 'test')))->toBe([]);
        $page->assertDontSee('passed');
    }
    $this->actingAs($this->person('tam'))->get(route('readiness.show', [$rule, $nell]))->assertNotFound();
    while (($next = waiting($test)) !== null) {
        readAs($test, $next, true);
    }
    // Afterwards its cases stay away from the one who read them: the key may be asked again.
    app(Onlookers::class)->forget();
    $this->actingAs($nell)->get("/bench/$recording->public_id")->assertNotFound();
    expect(array_column(app(TestCases::class)->best($nell, $rule)[1], 'recording'))->not->toContain($recording->id);
    // The person learns what was decided; how many calls were right, of few kept cases, the head coach alone.
    $told = fn (User $who): array => array_column($this->actingAs($who)->get(route('readiness.show', [$rule, $nell]))
        ->assertOk()->viewData('criteria'), 'test');
    expect($told($nell))->toBe(['test: passed', 'test: passed'])
        ->and($told($this->headCoach())[0])->toMatch('/^test: passed, \d+ of \d+$/');
});

it('hands in twice, side by side and late, and puts one case all the same', function () {
    $nell = whoReadNothing();
    $test = app(BeginTest::class)($nell, aRule(), $this->headCoach());
    $reading = waiting($test);
    readAs($test, $reading, true);
    app(HandInReading::class)($reading->fresh(), $nell);
    foreach ([1, 2, 3] as $again) {
        DB::transaction(fn () => app(PutNextCase::class)($test->fresh()));
    }
    expect(TestRun::asked($test))->toBe(2);
    // A case that is taken out of it counts for nothing, and another comes in its place.
    $second = waiting($test);
    DB::table('sitting_cases')
        ->where('id', $second->sitting_case_id)
        ->update(['withdrawn_at' => now(), 'withdrawn_reason' => 'the film is torn']);
    DB::transaction(fn () => app(PutNextCase::class)($test->fresh()));
    expect(TestRun::asked($test))->toBe(3)->and(count(app(TestRun::class)->read($test->fresh())))->toBe(1);
    // So where a golfer’s consent ends: the head coach puts another.
    $third = waiting($test);
    DB::table('consents')->where('golfer_id', $third->case->recording->golfer_id)->delete();
    $this->actingAs($this->headCoach())
        ->get(route('readiness.show', [$test->rule, $nell]))
        ->assertSee('Put another case');
    $this->post(route('readiness.begin', [$test->rule, $nell]))->assertRedirect();
    expect(TestRun::asked($test))->toBe(4)->and(ReadinessTest::query()->where('user_id', $nell->id)->count())->toBe(1);
    $this->get(route('readiness.show', [$test->rule, $nell]))->assertDontSee('Put another case');
    // Stopped, it decides nothing, takes no more hand-ins, and lets another begin.
    app(PutNextCase::class)->stop($test, $this->headCoach());
    app(PutNextCase::class)->stop($test, $this->headCoach());
    expect($test->fresh()->state)->toBe(TestState::Stopped);
    expect(fn () => app(HandInReading::class)(
        Reading::query()->where('user_id', $nell->id)->whereNull('handed_in_at')->latest('id')->firstOrFail(),
        $nell,
    ))->toThrow(ActionException::class);
    expect(app(BeginTest::class)($nell, $test->rule, $this->headCoach())->state)->toBe(TestState::Open);
});

it('begins one test at a time, of others, by a rule that holds', function () {
    $nell = whoReadNothing();
    $rule = aRule();
    $begin = fn (User $who, ReadinessRule $by, ?User $head = null) => fn () => app(BeginTest::class)(
        $who,
        $by,
        $head ?? $this->headCoach(),
    );
    expect($begin($this->headCoach(), $rule))->toThrow(ActionException::class);
    $begin($nell, $rule)();
    expect($begin($nell, aRule()))->toThrow(ActionException::class, 'tested already')
        ->and($begin($nell, $rule)()->id)->toBe(ReadinessTest::query()->where('user_id', $nell->id)->sole()->id);
    $newer = app(KeepRule::class)(
        'Footwork alone',
        null,
        StandardLenses::DEFAULT,
        $rule->toCore(),
        $this->headCoach(),
        $rule,
    );
    expect($begin(whoReadNothing('Ned Other'), $rule->fresh()))->toThrow(ActionException::class, 'newer version')
        ->and($begin(whoReadNothing('Nan Third'), $newer)()->state)->toBe(TestState::Open);
    expect(fn () => DB::table('readiness_tests')->insert([
        'public_id' => 'x', 'user_id' => $nell->id, 'readiness_rule_id' => $newer->id, 'state' => 'open',
        'asked_by' => $nell->id,
    ]))->toThrow(Illuminate\Database\QueryException::class);
});
