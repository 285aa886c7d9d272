<?php

use App\Models\Call;
use App\Models\Film;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\MeasurementSet;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultRules;
use Core\Reading\CaseKind;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;

require_once dirname(__DIR__).'/Readiness/readers.php';

/*
 * The proof of what may be seen, over all routes and methods, for everybody a state is dangerous for. Canaries
 * – words
 * that stand nowhere else – are planted in every measurement, verdict, key entry, ruling and call, and looked for in
 * every answer to everybody from whom they are to be kept; what is hidden is answered byte for byte as what is not
 * there; and when every secret is changed, no byte of any answer may change with it. A route that this proof does not
 * know fails it.
 */

/** Every route with its methods, by name. A new one belongs here once somebody has thought about what it shows. */
const KNOWN_ROUTES = [
    'login' => 'GET',
    'login.enter' => 'POST',
    'login.code' => 'GET',
    'login.check' => 'POST',
    'password.confirm' => 'GET',
    'password.confirm.store' => 'POST',
    'forgotten' => 'GET',
    'forgotten.send' => 'POST',
    'begin' => 'GET',
    'begin.store' => 'POST',
    'invited' => 'GET',
    'invited.accept' => 'POST',
    'reset' => 'GET',
    'reset.store' => 'POST',
    'address' => 'GET',
    'address.confirm' => 'POST',
    'notices' => 'GET',
    'notices.update' => 'PUT',
    'notices.seen' => 'POST',
    'account' => 'GET',
    'account.update' => 'PUT',
    'account.password' => 'PUT',
    'account.address' => 'POST',
    'account.sessions.end' => 'DELETE',
    'account.leave' => 'POST',
    'account.factor' => 'GET',
    'account.factor.keep' => 'POST',
    'account.factor.codes' => 'PUT',
    'account.factor.drop' => 'DELETE',
    'people' => 'GET',
    'people.invite' => 'POST',
    'people.show' => 'GET',
    'people.update' => 'PUT',
    'people.again' => 'POST',
    'people.withdraw' => 'DELETE',
    'people.end' => 'POST',
    'people.enable' => 'POST',
    'people.reset' => 'POST',
    'people.factor.drop' => 'DELETE',
    'golfers' => 'GET',
    'golfers.store' => 'POST',
    'golfers.show' => 'GET',
    'golfers.held' => 'GET',
    'golfers.update' => 'PUT',
    'lessons.index' => 'GET',
    'prescriptions.create' => 'GET',
    'prescriptions.store' => 'POST',
    'prescriptions.show' => 'GET',
    'prescriptions.choose' => 'PUT',
    'prescriptions.update' => 'PUT',
    'prescriptions.drop' => 'DELETE',
    'prescriptions.note' => 'GET',
    'prescriptions.note.pdf' => 'GET',
    'prescriptions.note.calendar' => 'GET',
    'follow-ups.store' => 'POST',
    'follow-ups.show' => 'GET',
    'follow-ups.feel' => 'POST',
    'follow-ups.place' => 'PUT',
    'lessons.store' => 'POST',
    'lessons.show' => 'GET',
    'lessons.update' => 'PUT',
    'lessons.feel' => 'POST',
    'lessons.balls' => 'POST',
    'lessons.balls.file' => 'GET',
    'lessons.balls.import' => 'POST',
    'lessons.balls.drop' => 'DELETE',
    'golfers.erase' => 'DELETE',
    'erasures.show' => 'GET',
    'retention' => 'GET',
    'retention.rules' => 'PUT',
    'retention.keep' => 'POST',
    'golfers.limits' => 'POST',
    'golfers.limits.end' => 'DELETE',
    'golfers.consent' => 'POST',
    'golfers.consents' => 'POST',
    'people.groups' => 'POST',
    'golfers.withdraw' => 'DELETE',
    'golfers.paper' => 'GET',
    'academy' => 'GET',
    'academy.update' => 'PUT',
    'academy.clear' => 'DELETE',
    'academy.groups.store' => 'POST',
    'academy.groups.update' => 'PUT',
    'academy.groups.drop' => 'DELETE',
    'academy.letters' => 'GET',
    'logout' => 'POST',
    'today' => 'GET',
    'search' => 'GET',
    'keys' => 'PUT',
    'codebook' => 'GET',
    'codebook.document' => 'GET',
    'codebook.store' => 'POST',
    'codebook.fault' => 'GET',
    'practice' => 'GET',
    'practice.begin' => 'POST',
    'practice.end' => 'DELETE',
    'practice.question' => 'GET',
    'practice.answer' => 'POST',
    'practice.evidence' => 'GET',
    'practice.film' => 'GET',
    'practice.other' => 'GET',
    'practice.progress' => 'GET',
    'plans' => 'GET',
    'plans.store' => 'POST',
    'plans.hours' => 'GET',
    'plans.drop' => 'DELETE',
    'plans.done' => 'POST',
    'checks' => 'GET',
    'checks.start' => 'POST',
    'checks.stop' => 'DELETE',
    'readiness' => 'GET',
    'readiness.rules.create' => 'GET',
    'readiness.rules.store' => 'POST',
    'readiness.rules.show' => 'GET',
    'readiness.rules.update' => 'PUT',
    'readiness.rules.retire' => 'DELETE',
    'readiness.begin' => 'POST',
    'readiness.ask' => 'POST',
    'readiness.show' => 'GET',
    'readiness.decide' => 'POST',
    'readiness.end' => 'DELETE',
    'readiness.statement' => 'GET',
    'readiness.verify' => 'GET',
    'contrast' => 'GET',
    'contrast.ask' => 'POST',
    'contrast.show' => 'GET',
    'contrast.evidence' => 'GET',
    'codebook.example.add' => 'POST',
    'codebook.example.look' => 'POST',
    'codebook.example.drop' => 'DELETE',
    'codebook.draft' => 'GET',
    'codebook.draft.begin' => 'POST',
    'codebook.draft.drop' => 'DELETE',
    'codebook.draft.take-up' => 'POST',
    'codebook.draft.try' => 'POST',
    'codebook.draft.rebase' => 'POST',
    'codebook.draft.publish' => 'POST',
    'codebook.draft.add' => 'POST',
    'codebook.draft.edit' => 'GET',
    'codebook.draft.save' => 'PUT',
    'codebook.draft.remove' => 'DELETE',
    'codebook.draft.back' => 'POST',
    'codebook.draft.look' => 'POST',
    'own' => 'GET',
    'own.data' => 'GET',
    'own.review' => 'POST',
    'read.next' => 'GET',
    'read' => 'GET',
    'read.evidence' => 'GET',
    'read.film' => 'GET',
    'read.sheet' => 'GET',
    'read.change' => 'POST',
    'read.hand-in' => 'POST',
    'bench' => 'GET',
    'bench.beside' => 'GET',
    'bench.compare' => 'GET',
    'bench.why' => 'GET',
    'bench.evidence' => 'GET',
    'bench.state' => 'GET',
    'bench.film' => 'GET',
    'bench.mark' => 'POST',
    'bench.clock' => 'POST',
    'bench.repair' => 'POST',
    'bench.repair.back' => 'DELETE',
    'facts' => 'GET',
    'facts.update' => 'PUT',
    'facts.several' => 'PUT',
    'undo' => 'POST',
    'bench.remove' => 'GET',
    'bench.erase' => 'DELETE',
    'agreement.index' => 'GET',
    'agreement' => 'GET',
    'agreement.person' => 'GET',
    'agreement.record' => 'GET',
    'agreement.export' => 'GET',
    'agreement.make' => 'POST',
    'panel.index' => 'GET',
    'panel' => 'GET',
    'panel.rule' => 'POST',
    'debriefs.begin' => 'POST',
    'debriefs.present' => 'GET',
    'debriefs.show' => 'POST',
    'debriefs.case' => 'POST',
    'debriefs.ask' => 'POST',
    'debriefs.on' => 'POST',
    'debriefs.decide' => 'POST',
    'debriefs.end' => 'POST',
    'rounds.progress' => 'GET',
    'rounds.due' => 'POST',
    'rounds.withdraw' => 'POST',
    'rounds.seat' => 'POST',
    'rounds.remind' => 'POST',
    'rounds.calendar' => 'GET',
    'agreement.fault' => 'GET',
    'agreement.case' => 'GET',
    'agreement.pair' => 'GET',
    'agreement.times' => 'GET',
    'agreement.advice' => 'GET',
    'rounds.forecast' => 'GET',
    'reports' => 'GET',
    'reports.show' => 'GET',
    'reports.pdf' => 'GET',
    'reports.board' => 'GET',
    'reports.board.pdf' => 'GET',
    'reports.write' => 'PUT',
    'debriefs.minutes' => 'GET',
    'debriefs.paper' => 'GET',
    'decisions.done' => 'POST',
    'debriefs.room' => 'GET',
    'debriefs.room.side' => 'GET',
    'debriefs.state' => 'GET',
    'debriefs.evidence' => 'GET',
    'debriefs.film' => 'GET',
    'debriefs.vote' => 'GET',
    'debriefs.cast' => 'POST',
    'join' => 'GET',
    'join.in' => 'POST',
    'panel.versions' => 'GET',
    'agreement.letter' => 'GET',
    'agreement.letter.pdf' => 'GET',
    'judging.open' => 'POST',
    'judging.close' => 'POST',
    'judging' => 'GET',
    'judging.answer' => 'POST',
    'following.open' => 'POST',
    'following.close' => 'POST',
    'following' => 'GET',
    'following.answer' => 'POST',
    'shelf' => 'GET',
    'imports.store' => 'POST',
    'batches.store' => 'POST',
    'batches.show' => 'GET',
    'batches.update' => 'PUT',
    'batches.finish' => 'POST',
    'imports.show' => 'GET',
    'imports.update' => 'PUT',
    'imports.finish' => 'POST',
    'imports.drop' => 'DELETE',
    'imports.repair' => 'POST',
    'imports.repair.back' => 'DELETE',
    'imports.cut' => 'POST',
    'films.store' => 'POST',
    'films.append' => 'PUT',
    'films.state' => 'GET',
    'films.original' => 'GET',
    'films.clock' => 'POST',
    'films.drop' => 'DELETE',
    'debrief.index' => 'GET',
    'debrief.first' => 'GET',
    'debrief.evidence' => 'GET',
    'debrief' => 'GET',
    'rounds' => 'GET',
    'rounds.plan' => 'GET',
    'rounds.choices' => 'GET',
    'rounds.store' => 'POST',
    'rounds.show' => 'GET',
    'rounds.open' => 'POST',
    'rounds.reopen' => 'POST',
    'rounds.close' => 'POST',
    'rounds.publish' => 'POST',
    'capture' => 'GET',
    'capture.live' => 'GET',
    'capture.arm' => 'POST',
    'capture.keep' => 'POST',
    'capture.leave' => 'DELETE',
    'capture.register' => 'POST',
    'capture.check' => 'PUT',
    'capture.renew' => 'POST',
    'capture.revoke' => 'DELETE',
    'record' => 'GET',
    'record.export' => 'GET',
    'works.show' => 'GET',
    'works.cancel' => 'DELETE',
    'ingest.token' => 'POST',
    'ingest.open' => 'POST',
    'ingest.chunks' => 'POST',
    'ingest.close' => 'POST',
    'up' => 'GET',
];

/** What stands for something that is not there, by parameter. */
const NOTHING = [
    'sitting' => '01zzzzzzzzzzzzzzzzzzzzzzzz',
    'example' => '01zzzzzzzzzzzzzzzzzzzzzzzz',
    'set' => '01zzzzzzzzzzzzzzzzzzzzzzzz',
    'made' => 999_999_999,
    'rule' => '01zzzzzzzzzzzzzzzzzzzzzzzz',
    'trial' => '01zzzzzzzzzzzzzzzzzzzzzzzz',
    'statement' => '01zzzzzzzzzzzzzzzzzzzzzzzz',
    'reading' => 'zzzzzzzzzzzzzzzzzzzzzzzzzz',
    'recording' => '01j0000000000000000000zzzz',
    'other' => '01j0000000000000000000zzzz',
    'round' => '01j0000000000000000000zzzz',
    'following' => '01j0000000000000000000zzzz',
    'judging' => '01j0000000000000000000zzzz',
    'debriefing' => '01j0000000000000000000zzzz',
    'case' => 1,
    'question' => 1,
    'decision' => 1,
    'code' => '123456',
    'session' => '01j0000000000000000000zzzz',
    'import' => '01j0000000000000000000zzzz',
    'film' => 'zzzzzzzzzzzzzzzzzzzzzzzzzz',
    'entry' => 999_999_999,
    'work' => '01j0000000000000000000zzzz',
    'device' => '01j0000000000000000000zzzz',
    'member' => 999_999_999,
    'first' => 999_999_999,
    'second' => 999_999_999,
    'station' => 'IM',
    'person' => 999_999_999,
    'group' => 999_999_999,
    'golfer' => 999_999_999,
    'limit' => 999_999_999,
    'paper' => '01j0000000000000000000zzzz',
    'undo' => '01j0000000000000000000zzzz',
    'batch' => '01j0000000000000000000zzzz',
    'erasure' => '01j0000000000000000000zzzz',
    'lesson' => '01j0000000000000000000zzzz',
    'ball' => 999_999_999,
    'prescription' => '01j0000000000000000000zzzz',
    'plan' => '01j0000000000000000000zzzz',
    'goal' => '01j0000000000000000000zzzz',
    'followUp' => '01j0000000000000000000zzzz',
];

/** @return list<Recording> the recordings laid, in order */
function laid(): array
{
    return Recording::query()->with('golfer')->orderBy('id')->get()->all();
}

/** An open sitting of these people over these recordings. */
function sat(
    object $test,
    string $name,
    SittingKind $kind,
    array $people,
    array $recordings,
    bool $reveals = false,
    bool $open = true,
): Sitting {
    $sitting = app(App\Sittings\Actions\PlanRound::class)(
        $name,
        $kind,
        array_map(fn (Recording $r): int => $r->id, $recordings),
        array_map(fn (User $u): int => $u->id, $people),
        'both',
        $test->headCoach(),
        reveals: $reveals,
    );
    $open && app(App\Sittings\Actions\OpenRound::class)($sitting, $test->headCoach());

    return $sitting->refresh();
}

/** Everything of these people in a sitting handed in. */
function handedIn(Sitting $sitting): void
{
    foreach ($sitting->readings()->with('user', 'case')->get() as $reading) {
        foreach (Core\Codebook\Codebook::standard()->keys() as $fault) {
            Call::query()->updateOrCreate(
                ['reading_id' => $reading->id, 'fault' => $fault],
                ['presence' => 'absent', 'confidence' => 70],
            );
        }
        app(App\Sittings\Actions\HandInReading::class)($reading->fresh(), $reading->user);
    }
}

/**
 * Every state that has given something away, laid beside the demo: spring is published over the first five recordings,
 * autumn open over the other three, the winter study published over all.
 *
 * @return array<string, array{User, list<int>}> by name: who, and the places of the recordings whose numbers and key
 *     they may see
 */
function everyState(object $test): array
{
    $r = laid();
    [$tam, $kit, $bea, $odile, $piet] = array_map($test->person(...), ['tam', 'kit', 'bea', 'odile', 'piet']);
    $second = User::query()->create([
        'name' => 'Second Head',
        'email' => 'second@fernhollow.example',
        'password' => 'x',
        'role' => 'head-coach',
    ]);
    $nobody = User::query()->create([
        'name' => 'No Seat',
        'email' => 'nobody@fernhollow.example',
        'password' => 'x',
        'role' => 'instructor',
    ]);
    // The same recording in a second round; a draft that must change nothing.
    sat($test, 'Once more', SittingKind::Round, [$tam], [$r[0]], true);
    sat($test, 'A draft', SittingKind::Round, [$tam, $odile], [$r[4]], open: false);
    // A second look, open, while the same swing waits to be read blind elsewhere.
    handedIn(sat($test, 'Looked at', SittingKind::Round, [$kit], [$r[1]], true));
    sat($test, 'Looked at elsewhere', SittingKind::Round, [$kit], [$r[1]]);
    // A panel member reads again; another one has a seat among the staff; a head coach reads.
    sat($test, 'Panel again', SittingKind::Panel, [$odile], [$r[2]]);
    sat($test, 'Two roles', SittingKind::Round, [$piet], [$r[0]]);
    sat($test, 'The head reads', SittingKind::Round, [$second], [$r[4]]);
    // Closed and not published.
    $shut = sat($test, 'Shut', SittingKind::Round, [$bea], [$r[3]]);
    handedIn($shut);
    app(App\Sittings\Actions\CloseRound::class)($shut, $test->headCoach());
    // A swing of a series with a hidden sibling.
    foreach ([3, 0] as $i) {
        $r[$i]->update(['golfer_id' => $r[0]->golfer_id, 'series' => 'one evening']);
    }
    // An instructor whose own swing is among spring's, with a private review of it handed in.
    $hanne = $test->person('hanne');
    $hanne->forceFill(['golfer_id' => $r[2]->golfer_id])->save();
    $review = app(App\Sittings\Actions\BeginReview::class)($r[2], $hanne);
    handedIn($review->case->sitting);
    // Kit sees four of spring's recordings; the last one's golfer takes the consent back.
    $r[7]->golfer->consents()->update(['withdrawn_at' => now()]);
    // Two who practise, each with a question that is not answered.
    app(App\Sight\Onlookers::class)->forget();
    foreach ([$kit, $nobody] as $user) {
        app(App\Practice\Actions\BeginPractice::class)($user, null, 5);
    }
    // A draft of the codebook that was tried on all of them; one stands beside a fault as an example.
    $draft = app(App\Codebook\Actions\SaveDraft::class)(
        app(App\Codebook\Actions\BeginDraft::class)($test->headCoach()),
        null,
        static fn (CodebookDocument $d): CodebookDocument => FaultRules::put($d, 'hang-back', [
            'own' => ['supported' => ['impact_share', '<', 79], 'contradicted' => ['impact_share', '>=', 84]],
        ]),
        $test->headCoach(),
    );
    app(App\Codebook\Actions\TryDraft::class)->carryOut($draft, App\Works\Progress::untold());
    App\Models\CodebookExample::query()->create([
        'fault' => 'hang-back', 'recording_id' => $r[4]->id, 'shows' => true, 'note' => 'To be seen at impact.',
    ]);
    App\Models\Consent::query()->create([
        'golfer_id' => $r[4]->golfer_id, 'scope' => Core\Sight\Scope::TeachingMaterial,
        'given_on' => now()->toDateString(), 'expires_on' => now()->addYear()->toDateString(),
    ]);

    // One in a test of readiness, a case read and another waiting; another is decided on, and appeals.
    $tested = whoReadNothing('In Test');
    $rule = aRule();
    app(App\Sight\Onlookers::class)->forget();
    $trial = app(App\Readiness\Actions\BeginTest::class)($tested, $rule, $test->headCoach());
    handedIn($trial->sitting);
    expect(App\Readiness\TestRun::asked($trial))->toBe(2);
    foreach ([[Core\Training\DecisionKind::Refused, $test->headCoach()], [Core\Training\DecisionKind::Appealed, $nobody]] as [$what, $by]) {
        app(App\Readiness\Actions\Decide::class)($nobody, $rule, $what, 'For a reason that is long enough.', $by);
    }
    app(App\Readiness\Actions\AskForTest::class)($tam, $rule);
    // One who teaches with the first swing, and then with one that they still have to read blind.
    $teacher = whoReadNothing('Who Teaches');
    taughtWith($r[0], $r[3], $teacher);
    sat($test, 'A teacher reads', SittingKind::Round, [$teacher], [$r[3]]);

    return [
        'an instructor in a test of readiness' => [$tested, []],
        'an instructor who teaches' => [$teacher, [0]],
        'an instructor in a weekly check' => [checkedOn($test), []],
        'a head coach' => [$test->headCoach(), [0, 1, 2, 3, 4, 5, 6]],
        'an instructor who is a golfer' => [$hanne, [0, 1, 3, 4]],
        'a head coach who reads' => [$second, [0, 1, 2, 3, 5, 6]],
        'an instructor who reads again' => [$tam, [1, 2, 3, 4]],
        'an instructor with a second look' => [$kit, [0, 2, 3, 4]],
        'an instructor in a closed round' => [$bea, [0, 1, 2, 4]],
        'a panel member who reads again' => [$odile, [0, 1, 3, 4, 5, 6]],
        'a panel member among the staff' => [$piet, [1, 2, 3, 4, 5, 6]],
        'an instructor without a seat' => [$nobody, []],
    ];
}

/** Somebody whom a weekly check asks: one case is handed in, two wait, and last week's is over. */
function checkedOn(object $test): User
{
    $user = whoReadNothing('In Check');
    $states = User::query()->where('role', 'instructor')->whereKeyNot($user->id)->pluck('state', 'id');
    DB::table('users')->whereIn('id', $states->keys())->update(['state' => 'disabled']);
    $key = App\Models\KeyVersion::query()->newest()->orderByDesc('id')->firstOrFail();
    $hold = app(App\Readiness\Actions\HoldChecks::class);
    $hold->start($key, 1, $test->headCoach());
    $hold->open();
    handedIn(App\Models\Check::query()->sole()->sitting);
    $was = Illuminate\Support\Carbon::getTestNow();
    Illuminate\Support\Carbon::setTestNow(now()->addDays(7));
    $hold->open();
    $now = App\Models\Check::query()->orderByDesc('week_on')->firstOrFail()->sitting;
    app(App\Sittings\Actions\HandInReading::class)(tap($now->readings()->with('user', 'case')->firstOrFail(), function (Reading $r): void {
        foreach (Core\Codebook\Codebook::standard()->keys() as $fault) {
            Call::query()->updateOrCreate(['reading_id' => $r->id, 'fault' => $fault], ['presence' => 'absent', 'confidence' => 70]);
        }
    })->fresh(), $user);
    Illuminate\Support\Carbon::setTestNow($was);
    foreach ($states as $id => $state) {
        DB::table('users')->where('id', $id)->update(['state' => $state]);
    }
    app(App\Sight\Onlookers::class)->forget();

    return $user;
}

/** A session with the one swing, what was prescribed in it, and a later one with the other held against it. */
function taughtWith(Recording $first, Recording $later, User $by): void
{
    $head = test()->headCoach();
    $lessons = [];
    foreach ([$first, $later] as $i => $swing) {
        $lessons[] = App\Models\Lesson::query()->create([
            'golfer_id' => $swing->golfer_id, 'held_on' => now()->subDays(9 - $i)->toDateString(), 'asks_feel' => false,
            'given_by' => $by->id,
        ]);
        $swing->forceFill(['lesson_id' => $lessons[$i]->id])->save();
    }
    app(App\Sight\Onlookers::class)->forget();
    $prescribe = app(App\Lessons\Actions\Prescribe::class);
    $draft = $prescribe->see($lessons[0], ['hang-back' => 'now'], ['hang-back'], 'early-recentre', $by);
    $prescribe->choose($draft, 'step-in');
    $prescribe->write($draft, [...$draft->refresh()->plan, 'cue' => 'Step, then swing'], 'for a reason', null, now()->toDateString(), []);
    $prescribe->handOver($draft, $head);
    $draft->refresh();
    $follow = app(App\Lessons\Actions\FollowUpOn::class);
    $followUp = $follow->begin($draft, $lessons[1], $by);
    $follow->feel($followUp, ['felt' => Core\Prescription\Seen::Better, 'felt_says' => '', 'judged' => Core\Prescription\Seen::Same,
        'judged_says' => ''], $by);
    $follow->place($followUp, [$later->id => 'full-speed']);
    $prescribe->see($lessons[1], ['hang-back' => 'later'], [], 'early-recentre', $by);
    app(App\Sight\Onlookers::class)->forget();
}

/** Plants a word of its own in all that is secret of each recording, and in everybody's calls. */
function plantCanaries(): void
{
    foreach (['key_entries', 'key_cases', 'calls', 'readings'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    foreach (laid() as $i => $recording) {
        $set = MeasurementSet::query()->where('recording_id', $recording->id)->sole();
        $set->update([
            'measurements' => [
                ...$set->measurements,
                'tempo' => ['value' => null, 'unit' => 'ratio', 'reason' => "canarynumber$i"],
                'finish_share' => ['value' => null, 'unit' => '%', 'reason' => "canarynumber$i"],
            ],
            'faults' => array_map(
                fn ($lens) => array_map(fn ($f) => [...$f, 'why' => "canaryverdict$i"], $lens),
                $set->faults,
            ),
            'quality' => [
                [
                    'kind' => 'stuck',
                    'severity' => 'serious',
                    'what' => "canaryquality$i",
                    'effect' => 'nulled',
                    'from_s' => 1.0,
                    'to_s' => 1.2,
                    'signals' => [],
                    'widening' => 2.0,
                    'measurements' => [],
                ],
            ],
        ]);
        foreach (
            KeyEntry::query()
                ->whereHas(
                    'case',
                    fn ($q) => $q
                        ->where('kind', CaseKind::Single)
                        ->whereHas('swings', fn ($s) => $s->where('recording_id', $recording->id)),
                )
                ->get() as $entry
        ) {
            $entry->update([
                'judgement' => null,
                'worded_then' => "canarykey$i",
                'grade' => 'conflict',
                'ruling' => $entry->fault === 'sway' ? 'absent' : null,
                'ruling_reason' => $entry->fault === 'sway' ? "canaryruling$i" : null,
                'ruled_by' => $entry->fault === 'sway' ? User::query()->value('id') : null,
                'ruled_at' => $entry->fault === 'sway' ? now() : null,
            ]);
        }
        Reading::query()
            ->whereHas('case.swings', fn ($q) => $q->where('recording_id', $recording->id))
            ->get()
            ->each(function (Reading $reading) use ($i): void {
                DB::table('readings')
                    ->where('id', $reading->id)
                    ->update(['cue' => "canarycue{$i}of{$reading->user_id}"]);
                DB::table('calls')
                    ->where('reading_id', $reading->id)
                    ->update([
                        'pins' => json_encode([
                            ['on' => 'film', 't' => 1.0, 'reason' => "canarypin{$i}of{$reading->user_id}"],
                        ]),
                    ]);
            });
    }
}

/** @return array<string, list<string|int>> values of the parameters, enough of each to meet every state */
function parameters(User $user): array
{
    $others = Reading::query()
        ->where('user_id', '<>', $user->id)
        ->orderBy('id')
        ->pluck('public_id')
        ->filter(fn ($id, int $i): bool => $i % 23 === 0)
        ->values()
        ->all();

    return [
        'reading' => [
            ...Reading::query()->where('user_id', $user->id)->orderBy('id')->pluck('public_id')->all(),
            ...$others,
        ],
        'recording' => Recording::query()->orderBy('id')->pluck('public_id')->all(),
        'round' => Sitting::query()->orderBy('id')->pluck('public_id')->all(),
        'debriefing' => App\Models\DebriefSession::query()->orderBy('id')->pluck('public_id')->all()
            ?: [NOTHING['debriefing']],
        'case' => App\Models\DebriefCase::query()->orderBy('id')->limit(3)->pluck('id')->all() ?: [1],
        'question' => App\Models\DebriefQuestion::query()->orderBy('id')->pluck('id')->all() ?: [1],
        'decision' => App\Models\DebriefDecision::query()->orderBy('id')->pluck('id')->all() ?: [1],
        'code' => ['123456'],
        'judging' => App\Models\DrillJudging::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['judging']],
        'following' => App\Panel\FollowingRounds::all()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['round']],
        'other' => Recording::query()->orderBy('id')->limit(3)->pluck('public_id')->all(),
        'film' => Film::query()->orderBy('id')->pluck('public_id')->all(),
        'entry' => KeyEntry::query()->where('fault', 'sway')->orderBy('id')->pluck('id')->all(),
        'member' => [$user->id, test()->person('ines')->id],
        'first' => [test()->person('ines')->id],
        'second' => [test()->person('tam')->id],
        'station' => ['TP', 'IM'],
        'fault' => ['hang-back'],
        'swing' => [1],
        'place' => [1, 2],
        'view' => ['face-on'],
        'part' => ['stream', 'TP', 'faults'],
        'key' => ['hang-back'],
        'sitting' => App\Models\PracticeSitting::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['sitting']],
        'example' => App\Models\CodebookExample::query()->orderBy('id')->pluck('public_id')->all()
            ?: [NOTHING['example']],
        'rule' => App\Models\ReadinessRule::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['rule']],
        'trial' => App\Models\ReadinessTest::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['trial']],
        'statement' => App\Models\ReadinessDecision::query()->orderBy('id')->pluck('public_id')->all()
            ?: [NOTHING['statement']],
        'set' => App\Models\ContrastSet::query()->orderBy('id')->limit(2)->pluck('public_id')->all() ?: [NOTHING['set']],
        'made' => App\Models\MadeSwing::query()->orderBy('id')->limit(2)->pluck('id')->all() ?: [NOTHING['made']],
        'session' => [NOTHING['session']],
        'import' => [NOTHING['import']],
        'work' => App\Models\Work::query()->orderBy('id')->pluck('public_id')->all(),
        'device' => [NOTHING['device']],
        'person' => [$user->id, test()->person('ines')->id],
        'group' => [NOTHING['group']],
        'golfer' => App\Models\Golfer::query()->orderBy('id')->limit(4)->pluck('id')->all(),
        'limit' => [NOTHING['limit']],
        'paper' => [NOTHING['paper']],
        'undo' => [NOTHING['undo']],
        'batch' => [NOTHING['batch']],
        'erasure' => [NOTHING['erasure']],
        'lesson' => App\Models\Lesson::query()->orderBy('id')->pluck('public_id')->all(),
        'goal' => App\Models\TrainingGoal::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['goal']],
        'plan' => App\Models\CheckPlan::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['plan']],
        'prescription' => App\Models\Prescription::query()->orderBy('id')->pluck('public_id')->all()
            ?: [NOTHING['prescription']],
        'followUp' => App\Models\FollowUp::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['followUp']],
        'ball' => [NOTHING['ball']],
        'token' => [str_repeat('z', 40)],
    ];
}

/**
 * @param  'GET'|'other'  $which
 * @return list<array{method: string, uri: string, absent: string}> each address, and the same of something that is not
 *     there
 */
function addresses(User $user, string $which): array
{
    $values = parameters($user);
    $out = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        $method = array_values(array_diff($route->methods(), ['HEAD']))[0];
        if (
            ($method === 'GET') !== ($which === 'GET') ||
            str_starts_with($route->uri(), 'storage/') ||
            str_starts_with($route->uri(), 'ingest/') ||
            in_array($route->getName(), ['logout', 'up'], true)
        ) {
            continue;
        }
        $uris = [['/'.ltrim($route->uri(), '/'), '/'.ltrim($route->uri(), '/')]];
        foreach ($route->parameterNames() as $name) {
            expect($values)->toHaveKey(
                $name,
                message: "the proof does not know the parameter '$name' of {$route->uri()}",
            );
            $uris = array_merge(
                ...array_map(
                    static fn (array $pair): array => array_map(
                        static fn ($v): array => [
                            str_replace('{'.$name.'}', (string) $v, $pair[0]),
                            str_replace('{'.$name.'}', (string) (NOTHING[$name] ?? $v), $pair[1]),
                        ],
                        $values[$name],
                    ),
                    $uris,
                ),
            );
        }
        foreach ($uris as [$uri, $absent]) {
            $out[] = ['method' => $method, 'uri' => $uri, 'absent' => $absent];
        }
    }

    return $out;
}

/** What an answer says, status and headers and all, without what is drawn anew each time. */
function said(TestResponse $response): string
{
    $base = $response->baseResponse;
    $body = match (true) {
        $base instanceof Symfony\Component\HttpFoundation\BinaryFileResponse => hash_file(
            'sha256',
            $base->getFile()->getPathname(),
        ),
        $base instanceof Symfony\Component\HttpFoundation\StreamedResponse => $response->streamedContent(),
        default => (string) $base->getContent(),
    };
    $body = preg_replace(
        [
            '/name="_token" value="[^"]*"/',
            '/name="csrf-token" content="[^"]*"/',
            '/"token":"[^"]*"/',
            // A second factor's secret, drawn anew for whoever has none.
            '/data-qr="[^"]*"/',
            '/class="secret">[^<]*/',
            '/"made_at": "[^"]*"/',
        ],
        '',
        $body,
    );

    return $base->getStatusCode().
        "\n".
        json_encode(
            collect($base->headers->all())
                ->except(['date', 'set-cookie', 'last-modified', 'x-ratelimit-remaining', 'retry-after'])
                ->all(),
        ).
        "\n".
        $body;
}

/** One request as this person, taken back whatever it did. */
function ask(object $test, User $user, string $method, string $uri): string
{
    DB::beginTransaction();
    try {
        return said(
            $test
                ->actingAs($user)
                ->call(
                    $method,
                    $uri,
                    $method === 'GET'
                        ? []
                        : [
                            'ruling' => 'present',
                            'reason' => 'long enough to be one',
                            'code' => 'IM',
                            't_s' => 1.0,
                            'by' => 'push',
                            'view' => 'face-on',
                            'name' => 'x.mp4',
                            'bytes' => 10,
                            'offset' => 0,
                            'writer' => 'w',
                            'changes' => [],
                        ],
                ),
        );
    } finally {
        DB::rollBack();
        // What is kept of it goes as well: the next one begins with a session that holds nothing.
        session()->flush();
        session()->save();
    }
}

it('knows every route there is', function () {
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'storage/') || $route->uri() === 'up') {
            continue;
        }
        $method = array_values(array_diff($route->methods(), ['HEAD']))[0];
        expect(KNOWN_ROUTES)
            ->toHaveKey(
                (string) $route->getName(),
                message: "{$route->uri()} is new: say here that it was thought about",
            )
            ->and(KNOWN_ROUTES[(string) $route->getName()])
            ->toBe($method, $route->uri());
    }
});

it('lets no canary out, and answers what is hidden as what is not there', function () {
    $people = everyState($this);
    plantCanaries();
    $ids = array_map(static fn (Recording $r): string => $r->public_id, laid());
    $seen = 0;
    foreach ($people as $name => [$user, $may]) {
        $hidden = array_diff(array_keys($ids), $may);
        $nothing = [];
        // And shows what may be seen: a draft, for one, takes nothing away.
        foreach ($may as $i) {
            expect(substr(ask($this, $user, 'GET', "/bench/{$ids[$i]}"), 0, 3))->toBe('200', "recording $i for $name");
        }
        foreach (
            [...addresses($user, 'GET'), ...addresses($user, 'other')] as ['method' => $method, 'uri' => $uri,
                'absent' => $absent]
        ) {
            $said = ask($this, $user, $method, $uri);
            preg_match_all('/canary(number|verdict|quality|key|ruling)(\d)/', $said, $m, PREG_SET_ORDER);
            foreach ($m as [$all, $kind, $i]) {
                expect((int) $i)->toBeIn($may, "$method $uri tells $name $all");
                // Who teaches with a swing has its numbers, and nothing of what others made of it.
                expect($name === 'an instructor who teaches' && in_array($kind, ['key', 'ruling'], true))
                    ->toBeFalse("$method $uri tells $name $all");
                $seen++;
            }
            // Calls and cues: one's own on one's own sheet, anybody's for a head coach in what is published.
            preg_match_all('/canary(?:pin|cue)(\d)of(\d+)/', $said, $m, PREG_SET_ORDER);
            foreach ($m as [$all, $i, $of]) {
                // What one said oneself: on one's own sheet, and taken away once nothing of it waits to be read.
                $own = (int) $of === $user->id && (str_starts_with($uri, '/read/') ||
                    ($uri === '/own/data' && (in_array((int) $i, $may, true) ||
                        laid()[(int) $i]->golfer_id === $user->golfer_id)));
                expect(
                    $own ||
                        ($user->isHeadCoach() &&
                            in_array((int) $i, array_intersect($may, range(0, 4)), true) &&
                            str_starts_with($uri, '/debrief/')),
                )->toBeTrue("$method $uri tells $name $all");
            }
            foreach ($hidden as $i) {
                // An example leads who takes it up to its swing, and is noted.
                if (
                    $i === 4 && preg_match('#^/codebook/examples/\w+/look$#', $uri) === 1 &&
                    str_starts_with($said, '302')
                ) {
                    expect($said)->not->toContain('canary')->and($user->isHeadCoach())->toBeFalse();

                    continue;
                }
                // One's own swing opens in a private review: nobody else's does.
                if ($uri === "/own/{$ids[$i]}" && $user->golfer_id === laid()[$i]->golfer_id) {
                    expect($said)->toStartWith('302')->not->toContain('canary');
                } elseif (str_contains($uri, $ids[$i])) {
                    $without = str_replace($ids[$i], NOTHING['recording'], $uri);
                    $nothing["$method $without"] ??= ask($this, $user, $method, $without);
                    expect($said)->toBe($nothing["$method $without"], "$method $uri tells $name that it is there");
                } else {
                    expect(str_contains($said, $ids[$i]))->toBeFalse("$method $uri names recording $i to $name");
                }
            }
            // What is there and forbidden looks like what is not there.
            if (! $user->isHeadCoach() && $absent !== $uri && str_starts_with($said, '403')) {
                $nothing["$method $absent"] ??= ask($this, $user, $method, $absent);
                expect($said)->toBe($nothing["$method $absent"], "$method $uri tells $name that it is there");
            }
            $status = (int) substr($said, 0, 3);
            expect($status)->not->toBeIn([500, 503], "$method $uri as $name");
        }
    }
    // The canaries do sing where they may.
    expect($seen)->toBeGreaterThan(500);
});

it('tells nobody by the answer whether an entry, a film, a reading or a round of others is there', function () {
    $people = everyState($this);
    foreach (
        ['an instructor who reads again', 'a panel member who reads again', 'an instructor without a seat'] as $name
    ) {
        [$user] = $people[$name];
        $practised = App\Models\PracticeSitting::query()->where('user_id', $user->id)->pluck('public_id')->all();
        foreach (addresses($user, 'other') as ['method' => $method, 'uri' => $uri, 'absent' => $absent]) {
            // Examples are offered to all of these, by name, and rules of readiness; a practice sitting is its own
            // person's.
            if (
                $absent === $uri || preg_match("#^/readiness/rules/\w+/(ask|people/$user->id/decisions)$#", $uri) === 1 || str_starts_with($uri, '/read/') || str_starts_with($uri, '/codebook/examples/') ||
                array_filter($practised, static fn (string $id): bool => str_contains($uri, $id)) !== []
            ) {
                continue;
            }
            expect(ask($this, $user, $method, $uri))->toBe(
                ask($this, $user, $method, $absent),
                "$method $uri tells $name that it is there",
            );
        }
        $mine = Reading::query()->where('user_id', $user->id)->pluck('public_id')->all();
        foreach (
            Reading::query()
                ->orderBy('id')
                ->get()
                ->reject(fn (Reading $r): bool => in_array($r->public_id, $mine, true))
                ->take(4) as $reading
        ) {
            foreach (
                ['GET' => ['', '/evidence/1', '/sheet', '/film/1/face-on/stream'], 'POST' => ['/changes',
                    '/hand-in']] as $method => $parts
            ) {
                foreach ($parts as $part) {
                    expect(ask($this, $user, $method, "/read/{$reading->public_id}$part"))->toBe(
                        ask($this, $user, $method, '/read/'.NOTHING['reading'].$part),
                    );
                }
            }
        }
    }
});

/** Changes every secret of the recordings that are hidden from this person, and everybody else's unpublished calls. */
function changeEverySecret(User $user, array $hidden): void
{
    foreach (['key_entries', 'key_cases', 'calls', 'readings'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    foreach (KeyEntry::query()->whereHas('case.swings', fn ($q) => $q->whereIn('recording_id', $hidden))->get() as $e) {
        $e->update([
            'label' => $e->label === 'present' ? 'absent' : 'present',
            'grade' => 'verified',
            'judgement' => null,
            'worded_then' => 'SECRET',
            'verdict' => 'supported',
            'present' => 5,
            'absent' => 0,
            'severity' => 3,
        ]);
    }
    foreach (KeyCase::query()->get() as $of) {
        if (DB::table('case_swings')->where('case_id', $of->case_id)->whereIn('recording_id', $hidden)->exists()) {
            $of->update(['body' => [...$of->body, 'drills' => [['name' => 'SECRET', 'n' => 5]]]]);
        }
    }
    foreach (MeasurementSet::query()->whereIn('recording_id', $hidden)->get() as $m) {
        $m->update([
            'measurements' => array_map(
                fn ($v) => isset($v['value']) && is_numeric($v['value']) ? [...$v, 'value' => $v['value'] + 7.7] : $v,
                $m->measurements,
            ),
            'faults' => array_map(
                fn ($lens) => array_map(
                    fn ($f) => [
                        ...$f,
                        'verdict' => $f['verdict'] === 'supported' ? 'contradicted' : 'supported',
                        'why' => 'SECRET',
                    ],
                    $lens,
                ),
                $m->faults,
            ),
            'quality' => [
                [
                    'kind' => 'stuck',
                    'severity' => 'serious',
                    'what' => 'SECRET',
                    'effect' => 'nulled',
                    'from_s' => 1.0,
                    'to_s' => 1.2,
                    'signals' => [],
                    'widening' => 2.0,
                    'measurements' => [],
                ],
            ],
        ]);
    }
    DB::table('codebook_flips')->whereIn('recording_id', $hidden)->update(['is_margin' => 77.7, 'fault' => 'sway']);
    DB::table('recordings')
        ->whereIn('id', $hidden)
        ->update([
            'outcome' => json_encode([
                'start_deg' => 9.0,
                'curve_deg' => -9.0,
                'height' => 'low',
                'strike' => 'thin',
                'low_point_cm' => null,
            ]),
        ]);
    $others = Reading::query()
        ->where('user_id', '<>', $user->id)
        ->whereHas('case.sitting', fn ($q) => $q->where('state', '<>', 'published'))
        ->pluck('id');
    Call::query()
        ->whereIn('reading_id', $others)
        ->update([
            'presence' => 'present', 'severity' => 3, 'confidence' => 95, 'sound' => false, 'reaction' => 'outside-grip',
        ]);
    DB::table('readings')
        ->whereIn('id', $others)
        ->update([
            'cue' => 'SECRET', 'first_causes' => '["outside-other"]', 'other_cause' => 'SECRET',
            'misses' => '{"toe": 90}', 'breaks' => 4,
        ]);
    // What was kept of such recordings' calls follows.
    $figures = app(App\Agreement\Actions\ComputeResult::class);
    Sitting::query()->where('kind', SittingKind::Round)->where('state', 'published')->get()->each($figures(...));
}

it('changes no byte of any answer when what is secret changes', function (string $name) {
    // Some pages tell the minute.
    $this->freezeTime();
    [$user, $may] = everyState($this)[$name];
    // Who teaches practises on the others, and is told how many there are; what is taught and still to be read is secret.
    $checked = DB::table('checks')->join('sitting_cases', 'sitting_cases.sitting_id', '=', 'checks.sitting_id')
        ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')->pluck('recording_id')->all();
    $may = match ($name) {
        'an instructor who teaches' => array_diff(range(0, 7), [3]),
        'an instructor in a weekly check' => array_filter(range(0, 7), static fn (int $i): bool => ! in_array(laid()[$i]->id, $checked, true)),
        default => $may,
    };
    $hidden = array_map(static fn (int $i): int => laid()[$i]->id, array_values(array_diff(range(0, 7), $may)));
    expect($hidden)->not->toBeEmpty();
    $all = addresses($user, 'GET');
    $before = array_map(fn (array $a): string => ask($this, $user, 'GET', $a['uri']), $all);
    changeEverySecret($user, $hidden);
    foreach ($all as $i => $address) {
        $after = ask($this, $user, 'GET', $address['uri']);
        $told = implode("\n", array_slice(array_diff(explode("\n", $after), explode("\n", $before[$i])), 0, 5));
        expect($after === $before[$i])->toBeTrue("{$address['uri']} tells $name something that depends on a secret: "
            .($told === '' ? 'another order' : $told));
        expect($after)->not->toContain('SECRET');
    }
    expect(count($all))->toBeGreaterThan(60);
})->with([
    'an instructor who reads again',
    'an instructor with a second look',
    'a panel member who reads again',
    'a head coach who reads',
    'an instructor who teaches',
    'an instructor in a weekly check',
]);

it('would notice: the same changes do show to a head coach who reads nothing', function () {
    [$user] = everyState($this)['a head coach'];
    $hidden = array_map(static fn (Recording $r): int => $r->id, array_slice(laid(), 0, 5));
    $all = array_values(
        array_filter(
            addresses($user, 'GET'),
            static fn (array $a): bool => preg_match('#^/($|panel/|bench/[^/]+$|debrief/)#', $a['uri']) === 1,
        ),
    );
    $before = array_map(fn (array $a): string => ask($this, $user, 'GET', $a['uri']), $all);
    changeEverySecret($user, $hidden);
    $changed = [];
    foreach ($all as $i => $address) {
        ask($this, $user, 'GET', $address['uri']) === $before[$i] || $changed[] = $address['uri'];
    }
    foreach (['/panel/', '/bench/', '/debrief/'] as $place) {
        expect(array_filter($changed, static fn (string $uri): bool => str_starts_with($uri, $place)))->not->toBeEmpty(
            $place,
        );
    }
});

it('puts only what is shown into the evidence, and never what was measured or planted', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    DB::statement('alter table readings disable trigger user');
    foreach ([[true, false], [false, true], [true, true]] as [$film, $trace]) {
        Reading::query()
            ->whereKey($reading->id)
            ->update(['arm_id' => App\Models\SittingArm::in($reading->case->sitting, $film, $trace)->id]);
        $json = $this->actingAs($user)
            ->getJson("/read/{$reading->public_id}/evidence/1")
            ->assertOk()
            ->json();
        expect(array_keys($json))
            ->toBe(['hand', 't0', 'duration', 'stations', 'stance', 'motion', 'films', 'trace'])
            ->and($json['motion'] !== null || $json['films'] !== [])
            ->toBe($film)
            ->and($json['trace'] !== null)
            ->toBe($trace);
        $page = $this->actingAs($user)
            ->get("/read/{$reading->public_id}")
            ->assertOk();
        expect($page->getContent())
            ->not->toContain($reading->case->recording->golfer->pseudonym)
            ->not->toContain($reading->case->recording->public_id)
            ->not->toContain('supported')
            ->not->toContain('impact_share');
    }
    foreach (['planted', 'fault', 'verdict', 'severity', 'measure', 'key', 'seed', 'Wren', 'Heron'] as $word) {
        expect(json_encode($json))->not->toContain($word);
    }
});

it('deals every instructor an order of their own, which follows neither the recordings nor the key', function () {
    $orders = Reading::query()
        ->whereHas('case.sitting', fn ($q) => $q->where('name', 'Spring round'))
        ->with('case.recording')
        ->orderBy('position')
        ->get()
        ->groupBy('user_id')
        ->map(fn ($list) => $list->map(fn ($r) => $r->case->recording->id)->all());
    expect($orders->unique(fn ($o) => implode(',', $o))->count())->toBeGreaterThan(4);
    foreach ($orders as $order) {
        expect(collect($order)->sort()->values()->all())->toBe(
            Recording::query()->orderBy('id')->limit(5)->pluck('id')->all(),
        );
    }
    // Identifiers carry no order either.
    $ids = Reading::query()->orderBy('id')->pluck('public_id')->all();
    $sorted = $ids;
    sort($sorted);
    expect($ids)->not->toBe($sorted)->and(count(array_unique($ids)))->toBe(count($ids));
});

it('shows panel members nothing of each other before their study is published', function () {
    $panel = $this->person('odile');
    $study = $this->round('Winter');
    $this->actingAs($panel)->get("/panel/{$study->public_id}")->assertOk();
    DB::statement('alter table sittings disable trigger user');
    foreach (['open', 'closed'] as $state) {
        DB::table('sittings')->where('id', $study->id)->update(['state' => $state]);
        $this->actingAs($panel)->get("/panel/{$study->public_id}")->assertNotFound();
        $this->actingAs($this->person('tam'))->get("/panel/{$study->public_id}")->assertNotFound();
    }
    $this->actingAs($this->headCoach())->get("/panel/{$study->public_id}")->assertOk();
});

it('shows colleagues only without their names', function () {
    $page = $this->actingAs($this->person('tam'))
        ->get('/agreement/'.$this->round('Spring')->public_id)
        ->assertOk();
    foreach (
        User::query()->where('role', 'instructor')->where('email', '<>', 'tam@fernhollow.example')->get() as $other
    ) {
        // A rater's number, not two letters of what is drawn anew for each page.
        expect(said($page))->not->toContain($other->name)->not->toMatch("/(?<![a-z0-9])u$other->id(?![a-z0-9])/i");
    }
    $page->assertSee('a colleague')->assertSee('you');
});

it('tells nothing in a debrief of what one still has to read blind, even to who has joined', function (string $name) {
    $this->freezeTime();
    [$user, $may] = everyState($this)[$name];
    $hidden = array_map(static fn (int $i): int => laid()[$i]->id, array_values(array_diff(range(0, 7), $may)));
    $round = Sitting::query()->where('kind', SittingKind::Round)->where('state', 'published')
        ->whereHas('cases.swings', fn ($q) => $q->whereIn('recording_id', $hidden))->firstOrFail();
    $session = App\Models\DebriefSession::query()->create([
        'sitting_id' => $round->id, 'started_by' => $this->headCoach()->id, 'code' => '246810',
        'secret' => str_repeat('s', 64), 'started_at' => now(),
    ]);
    $session->people()->attach($user->id, ['joined_at' => now()]);
    $shown = [];
    foreach ($round->cases()->where('occasion', 1)->orderBy('id')->get() as $i => $case) {
        $shown[] = $session->cases()->create([
            'sitting_case_id' => $case->id, 'position' => $i + 1, 'revealed' => 5, 'topic' => 'sway',
        ]);
    }
    $all = function () use ($session, $shown, $user, $hidden): array {
        $out = [];
        foreach ($shown as $case) {
            $secret = DB::table('case_swings')->where('case_id', $case->case()->value('case_id'))
                ->whereIn('recording_id', $hidden)->exists();
            $session->update(['current_case_id' => $case->id]);
            foreach (['room', 'room/side', 'state', 'vote', "evidence/{$case->id}/1",
                "film/{$case->id}/1/face-on/stream"] as $page) {
                $said = ask($this, $user, 'GET', "/debriefs/{$session->public_id}/$page");
                $out["$case->id $page"] = $said;
                if ($secret && str_starts_with($page, 'evidence')) {
                    expect($said)->not->toStartWith('200');
                }
            }
        }

        return $out;
    };
    $before = $all();
    changeEverySecret($user, $hidden);
    foreach ($all() as $of => $said) {
        expect($said === $before[$of])->toBeTrue("$of tells $name something that depends on a secret");
    }
})->with(['an instructor who reads again', 'an instructor with a second look', 'a head coach who reads']);
