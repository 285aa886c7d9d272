<?php

use App\Debrief\Actions\AskRoom;
use App\Debrief\Actions\BeginDebrief;
use App\Debrief\Actions\CastVote;
use App\Debrief\Actions\Decide;
use App\Debrief\Actions\EndDebrief;
use App\Debrief\Actions\JoinDebrief;
use App\Debrief\Actions\KeepDebriefCase;
use App\Debrief\Actions\ShowInDebrief;
use App\Debrief\Debrief;
use App\Exceptions\ActionException;
use App\Models\DebriefDecision;
use App\Models\DebriefSession;
use App\Models\DebriefVote;
use App\Models\Enums\VoteKind;
use App\Models\Enums\VoteStage;
use App\Models\Reading;
use App\Sight\Onlookers;
use Core\Consensus\LiesIn;
use Core\Sight\Reveal;
use Illuminate\Support\Facades\DB;

/** A debrief over the Spring round's first cases, begun by the action itself. */
function roomOf(object $test, int $cases = 2): DebriefSession
{
    app(Onlookers::class)->forget();
    $round = $test->round('Spring');
    $places = array_column(array_slice(app(Debrief::class)->order($round, $test->headCoach()), 0, $cases), 'place');

    return app(BeginDebrief::class)($round, $places, $test->headCoach())->refresh();
}

function roomPage(object $test, DebriefSession $session): string
{
    return (string) $test->actingAs($test->headCoach())->get("/debriefs/{$session->public_id}/room/side")
        ->assertOk()->getContent();
}

it('shows reasons under no name, and none where so few read that it would be known whose they are', function () {
    $session = roomOf($this);
    $case = $session->current()->firstOrFail();
    $readings = Reading::query()->where('sitting_case_id', $case->sitting_case_id)->whereNotNull('handed_in_at')
        ->where('stage', 'blind')->orderBy('id')->get();
    expect($readings->count())->toBeGreaterThan(5);
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table readings disable trigger user');
    DB::table('calls')->where('reading_id', $readings[0]->id)->where('fault', $case->topic)->update([
        'presence' => 'present', 'severity' => 2, 'sound' => false,
        'pins' => json_encode([['on' => 'film', 't' => 1.5, 'reason' => '<b>whose</b> hand is this']]),
    ]);
    app(ShowInDebrief::class)($session, $case, Reveal::Spread, null, null);
    expect(roomPage($this, $session))->toContain('&lt;b&gt;whose&lt;/b&gt; hand is this')->not->toContain('<b>whose');
    // Four readers: their counts, and nothing one of them said.
    Reading::query()->whereKey($readings->slice(4)->pluck('id'))->update(['handed_in_at' => null]);
    expect(roomPage($this, $session))->toContain('class="spread"')->not->toContain('hand is this');
});

it('tells the room why it shows nothing where a consent ended or a swing was erased meanwhile', function () {
    $session = roomOf($this);
    $case = $session->current()->firstOrFail();
    app(ShowInDebrief::class)($session, $case, Reveal::Ruling, null, null);
    $recording = $case->case()->firstOrFail()->swings()->firstOrFail()->recording()->firstOrFail();
    $recording->golfer->consents()->update(['withdrawn_at' => now()]);
    app(Onlookers::class)->forget();
    expect(roomPage($this, $session))->toContain('consent has ended')->not->toContain('class="spread"')
        ->not->toContain('grade');
    $this->get("/debriefs/{$session->public_id}/evidence/{$case->id}/1")->assertStatus(410);
    // Who has joined is barred by it too: it is shown to nobody.
    app(JoinDebrief::class)($session, $this->person('tam'));
    $other = $session->cases()->whereKeyNot($case->id)->firstOrFail();
    expect(fn () => app(ShowInDebrief::class)($session, $case, null, 'sway', null))->toThrow(ActionException::class);
    app(ShowInDebrief::class)($session, $other, null, null, null);
    expect($session->refresh()->current_case_id)->toBe($other->id);
});

it('takes no vote that was not asked, of nobody who has not joined, and after the end nothing at all', function () {
    $session = roomOf($this);
    $stranger = roomOf($this);
    $case = $session->current()->firstOrFail();
    $tam = $this->person('tam');
    app(JoinDebrief::class)($session, $tam);
    $question = app(AskRoom::class)($session, $case, VoteKind::Presence, (string) $case->topic);
    $cast = app(CastVote::class);
    foreach (['', 'Present', 'presence', 'none', "present'", str_repeat('x', 41)] as $wrong) {
        expect(fn () => $cast($session, $question, $tam, $wrong))->toThrow(ActionException::class);
    }
    // Of another debrief's question there is nothing to answer here.
    expect(fn () => $cast($stranger, $question, $tam, 'present'))
        ->toThrow(Illuminate\Database\Eloquent\ModelNotFoundException::class);
    $this->actingAs($this->person('kit'))
        ->postJson("/debriefs/{$session->public_id}/votes/{$question->id}", ['answer' => 'present'])->assertNotFound();
    $this->actingAs($tam)
        ->postJson("/debriefs/{$stranger->public_id}/votes/{$question->id}", ['answer' => 'present'])->assertNotFound();
    $cast($session, $question, $tam, 'present');
    $cast($session, $question, $tam, 'absent');
    expect(DebriefVote::query()->where('debrief_question_id', $question->id)->sole()->answer)->toBe('absent');
    app(EndDebrief::class)($session, $this->headCoach());
    expect($question->refresh()->stage)->toBe(VoteStage::Between);
    foreach ([
        fn () => $cast($session, $question, $tam, 'present'),
        fn () => app(AskRoom::class)($session, $case, VoteKind::Drill, ''),
        fn () => app(AskRoom::class)->on($session, $question, VoteStage::Between),
        fn () => app(ShowInDebrief::class)($session, $case, Reveal::Ruling, null, null),
        fn () => app(KeepDebriefCase::class)->notes($session, $case, 'later'),
        fn () => app(KeepDebriefCase::class)->move($session, $case, 2),
        fn () => app(JoinDebrief::class)($session, $this->person('kit')),
    ] as $late) {
        expect($late)->toThrow(ActionException::class);
    }
});

it('keeps a debrief of its own round apart: its cases, questions and notes are reached by no other', function () {
    $one = roomOf($this);
    $two = roomOf($this);
    $case = $two->current()->firstOrFail();
    $this->actingAs($this->headCoach());
    $at = "/debriefs/{$one->public_id}";
    $this->postJson("$at/show", ['case' => $case->id, 'reveal' => 5])->assertNotFound();
    $this->post("$at/cases/{$case->id}", ['notes' => 'not here'])->assertNotFound();
    $this->post("$at/questions", ['case' => $case->id, 'kind' => 'presence', 'fault' => $case->topic])->assertNotFound();
    $question = app(AskRoom::class)($two, $case, VoteKind::Presence, (string) $case->topic);
    $this->post("$at/questions/{$question->id}", ['from' => 'before'])->assertNotFound();
    $this->post("$at/decisions", [
        'case' => $case->id, 'lies' => 'seeing', 'what' => 'not here', 'owner' => $this->headCoach()->id,
    ])->assertNotFound();
    expect($case->refresh()->revealed)->toBe(Reveal::Swing)
        ->and($case->notes)->toBe('')
        ->and($question->refresh()->stage)->toBe(VoteStage::Before)
        ->and(DebriefDecision::query()->count())->toBe(0);
});

it('writes minutes in which what people typed is text, and holds back what waits for a blind reading', function () {
    $session = roomOf($this);
    $case = $session->current()->firstOrFail();
    app(KeepDebriefCase::class)->notes($session, $case, '<img src=x onerror=alert(1)> ask Tam');
    app(Decide::class)($session, $case, LiesIn::School, '<script>alert(2)</script>', $this->person('tam'), null,
        $this->headCoach());
    app(Decide::class)($session, null, LiesIn::Seeing, 'Meet again in spring', $this->headCoach(), null,
        $this->headCoach());
    $page = (string) $this->actingAs($this->headCoach())->get("/debriefs/{$session->public_id}/minutes")
        ->assertOk()->assertSee('Meet again in spring')->assertSee('ask Tam')->getContent();
    expect($page)->not->toContain('<img src=x')->not->toContain('<script>alert(2)');
    $pdf = $this->get("/debriefs/{$session->public_id}/minutes.pdf")->assertOk()
        ->assertHeader('Content-Type', 'application/pdf');
    expect((string) $pdf->baseResponse->getContent())->toStartWith('%PDF-')->not->toContain('/JavaScript');
    $this->actingAs($this->person('tam'))->get("/debriefs/{$session->public_id}/minutes.pdf")->assertNotFound();
    $today = (string) $this->actingAs($this->person('tam'))->get('/')->assertOk()->getContent();
    expect($today)->toContain('&lt;script&gt;alert(2)')->not->toContain('<script>alert(2)')
        ->not->toContain('Meet again in spring');
    // What was shown of it is noted for whoever had joined, once.
    app(JoinDebrief::class)($session, $this->person('tam'));
    foreach ([Reveal::Panel, Reveal::Measured, Reveal::Measured] as $reveal) {
        app(ShowInDebrief::class)($session, $case, $reveal, null, null);
    }
    $noted = DB::table('exposures')->where('user_id', $this->person('tam')->id)
        ->where('sitting_id', $session->sitting_id)
        ->where('recording_id', $case->case()->firstOrFail()->swings()->value('recording_id'));
    expect($noted->pluck('what')->sort()->values()->all())->toBe(['key', 'numbers']);
});

it('tells the room nothing of the key by a vote before the presenter has shown what the panel says', function () {
    $session = roomOf($this);
    $case = $session->current()->firstOrFail();
    $staff = array_map(fn (string $who) => $this->person($who), ['tam', 'kit', 'ines', 'dov', 'hanne', 'bea']);
    foreach ($staff as $member) {
        app(JoinDebrief::class)($session, $member);
    }
    $question = app(AskRoom::class)($session, $case, VoteKind::Presence, (string) $case->topic);
    foreach (['absent', 'present'] as $answer) {
        foreach ($staff as $member) {
            app(CastVote::class)($session, $question->refresh(), $member, $answer);
        }
        app(AskRoom::class)->on($session, $question, $question->stage);
        app(AskRoom::class)->on($session, $question, VoteStage::Between);
    }
    expect($question->refresh()->stage)->toBe(VoteStage::Done);
    // Whatever the key says, the room reads the same.
    $pages = [];
    foreach ([['present'], ['absent'], null] as $answers) {
        $question->update(['answers' => $answers]);
        $pages[] = roomPage($this, $session);
    }
    expect(array_unique($pages))->toHaveCount(1)
        ->and($pages[0])->toContain('6 of 6 who voted twice changed their answer.')
        ->not->toContain('key')->not->toContain('class="right"');
    $question->update(['answers' => ['present']]);
    app(ShowInDebrief::class)($session, $case, Reveal::Panel, null, null);
    expect(roomPage($this, $session))->toContain('6 went over to the key')->toContain('class="right"');
});
