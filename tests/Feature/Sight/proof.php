<?php

use App\Models\Call;
use App\Models\Film;
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
            Call::query()
                ->updateOrCreate(
                    ['reading_id' => $r->id, 'fault' => $fault],
                    ['presence' => 'absent', 'confidence' => 70],
                );
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
    $prescribe->write(
        $draft,
        [...$draft->refresh()->plan, 'cue' => 'Step, then swing'],
        'for a reason',
        null,
        now()->toDateString(),
        [],
    );
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
        'sitting' => App\Models\PracticeSitting::query()
            ->orderBy('id')
            ->pluck('public_id')
            ->all() ?: [NOTHING['sitting']],
        'example' => App\Models\CodebookExample::query()->orderBy('id')->pluck('public_id')->all()
            ?: [NOTHING['example']],
        'rule' => App\Models\ReadinessRule::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['rule']],
        'trial' => App\Models\ReadinessTest::query()->orderBy('id')->pluck('public_id')->all() ?: [NOTHING['trial']],
        'statement' => App\Models\ReadinessDecision::query()->orderBy('id')->pluck('public_id')->all()
            ?: [NOTHING['statement']],
        'set' => App\Models\ContrastSet::query()
            ->orderBy('id')
            ->limit(2)
            ->pluck('public_id')
            ->all() ?: [NOTHING['set']],
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

/**
 * Everybody of this half asks every address for everything: no canary sings to whom it may not.
 *
 * @param  int  $half  0 or 1: the proof is long, and its halves run side by side
 */
function letsNoCanaryOut(object $test, int $half): void
{
    $people = array_filter(
        array_chunk(everyState($test), 1, true),
        static fn (int $n): bool => $n % 2 === $half,
        ARRAY_FILTER_USE_KEY,
    );
    $people = array_merge(...$people);
    expect($people)->toHaveCount(6);
    plantCanaries();
    $ids = array_map(static fn (Recording $r): string => $r->public_id, laid());
    $seen = 0;
    foreach ($people as $name => [$user, $may]) {
        $hidden = array_diff(array_keys($ids), $may);
        $nothing = [];
        // And shows what may be seen: a draft, for one, takes nothing away.
        foreach ($may as $i) {
            expect(substr(ask($test, $user, 'GET', "/bench/{$ids[$i]}"), 0, 3))->toBe('200', "recording $i for $name");
        }
        foreach (
            [...addresses($user, 'GET'), ...addresses($user, 'other')] as ['method' => $method, 'uri' => $uri,
                'absent' => $absent]
        ) {
            $said = ask($test, $user, $method, $uri);
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
                    $nothing["$method $without"] ??= ask($test, $user, $method, $without);
                    expect($said)->toBe($nothing["$method $without"], "$method $uri tells $name that it is there");
                } else {
                    expect(str_contains($said, $ids[$i]))->toBeFalse("$method $uri names recording $i to $name");
                }
            }
            // What is there and forbidden looks like what is not there.
            if (! $user->isHeadCoach() && $absent !== $uri && str_starts_with($said, '403')) {
                $nothing["$method $absent"] ??= ask($test, $user, $method, $absent);
                expect($said)->toBe($nothing["$method $absent"], "$method $uri tells $name that it is there");
            }
            $status = (int) substr($said, 0, 3);
            expect($status)->not->toBeIn([500, 503], "$method $uri as $name");
        }
    }
    // The canaries do sing where they may.
    expect($seen)->toBeGreaterThan(250);
}
