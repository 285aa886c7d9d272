<?php

use App\Models\DrillJudging;
use App\Models\DrillQuestion;
use App\Models\DrillScore;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use App\Sight\Onlookers;
use App\Sittings\Actions\CloseRound;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Codebook\LimitSeverity;
use Core\Codebook\StandardDrills;
use Core\Consensus\Appropriateness;
use Core\Reading\Stop;
use Core\Sight\SittingKind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

const JUDGES = ['odile', 'piet', 'ros', 'gwil', 'suvi'];

/** A panel of five on one swing, closed; the first two chose a drill each. */
function prescribedPanel(object $test, array $who = JUDGES, array $drills = ['box-turn', 'step-in']): Sitting
{
    $members = collect($who)->map(fn (string $w): User => $test->person($w));
    $panel = app(PlanRound::class)('Drills', SittingKind::Panel, [Recording::query()->min('id')],
        $members->pluck('id')->all(), 'both', $test->headCoach());
    app(OpenRound::class)($panel, $test->headCoach());
    app(Onlookers::class)->forget();
    foreach (Reading::query()->whereIn('sitting_case_id', $panel->cases()->select('id'))->with('user')->get() as $r) {
        $at = array_search(explode('@', $r->user->email)[0], $who, true);
        $said = $test->sheet(['sway']);
        if (isset($drills[$at])) {
            $said['drill'] = ['key' => $drills[$at], 'stop' => 'short-iron'];
        }
        $test->actingAs($r->user)->postJson("/read/{$r->public_id}/changes", $test->changes($said))->assertOk();
        $test->actingAs($r->user)->post("/read/{$r->public_id}/hand-in")->assertSessionHas('done');
    }
    app(CloseRound::class)->now($panel->refresh(), $test->headCoach());

    return $panel->refresh();
}

function drillsJudged(object $test, Sitting $panel): DrillJudging
{
    $test->actingAs($test->headCoach())->post("/panel/{$panel->public_id}/judging")->assertSessionHas('done');

    return Judgings::of($panel);
}

/** @param  array<string, int|string>  $score  by rung */
function drillScores(
    object $test,
    DrillJudging $judging,
    string $who,
    string $drill,
    array $score,
    array $harm = [],
): TestResponse {
    return $test->actingAs($test->person($who))->post("/judging/{$judging->public_id}/1", [
        'drill' => $drill, 'score' => $score, 'harm' => $harm,
    ]);
}

it('asks a closed panel about the drills that somebody chose, and puts what it says into the key', function () {
    $panel = prescribedPanel($this);
    $at = "/panel/{$panel->public_id}";
    $this->actingAs($this->headCoach())->get($at)->assertOk()->assertSee('2 drills, each for its case');
    $judging = drillsJudged($this, $panel);
    expect($judging->questions()->pluck('drill')->sort()->values()->all())->toBe(['box-turn', 'step-in']);
    $this->actingAs($this->person('ros'))->get('/')->assertOk()->assertSee('2 drills of “Drills” wait');
    $page = $this->get("/judging/{$judging->public_id}")->assertOk()
        ->assertSee(ucfirst(StandardDrills::all()['box-turn']->name))->assertSee('Step in')
        ->assertDontSee('your choice')->assertDontSee('Odile');
    // Nothing of what others said, and neither numbers nor a key.
    expect($page->getContent())->not->toContain('of 5')->not->toContain('verdict');
    $this->actingAs($this->person('piet'))->get("/judging/{$judging->public_id}")->assertSee('your choice');
    foreach (JUDGES as $i => $who) {
        drillScores($this, $judging, $who, 'box-turn', ['rehearsal' => 8, 'short-iron' => 7 + $i % 2])
            ->assertSessionHas('done');
    }
    $this->actingAs($this->headCoach())->get($at)->assertSee('0 of 5 members');
    foreach (['odile' => 'unsafe', 'piet' => 'unsafe', 'ros' => 'adds-fault'] as $who => $harm) {
        drillScores($this, $judging, $who, 'step-in', ['full-speed' => 2], ['full-speed' => $harm])
            ->assertSessionHas('done');
    }
    $this->actingAs($this->headCoach())->get($at)->assertSee('3 of 5 members');
    $this->post("/rounds/{$panel->public_id}/publish")->assertSessionHas('refused');
    $this->post("$at/following")->assertSessionHas('refused');
    $this->post("$at/judging/close")->assertSessionHas('done');
    $key = $panel->keys()->firstOrFail();
    $case = $key->cases()->sole()->toCore();
    expect($key->number)->toBe(2)
        ->and($case->appropriateness('box-turn', Stop::Rehearsal))->toBe(Appropriateness::Helps)
        ->and($case->appropriateness('box-turn', Stop::FullSpeed))->toBeNull()
        ->and($case->appropriateness('step-in', Stop::FullSpeed))->toBe(Appropriateness::Unsafe)
        ->and($case->judged['step-in']['full-speed']->addsFault)->toBe(1);
    $this->get($at)->assertOk()
        ->assertSeeText('helps')
        ->assertSee('would unsafe', false)
        ->assertSee('5 members judged 2, each for its case');
    // Once, and the key stays as it is where nothing changes.
    $this->post("$at/judging")->assertSessionHas('refused');
    $this->post("$at/judging/close")->assertSessionHas('refused');
    $this->post("/rounds/{$panel->public_id}/publish")->assertSessionHas('done');
    expect($panel->keys()->count())->toBe(2);
    $mine = collect($this->actingAs($this->person('ros'))->get('/own/data')->assertOk()->json('drills_judged'));
    expect($mine->where('panel', 'Drills')->firstWhere('drill', 'step-in'))
        ->toMatchArray(['score' => 2, 'harm' => 'adds-fault']);
});

it('takes a score of 1 to 9, a low one with what the drill would do, and the last said', function () {
    $judging = drillsJudged($this, prescribedPanel($this));
    $on = fn (array $score, array $harm = []): TestResponse => drillScores(
        $this, $judging, 'ros', 'box-turn', $score, $harm,
    );
    $on(['rehearsal' => 0])->assertSessionHasErrors('score.rehearsal');
    $on(['rehearsal' => 10])->assertSessionHasErrors('score.rehearsal');
    $on(['rehearsal' => 'many'])->assertSessionHasErrors('score.rehearsal');
    $on(['somewhere' => 5])->assertSessionHasErrors('score');
    $on(['rehearsal' => 3])->assertSessionHas('refused');
    $on(['rehearsal' => 3], ['rehearsal' => 'odd'])->assertSessionHasErrors('harm.rehearsal');
    $on(['rehearsal' => ''])->assertSessionHas('refused');
    drillScores($this, $judging, 'ros', 'arm-drop', ['rehearsal' => 5])->assertSessionHas('refused');
    $this->post("/judging/{$judging->public_id}/2", ['drill' => 'box-turn', 'score' => ['rehearsal' => 5]])
        ->assertNotFound();
    expect(DrillScore::query()->whereIn('drill_question_id', $judging->questions()->select('id'))->count())->toBe(0);
    // What is left of a harm beside a score that is not low is nothing.
    $on(['rehearsal' => 5, 'full-speed' => 3], ['rehearsal' => 'unsafe', 'full-speed' => 'unsafe'])
        ->assertSessionHas('done');
    $this->postJson("/judging/{$judging->public_id}/1", ['drill' => 'box-turn', 'score' => ['rehearsal' => 6]])
        ->assertOk()->assertJson(['done' => true]);
    $said = DrillScore::query()->where('user_id', $this->person('ros')->id)
        ->whereIn('drill_question_id', $judging->questions()->select('id'))->get();
    expect($said)->toHaveCount(1)->and($said[0]->score)->toBe(6)->and($said[0]->harm)->toBeNull();
    $this->get("/judging/{$judging->public_id}?place=1")->assertOk()->assertSee('value="6"', false);
    $this->get("/judging/{$judging->public_id}?place=9")->assertNotFound();
    // Nothing is changed once it is over, on no way.
    $this->actingAs($this->headCoach())->post("/panel/{$judging->sitting->public_id}/judging/close");
    $this->actingAs($this->person('ros'))
        ->postJson("/judging/{$judging->public_id}/1", ['drill' => 'box-turn', 'score' => ['rehearsal' => 6]])
        ->assertStatus(423);
    expect(fn () => DB::transaction(fn () => $said[0]->update(['score' => 9])))->toThrow(QueryException::class)
        ->and(fn () => DB::transaction(fn () => $said[0]->delete()))->toThrow(QueryException::class)
        ->and(fn () => DB::transaction(fn () => DrillQuestion::query()
            ->where('drill_judging_id', $judging->id)->delete()))->toThrow(QueryException::class);
});

it('is asked of who read the case and does not lead, and never while one of its swings is read blind', function () {
    $panel = prescribedPanel($this, ['odile', 'piet', 'ros', 'maren']);
    $judging = drillsJudged($this, $panel);
    $at = "/judging/{$judging->public_id}";
    expect(Judgings::members($panel)->pluck('email')->map(fn (string $e): string => explode('@', $e)[0])->all())
        ->toBe(['odile', 'piet', 'ros']);
    foreach (['maren', 'suvi', 'tam'] as $who) {
        expect($this->actingAs($this->person($who))->get($at)->status())->toBeIn([403, 404])
            ->and($this->post("$at/1", ['drill' => 'box-turn', 'score' => ['rehearsal' => 5]])->status())
            ->toBeIn([403, 404]);
    }
    $this->actingAs($this->person('ros'))->post("/panel/{$panel->public_id}/judging/close")->assertNotFound();
});

it('is not shown while one of its swings is still to be read blind elsewhere', function () {
    $panel = prescribedPanel($this);
    $at = '/judging/'.drillsJudged($this, $panel)->public_id;
    $this->actingAs($this->person('ros'))->get($at)->assertOk();
    $recording = $panel->cases()->firstOrFail()->recording;
    $other = app(PlanRound::class)(
        'Elsewhere', SittingKind::Round, [$recording->id], [$this->person('tam')->id], 'both', $this->headCoach(),
    );
    DB::statement('alter table sittings disable trigger user');
    DB::statement('alter table sitting_cases disable trigger user');
    $other->members()->attach($this->person('ros'));
    $other->update(['state' => 'open']);
    app(Onlookers::class)->forget();
    $this->actingAs($this->person('ros'))->get($at)->assertNotFound();
    $this->postJson("$at/1", ['drill' => 'box-turn', 'score' => ['rehearsal' => 5]])->assertNotFound();
    $this->get('/')->assertOk()->assertDontSee('drills of “Drills”');
    $this->actingAs($this->person('gwil'))->get($at)->assertOk();
});

it('comes before any spread, or not at all', function () {
    $panel = prescribedPanel($this);
    $lacks = $panel->keys()->firstOrFail()->entries()->where('fault', 'sway')->sole();
    DB::statement('alter table key_entries disable trigger user');
    $lacks->update(['grade' => 'contested', 'label' => 'none']);
    $this->actingAs($this->headCoach())->post("/panel/{$panel->public_id}/following")->assertSessionHas('done');
    expect(FollowingRounds::open($panel))->not->toBeNull();
    $this->post("/panel/{$panel->public_id}/judging")->assertSessionHas('refused');
    expect(Judgings::of($panel))->toBeNull();
    $this->get("/panel/{$panel->public_id}")->assertOk()->assertDontSee('Have the panel judge drills');
});

it('asks about drills that load what the golfer is to spare, and holds what is not cleared unsafe', function () {
    $golfer = Recording::query()->orderBy('id')->firstOrFail()->golfer;
    $golfer->limitsNoted()->create(['region' => 'knee', 'side' => 'lead', 'severity' => LimitSeverity::NotCleared]);
    $golfer->limitsNoted()->create([
        'region' => 'shoulder', 'side' => 'both', 'severity' => LimitSeverity::NotCleared, 'is_cleared' => true,
    ]);
    $panel = prescribedPanel($this, ['odile', 'piet', 'ros'], ['box-turn']);
    $judging = drillsJudged($this, $panel);
    $asked = $judging->questions()->get()->keyBy('drill');
    expect($asked['step-in']->refused)->toBeTrue()
        ->and($asked['box-turn']->refused)->toBeFalse()
        ->and($asked)->not->toHaveKey('short-finish');
    $this->actingAs($this->person('ros'))->get("/judging/{$judging->public_id}")->assertOk()
        ->assertSee('It loads what this golfer is to spare')->assertSee('not cleared');
    // Three judge it highly: it is unsafe all the same, for the limit speaks.
    foreach (['odile', 'piet', 'ros'] as $who) {
        drillScores($this, $judging, $who, 'step-in', ['rehearsal' => 9])->assertSessionHas('done');
        drillScores($this, $judging, $who, 'box-turn', ['rehearsal' => 9])->assertSessionHas('done');
    }
    $this->actingAs($this->headCoach())->post("/panel/{$panel->public_id}/judging/close")->assertSessionHas('done');
    $case = $panel->keys()->firstOrFail()->cases()->sole()->toCore();
    expect($case->appropriateness('step-in', Stop::Rehearsal))->toBe(Appropriateness::Unsafe)
        // Too few members to hold anybody to.
        ->and($case->appropriateness('box-turn', Stop::Rehearsal))->toBeNull();
    $this->get("/panel/{$panel->public_id}")->assertSee('agreement only')->assertSee('would helps open', false);
});
