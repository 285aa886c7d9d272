<?php

use App\Models\DebriefCase;
use App\Models\DebriefDecision;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\DebriefVote;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sittings\Actions\PlanRound;
use Core\Sight\Reveal;
use Core\Sight\SittingKind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

function joinsRoom(object $test, DebriefSession $session, string ...$who): void
{
    foreach ($who as $each) {
        $test->actingAs($test->person($each))->post('/join', ['code' => $session->code])
            ->assertRedirect("/debriefs/{$session->public_id}/vote");
        app(Onlookers::class)->forget();
    }
    $test->actingAs($test->headCoach());
}

function roomShown(object $test, DebriefSession $session, array $what)
{
    return $test->actingAs($test->headCoach())->postJson("/debriefs/{$session->public_id}/show", [
        'case' => $session->refresh()->current_case_id, ...$what,
    ]);
}

function roomAsked(object $test, DebriefSession $session, string $kind = 'presence'): DebriefQuestion
{
    $case = $session->refresh()->current;
    $test->actingAs($test->headCoach())->post("/debriefs/{$session->public_id}/questions", [
        'case' => $case->id, 'kind' => $kind, 'fault' => $case->topic,
    ])->assertSessionMissing('refused');

    return DebriefQuestion::query()->where('debrief_case_id', $case->id)->where('kind', $kind)->sole();
}

function roomVotes(object $test, DebriefSession $session, DebriefQuestion $q, array $by)
{
    foreach ($by as $who => $answer) {
        $last = $test->actingAs($test->person($who))
            ->postJson("/debriefs/{$session->public_id}/votes/{$q->id}", ['answer' => $answer]);
        app(Onlookers::class)->forget();
    }

    return $last;
}

function stepOn(object $test, DebriefSession $session, DebriefQuestion $q): void
{
    $test->actingAs($test->headCoach())->post("/debriefs/{$session->public_id}/questions/{$q->id}", [
        'from' => $q->refresh()->stage->value,
    ])->assertRedirect();
    $q->refresh();
}

it('shows the room one thing after the other, and never a name', function () {
    $session = heldDebrief($this);
    joinsRoom($this, $session, 'tam', 'kit');
    $room = "/debriefs/{$session->public_id}/room/side";
    $names = User::query()->where('role', 'instructor')->pluck('name');
    $this->get("/debriefs/{$session->public_id}/present")->assertOk()->assertSee('2 have joined');
    $first = $this->get($room)->assertOk();
    expect($first->getContent())->not->toContain('class="spread"')->not->toContain('grade');
    $before = $session->refresh()->step;
    $all = [1 => 'class="spread"', 2 => '>panel<', 3 => '>measurement<', 4 => '>flight<', 5 => '>ruling<'];
    foreach ($all as $n => $sees) {
        $later = $all[$n + 1] ?? null;
        roomShown($this, $session, ['reveal' => $n])->assertOk();
        $page = $this->actingAs($this->person('tam'))->get($room)->assertOk()->getContent();
        expect($page)->toContain($sees);
        $later === null || expect($page)->not->toContain($later);
        foreach ($names as $name) {
            expect($page)->not->toContain($name);
        }
    }
    expect($session->refresh()->step)->toBe($before + 5);
    // What is shown stays shown, and shown twice is shown once.
    roomShown($this, $session, ['reveal' => 1])->assertOk();
    expect($session->refresh()->step)->toBe($before + 5)->and($session->current->revealed)->toBe(Reveal::Ruling);
    // It is noted to whom a truth was shown.
    $recording = $session->current->case->swings()->value('recording_id');
    expect(DB::table('exposures')->where('user_id', $this->person('kit')->id)->where('recording_id', $recording)
        ->pluck('what')->sort()->values()->all())->toBe(['key', 'numbers']);
});

it('follows the presenter: case, topic and moment, however often its page is loaded', function () {
    $session = heldDebrief($this);
    $second = $session->cases()->skip(1)->firstOrFail();
    roomShown($this, $session, ['t' => 1.25, 'swing' => 1])->assertOk();
    $state = fn () => $this->getJson("/debriefs/{$session->public_id}/state")->assertOk()->json();
    expect($state())->toMatchArray(['t' => 1.25, 'swing' => 1, 'over' => false]);
    roomShown($this, $session, ['case' => $second->id, 'topic' => 'sway'])->assertOk();
    expect($state()['case'])->toBe($second->id)->and($second->refresh()->topic)->toBe('sway');
    foreach ([1, 2] as $ignored) {
        $this->get("/debriefs/{$session->public_id}/present")->assertOk();
    }
    expect(DebriefSession::query()->count())->toBe(1)->and($state()['case'])->toBe($second->id);
    roomShown($this, $session, ['t' => 'NaN'])->assertStatus(422);
    roomShown($this, $session, ['t' => 1e9])->assertStatus(422);
    roomShown($this, $session, ['reveal' => 9])->assertStatus(422);
    roomShown($this, $session, ['case' => 999_999])->assertNotFound();
    // Only what is on show is to be fetched, by who takes part.
    $first = $session->cases()->firstOrFail();
    $this->getJson("/debriefs/{$session->public_id}/evidence/{$second->id}/1")->assertOk();
    $this->getJson("/debriefs/{$session->public_id}/evidence/{$first->id}/1")->assertNotFound();
    $this->actingAs($this->person('tam'))->getJson("/debriefs/{$session->public_id}/evidence/{$second->id}/1")
        ->assertNotFound();
    $this->get("/debriefs/{$session->public_id}/room")->assertNotFound();
    $this->getJson("/debriefs/{$session->public_id}/state")->assertNotFound();
});

it('takes the presenter’s notes and order', function () {
    $session = heldDebrief($this);
    [$a, $b, $c] = $session->cases()->get()->all();
    $at = fn (DebriefCase $of): string => "/debriefs/{$session->public_id}/cases/{$of->id}";
    $this->post($at($c), ['position' => 1])->assertRedirect();
    expect($session->cases()->pluck('id')->all())->toBe([$c->id, $a->id, $b->id]);
    $this->post($at($a), ['position' => 9])->assertRedirect();
    expect($session->cases()->pluck('id')->all())->toBe([$c->id, $b->id, $a->id]);
    $this->post($at($a), ['notes' => 'Ask about <b>the heel</b>'])->assertRedirect();
    expect($a->refresh()->notes)->toBe('Ask about <b>the heel</b>');
    $this->post($at($a), ['notes' => str_repeat('x', 4001)])->assertSessionHasErrors('notes');
});

it('votes before and after under no name, one changeable vote each, and tells the change by McNemar', function () {
    $session = heldDebrief($this);
    $six = ['tam', 'kit', 'ines', 'dov', 'hanne', 'bea'];
    joinsRoom($this, $session, ...$six);
    $q = roomAsked($this, $session);
    expect($q->stage->value)->toBe('before')->and($q->options)->toBe(['present', 'absent', 'cannot-tell']);
    $right = $q->answers[0] ?? 'present';
    $wrong = $right === 'present' ? 'absent' : 'present';
    $q->update(['answers' => [$right]]);
    $this->actingAs($this->person('tam'))->get("/debriefs/{$session->public_id}/vote?part=1")->assertOk()
        ->assertSee('Is it there');
    roomVotes($this, $session, $q, array_fill_keys($six, $wrong))->assertOk();
    roomVotes($this, $session, $q, ['tam' => $right])->assertOk();
    roomVotes($this, $session, $q, ['tam' => 'nonsense'])->assertStatus(422);
    expect(DebriefVote::query()->where('debrief_question_id', $q->id)->count())->toBe(6);
    // Nothing of how it stands while it is open.
    $side = fn (): string => $this->actingAs($this->headCoach())->get("/debriefs/{$session->public_id}/room/side")
        ->assertOk()->getContent();
    expect($side())->toContain('6 of 6 have voted')->not->toContain('class="tally"');
    stepOn($this, $session, $q);
    expect($q->stage->value)->toBe('between')->and($side())->toContain('class="tally"')->not->toContain('→');
    roomVotes($this, $session, $q, ['tam' => $wrong])->assertStatus(423);
    // A second question waits while one is open; the same asked again is the same.
    stepOn($this, $session, $q);
    $this->post("/debriefs/{$session->public_id}/questions", [
        'case' => $session->current_case_id, 'kind' => 'cause', 'fault' => '',
    ])->assertSessionHas('refused');
    expect(roomAsked($this, $session)->is($q))->toBeTrue();
    roomVotes($this, $session, $q, [...array_fill_keys($six, $right), 'bea' => $wrong])->assertOk();
    stepOn($this, $session, $q);
    expect($side())->toContain('4 of 6 who voted twice changed')->not->toContain('key');
    roomShown($this, $session, ['reveal' => 2])->assertOk();
    expect($side())->toContain('Of 6 who voted twice 4 went over to the key’s answer and 0 left it (p = 0.125)');
    // Pressed twice it goes on once.
    $this->post("/debriefs/{$session->public_id}/questions/{$q->id}", ['from' => 'before'])->assertRedirect();
    expect($q->refresh()->stage->value)->toBe('done');
    // No row tells who: the voter is none of what could be guessed without the secret, which goes at the end.
    $voters = DebriefVote::query()->pluck('voter')->unique();
    expect($voters)->toHaveCount(6);
    foreach ($six as $who) {
        $id = $this->person($who)->id;
        expect($voters)->not->toContain(hash('sha256', "voter|$id"))
            ->and($voters->contains(hash_hmac('sha256', "voter|$id", $session->secret)))->toBeTrue();
    }
    $this->post("/debriefs/{$session->public_id}/end")->assertRedirect();
    expect($session->refresh()->secret)->toBeNull()->and($session->ended_at)->not->toBeNull();
    roomVotes($this, $session, $q, ['tam' => $right])->assertStatus(423);
    expect(fn () => DB::transaction(fn () => DebriefVote::query()->firstOrFail()->update(['answer' => 'cannot-tell'])))
        ->toThrow(QueryException::class);
    $minutes = $this->actingAs($this->headCoach())->get("/debriefs/{$session->public_id}/minutes")->assertOk();
    $minutes->assertSee('went over to the key')->assertSee('Tam Brackley');
});

it('tells of fewer than five nothing but totals', function () {
    $session = heldDebrief($this);
    joinsRoom($this, $session, 'tam', 'kit', 'ines');
    $q = roomAsked($this, $session);
    roomVotes($this, $session, $q, ['tam' => 'present', 'kit' => 'absent', 'ines' => 'absent']);
    stepOn($this, $session, $q);
    stepOn($this, $session, $q);
    roomVotes($this, $session, $q, ['tam' => 'present', 'kit' => 'present', 'ines' => 'present']);
    stepOn($this, $session, $q);
    $this->get("/debriefs/{$session->public_id}/room/side")->assertOk()
        ->assertSee('Fewer than 5 voted twice')->assertDontSee('went over');
});

it('asks for causes and drills that were named, with a way to say none', function () {
    $session = heldDebrief($this, 8);
    $found = [];
    foreach ($session->cases()->get() as $case) {
        roomShown($this, $session, ['case' => $case->id])->assertOk();
        foreach (['cause', 'drill'] as $kind) {
            $this->post("/debriefs/{$session->public_id}/questions", ['case' => $case->id, 'kind' => $kind]);
            $q = DebriefQuestion::query()->where('debrief_case_id', $case->id)->where('kind', $kind)->first();
            if ($q !== null) {
                expect(collect($q->options)->last())->toBe('none')->and(count($q->options))->toBeGreaterThan(2);
                $q->answers === null || expect(array_diff($q->answers, $q->options))->toBe([]);
                $found[$kind] = true;
                $this->get("/debriefs/{$session->public_id}/room/side")->assertOk();
                $q->update(['stage' => 'done']);
            }
        }
    }
    expect($found)->toHaveKeys(['cause', 'drill']);
    $this->post("/debriefs/{$session->public_id}/questions", [
        'case' => $session->refresh()->current_case_id, 'kind' => 'presence', 'fault' => 'no-such',
    ])->assertSessionHas('refused');
});

it('shows nothing and takes no vote while anybody joined still reads the swing blind', function () {
    $session = heldDebrief($this);
    joinsRoom($this, $session, 'tam', 'kit');
    $q = roomAsked($this, $session);
    roomVotes($this, $session, $q, ['tam' => 'present'])->assertOk();
    $recording = $session->current->case->swings()->value('recording_id');
    $round = app(PlanRound::class)('Again', SittingKind::Round, [$recording],
        [$this->person('kit')->id, $this->person('ines')->id], 'both', $this->headCoach());
    foreach (['sittings', 'sitting_cases'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $round->update(['state' => 'open']);
    app(Onlookers::class)->forget();
    roomVotes($this, $session, $q, ['tam' => 'absent'])->assertStatus(409);
    roomVotes($this, $session, $q, ['kit' => 'absent'])->assertStatus(409);
    expect(DebriefVote::query()->sole()->answer)->toBe('present');
    roomShown($this, $session, ['reveal' => 2])->assertStatus(409)
        ->assertJsonPath('message', fn (string $m): bool => str_contains($m, 'Kit'));
    expect($session->current->refresh()->revealed)->toBe(Reveal::Swing);
    $side = $this->actingAs($this->person('kit'))->get("/debriefs/{$session->public_id}/room/side")->assertOk();
    expect($side->getContent())->toContain('still have to read')->not->toContain('class="spread"');
    $this->getJson("/debriefs/{$session->public_id}/evidence/{$session->current_case_id}/1")->assertStatus(409);
    $this->actingAs($this->person('ines'))->post('/join', ['code' => $session->code])->assertSessionHas('refused');
    expect($session->people()->count())->toBe(2);
});

it('is led by a head coach, joined by its code while it is held, and stands for nobody else', function () {
    $session = heldDebrief($this);
    $at = "/debriefs/{$session->public_id}";
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who));
        foreach (['present', 'minutes', 'room', 'room/side', 'state', 'vote'] as $page) {
            expect($this->get("$at/$page")->status())->toBeIn([403, 404], "$who $page");
        }
        foreach (['show', 'questions', 'decisions', 'end', 'cases/1', 'questions/1', 'votes/1'] as $page) {
            expect($this->post("$at/$page", [])->status())->toBeIn([403, 404], "$who $page");
        }
        $this->post("/debrief/{$session->sitting->public_id}/sessions", ['cases' => [1]])->assertStatus(404);
    }
    $this->actingAs($this->person('tam'))->get('/join/123456')->assertOk()->assertSee('value="123456"', false);
    $this->get('/join/12%22onx')->assertOk()->assertDontSee('onx', false);
    $this->post('/join', ['code' => '000000'])->assertSessionHas('refused');
    $this->post('/join', ['code' => 'abcdef'])->assertSessionHasErrors('code');
    joinsRoom($this, $session, 'tam', 'tam');
    expect($session->people()->count())->toBe(1);
    $this->post("$at/end")->assertRedirect();
    $this->post("$at/end")->assertRedirect();
    $this->actingAs($this->person('kit'))->post('/join', ['code' => $session->code])->assertSessionHas('refused');
    $this->actingAs($this->person('tam'))->get("$at/vote")->assertOk()->assertSee('is over');
    $this->get("$at/room")->assertOk()->assertSee('is over')->assertDontSee('data-evidence="/', false);
    $this->getJson("$at/evidence/{$session->current_case_id}/1")->assertNotFound();
    roomShown($this, $session, ['reveal' => 1])->assertStatus(423);
});

it('writes down what is decided, shows it on Today until it is done, and once', function () {
    $session = heldDebrief($this);
    $tam = $this->person('tam');
    $send = fn (array $more = []) => $this->actingAs($this->headCoach())->post("/debriefs/{$session->public_id}/decisions", [
        'case' => $session->current_case_id, 'lies' => 'definition', 'what' => 'Sharpen “sway”', 'owner' => $tam->id,
        'due' => '2020-01-02', ...$more,
    ]);
    $send()->assertSessionHas('done');
    $send()->assertSessionHas('done');
    $send(['what' => 'x'])->assertSessionHasErrors('what');
    $send(['owner' => 999_999])->assertSessionHasErrors('owner');
    $send(['due' => 'soon'])->assertSessionHasErrors('due');
    $send(['lies' => 'stars'])->assertSessionHasErrors('lies');
    $decision = DebriefDecision::query()->sole();
    expect($decision->fault)->toBe($session->current->topic);
    $this->get('/')->assertOk()->assertSee('Sharpen “sway”');
    $this->actingAs($this->person('kit'))->get('/')->assertOk()->assertDontSee('Sharpen “sway”');
    expect($this->post("/decisions/{$decision->id}/done")->status())->toBeIn([403, 404]);
    $this->actingAs($tam)->get('/')->assertOk()->assertSee('Sharpen “sway”')->assertSee('overdue');
    $this->post("/decisions/{$decision->id}/done", ['outcome' => 'two lines added'])->assertSessionHas('done');
    $this->post("/decisions/{$decision->id}/done")->assertSessionHas('refused');
    $this->get('/')->assertDontSee('Sharpen “sway”');
    $this->actingAs($this->headCoach())->get("/debriefs/{$session->public_id}/minutes")->assertOk()
        ->assertSee('Sharpen “sway”')->assertSee('two lines added');
});

it('begins over nothing but cases that can be shown', function () {
    $round = $this->round('Spring');
    $this->actingAs($this->headCoach());
    foreach ([[], [999_999], [$round->cases()->firstOrFail()->id, 1e6]] as $cases) {
        $this->post("/debrief/{$round->public_id}/sessions", ['cases' => $cases]);
    }
    $this->post("/debrief/{$this->round('Autumn')->public_id}/sessions", ['cases' => [1]])->assertNotFound();
    expect(DebriefSession::query()->count())->toBe(0);
});
