<?php

use App\Academy\Http\AcademyController;
use App\Academy\Http\AccountController;
use App\Academy\Http\AddressController;
use App\Academy\Http\BeginController;
use App\Academy\Http\FactorController;
use App\Academy\Http\FreshController;
use App\Academy\Http\GolfersController;
use App\Academy\Http\InvitationController;
use App\Academy\Http\KeysController;
use App\Academy\Http\PeopleController;
use App\Academy\Http\ResetController;
use App\Academy\Http\SessionController;
use App\Agreement\Http\AgreementController;
use App\Agreement\Http\BehindController;
use App\Agreement\Http\DefinitionController;
use App\Agreement\Http\LetterController;
use App\Agreement\Http\PublishController;
use App\Bench\Http\BenchController;
use App\Capture\Http\CaptureController;
use App\Codebook\Http\CodebookController;
use App\Codebook\Http\DraftController;
use App\Codebook\Http\DraftRowController;
use App\Codebook\Http\ExampleController;
use App\Debrief\Http\DebriefController;
use App\Debrief\Http\PresenterController;
use App\Debrief\Http\RoomController;
use App\Lessons\Http\FollowUpController;
use App\Lessons\Http\LessonController;
use App\Lessons\Http\PrescriptionController;
use App\Models\Academy;
use App\Models\AuditEntry;
use App\Models\CheckPlan;
use App\Models\CodebookExample;
use App\Models\CodebookVersion;
use App\Models\Device;
use App\Models\PendingImport;
use App\Models\ReadinessRule;
use App\Models\Recording;
use App\Models\Sitting;
use App\Notices\Http\NoticesController;
use App\Notices\Http\RemindController;
use App\Operations\Http\ErasureController;
use App\Operations\Http\RecordController;
use App\Panel\Http\FollowingController;
use App\Panel\Http\JudgingController;
use App\Panel\Http\PanelController;
use App\Practice\Http\ContrastController;
use App\Practice\Http\PlansController;
use App\Practice\Http\PracticeController;
use App\Readiness\Http\ChecksController;
use App\Readiness\Http\ReadinessController;
use App\Readiness\Http\RuleController;
use App\Report\Http\ReportController;
use App\Search\Http\SearchController;
use App\Shelf\Http\BatchController;
use App\Shelf\Http\FactsController;
use App\Shelf\Http\FilmController;
use App\Shelf\Http\ImportController;
use App\Shelf\Http\ImportRepairController;
use App\Shelf\Http\ShelfController;
use App\Sittings\Http\OwnController;
use App\Sittings\Http\PlanController;
use App\Sittings\Http\ReadingController;
use App\Sittings\Http\ReadingFilmController;
use App\Sittings\Http\RoundController;
use App\Sittings\Http\RunController;
use App\Today\Http\TodayController;
use App\Undo\Http\UndoController;
use App\Works\Http\WorkController;
use Core\Codebook\CodebookDocument;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/login', [SessionController::class, 'create'])->name('login');
    Route::post('/login', [SessionController::class, 'store'])->middleware('throttle:login')->name('login.enter');
    Route::get('/login/code', [SessionController::class, 'code'])->name('login.code');
    Route::post('/login/code', [SessionController::class, 'check'])
        ->middleware('throttle:code')->name('login.check');
    Route::get('/forgotten', [ResetController::class, 'forgotten'])->name('forgotten');
    Route::post('/forgotten', [ResetController::class, 'send'])
        ->middleware('throttle:letters')->name('forgotten.send');
});

// Behind the links that letters hold: whoever holds one may do the one thing it is for.
Route::middleware('throttle:links')->group(function (): void {
    Route::get('/begin/{token}', [BeginController::class, 'show'])->name('begin');
    Route::post('/begin/{token}', [BeginController::class, 'store'])->name('begin.store');
    Route::get('/invited/{token}', [InvitationController::class, 'show'])->name('invited');
    Route::post('/invited/{token}', [InvitationController::class, 'store'])->name('invited.accept');
    Route::get('/reset/{token}', [ResetController::class, 'show'])->name('reset');
    Route::post('/reset/{token}', [ResetController::class, 'store'])->name('reset.store');
    Route::get('/address/{token}', [AddressController::class, 'show'])->name('address');
    Route::post('/address/{token}', [AddressController::class, 'store'])->name('address.confirm');
});

// Rows are asked for by numbers that a database can hold; what is none is not there.
foreach (
    ['person', 'group', 'golfer', 'ball', 'limit', 'member', 'first', 'second', 'entry', 'decision', 'case', 'question'] as $row
) {
    Route::pattern($row, '[0-9]{1,15}');
}
Route::pattern('batch', '[0-9a-z]{26}');

Route::get('/verify', [ReadinessController::class, 'verify'])->middleware('throttle:code')->name('readiness.verify');
Route::middleware('auth')->group(function (): void {
    Route::get('/confirm', [FreshController::class, 'show'])->name('password.confirm');
    Route::post('/confirm', [FreshController::class, 'store'])
        ->middleware('throttle:code')->name('password.confirm.store');
    Route::post('/logout', [SessionController::class, 'destroy'])->name('logout');
    Route::get('/', TodayController::class)->name('today');
    Route::get('/search', SearchController::class)->name('search');
    Route::put('/keys', KeysController::class)->name('keys');
    Route::get('/notices', [NoticesController::class, 'index'])->name('notices');
    Route::put('/notices', [NoticesController::class, 'update'])->name('notices.update');
    Route::post('/notices/seen', [NoticesController::class, 'seen'])->name('notices.seen');
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::put('/account', [AccountController::class, 'update'])->name('account.update');
    Route::put('/account/password', [AccountController::class, 'password'])
        ->middleware('throttle:code')->name('account.password');
    Route::post('/account/address', [AccountController::class, 'address'])
        ->middleware(['throttle:code', 'throttle:letters'])->name('account.address');
    Route::delete('/account/sessions/{session}', [AccountController::class, 'end'])
        ->where('session', '[0-9a-f]{32}|others')->name('account.sessions.end');
    Route::post('/account/leave', [AccountController::class, 'leave'])
        ->middleware('throttle:code')->name('account.leave');
    Route::get('/account/second-factor', [FactorController::class, 'show'])->name('account.factor');
    Route::post('/account/second-factor', [FactorController::class, 'store'])
        ->middleware('throttle:code')->name('account.factor.keep');
    Route::put('/account/second-factor', [FactorController::class, 'codes'])
        ->middleware('throttle:code')->name('account.factor.codes');
    Route::delete('/account/second-factor', [FactorController::class, 'destroy'])
        ->middleware('throttle:code')->name('account.factor.drop');
    Route::get('/practice', [PracticeController::class, 'index'])->name('practice');
    Route::post('/practice', [PracticeController::class, 'begin'])->name('practice.begin');
    Route::get('/plans', [PlansController::class, 'index'])->name('plans');
    Route::post('/plans', [PlansController::class, 'store'])->name('plans.store');
    Route::get('/plans/hours', [PlansController::class, 'hours'])->name('plans.hours');
    Route::delete('/plans/{goal}', [PlansController::class, 'destroy'])->can('drop', 'goal')->name('plans.drop');
    Route::post('/plans/{goal}/done', [PlansController::class, 'done'])->can('tick', 'goal')->name('plans.done');
    Route::get('/progress/{person?}', [PracticeController::class, 'progress'])->name('practice.progress');
    Route::can('practise', 'sitting')
        ->prefix('/practice/{sitting}')
        ->where(['place' => '[1-9]|10'])
        ->group(function (): void {
            Route::delete('/', [PracticeController::class, 'end'])->name('practice.end');
            Route::get('/{place}', [PracticeController::class, 'question'])->name('practice.question');
            Route::post('/{place}', [PracticeController::class, 'answer'])->name('practice.answer');
            Route::get('/{place}/evidence', [PracticeController::class, 'evidence'])->name('practice.evidence');
            Route::get('/{place}/film/{view}/{part}', [PracticeController::class, 'film'])->name('practice.film');
            Route::get('/{place}/other/{made}', [PracticeController::class, 'other'])
                ->where('made', '[0-9]{1,12}')->name('practice.other');
        });
    Route::can('manage', CheckPlan::class)->group(function (): void {
        Route::get('/checks', [ChecksController::class, 'index'])->name('checks');
        Route::post('/checks', [ChecksController::class, 'store'])->name('checks.start');
    });
    Route::delete('/checks/{plan}', [ChecksController::class, 'destroy'])->can('manage', 'plan')->name('checks.stop');
    Route::get('/readiness', [ReadinessController::class, 'index'])->name('readiness');
    Route::can('manage', ReadinessRule::class)->prefix('/readiness/rules')->group(function (): void {
        Route::get('/new', [RuleController::class, 'create'])->name('readiness.rules.create');
        Route::post('/', [RuleController::class, 'store'])->name('readiness.rules.store');
    });
    Route::can('manage', 'rule')->prefix('/readiness/rules/{rule}')->group(function (): void {
        Route::get('/', [RuleController::class, 'show'])->name('readiness.rules.show');
        Route::put('/', [RuleController::class, 'update'])->name('readiness.rules.update');
        Route::delete('/', [RuleController::class, 'retire'])->name('readiness.rules.retire');
        Route::post('/people/{person}/test', [ReadinessController::class, 'begin'])->name('readiness.begin');
    });
    Route::can('see', 'rule')->prefix('/readiness/rules/{rule}')->group(function (): void {
        Route::post('/ask', [ReadinessController::class, 'request'])->name('readiness.ask');
        Route::get('/people/{person}', [ReadinessController::class, 'show'])->name('readiness.show');
        Route::post('/people/{person}/decisions', [ReadinessController::class, 'decide'])->name('readiness.decide');
    });
    Route::delete('/readiness/tests/{trial}', [ReadinessController::class, 'end'])
        ->can('manage', 'trial')->name('readiness.end');
    Route::get('/readiness/statements/{statement}', [ReadinessController::class, 'statement'])
        ->can('view', 'statement')->name('readiness.statement');
    Route::get('/contrast', [ContrastController::class, 'index'])->name('contrast');
    Route::post('/contrast', [ContrastController::class, 'store'])->name('contrast.ask');
    Route::can('view', 'set')->prefix('/contrast/{set}')->group(function (): void {
        Route::get('/', [ContrastController::class, 'show'])->name('contrast.show');
        Route::get('/{place}/evidence', [ContrastController::class, 'evidence'])
            ->where('place', '[0-9]')->name('contrast.evidence');
    });
    Route::get('/codebook', [CodebookController::class, 'show'])->name('codebook');
    Route::get('/codebook/faults/{fault}', [DefinitionController::class, 'show'])
        ->where('fault', '[a-z][a-z0-9-]{1,39}')->name('codebook.fault');
    Route::post('/codebook/examples/{example}/look', [ExampleController::class, 'look'])
        ->name('codebook.example.look')->can('look', 'example');
    Route::get('/codebook/document', [CodebookController::class, 'document'])->name('codebook.document');

    Route::get('/own/data', [OwnController::class, 'data'])->name('own.data')
        ->middleware('password.confirm');
    Route::get('/own', [OwnController::class, 'index'])->name('own');
    Route::post('/own/{recording}', [OwnController::class, 'begin'])
        ->name('own.review')
        ->can('review', 'recording');
    Route::get('/read/next', [ReadingController::class, 'next'])->name('read.next');
    Route::get('/read/{reading}', [ReadingController::class, 'show'])
        ->name('read')
        ->can('view', 'reading');
    Route::get('/read/{reading}/evidence/{swing}', [ReadingController::class, 'evidence'])
        ->name('read.evidence')
        ->can('view', 'reading')
        ->where('swing', '[1-6]');
    Route::get('/read/{reading}/film/{swing}/{view}/{part}', ReadingFilmController::class)
        ->name('read.film')
        ->can('view', 'reading')
        ->where('swing', '[1-6]');
    Route::get('/read/{reading}/sheet', [ReadingController::class, 'sheet'])
        ->name('read.sheet')
        ->can('view', 'reading');
    Route::post('/read/{reading}/changes', [ReadingController::class, 'change'])
        ->name('read.change')
        ->can('update', 'reading');
    Route::post('/read/{reading}/hand-in', [ReadingController::class, 'handIn'])
        ->name('read.hand-in')
        ->can('update', 'reading');

    Route::get('/bench/{recording}', [BenchController::class, 'show'])
        ->name('bench')
        ->can('view', 'recording');
    Route::get('/bench/{recording}/with', [BenchController::class, 'beside'])
        ->name('bench.beside')
        ->can('view', 'recording');
    Route::get('/bench/{recording}/with/{other}', [BenchController::class, 'compare'])
        ->name('bench.compare')
        ->can('view', 'recording')
        ->can('view', 'other');
    Route::get('/bench/{recording}/why/{fault}', [BenchController::class, 'why'])
        ->name('bench.why')
        ->can('view', 'recording');
    Route::get('/bench/{recording}/evidence', [BenchController::class, 'evidence'])
        ->name('bench.evidence')
        ->can('view', 'recording');

    Route::get('/bench/{recording}/state', [BenchController::class, 'state'])
        ->name('bench.state')
        ->can('view', 'recording');
    Route::get('/bench/{recording}/film/{view}/{part}', [FilmController::class, 'onBench'])
        ->name('bench.film')
        ->can('view', 'recording');

    Route::get('/agreement', [AgreementController::class, 'index'])->name('agreement.index');
    Route::get('/agreement/{round}', [AgreementController::class, 'show'])
        ->name('agreement')
        ->can('viewResult', 'round');
    Route::get('/agreement/{round}/faults/{fault}', [BehindController::class, 'fault'])
        ->name('agreement.fault')->can('debrief', 'round')
        ->where('fault', '[a-z0-9-]{1,40}');
    Route::get('/agreement/{round}/cases/{case}', [BehindController::class, 'case'])
        ->name('agreement.case')->can('debrief', 'round');
    Route::get('/agreement/{round}/pairs/{first}/{second}', [BehindController::class, 'pair'])
        ->name('agreement.pair')->can('debrief', 'round');
    Route::get('/agreement/{round}/times/{station}', [BehindController::class, 'times'])
        ->name('agreement.times')->can('debrief', 'round')
        ->where('station', 'TP|IM');
    Route::get('/agreement/{round}/people/{member}/advice', [BehindController::class, 'advice'])
        ->name('agreement.advice')->can('debrief', 'round');
    Route::get('/agreement/{round}/people/{member}', [AgreementController::class, 'person'])
        ->name('agreement.person')
        ->can('viewPerson', ['round', 'member']);
    Route::get('/agreement/{round}/people/{member}/letter', [LetterController::class, 'show'])
        ->name('agreement.letter')
        ->can('viewPerson', ['round', 'member']);
    Route::get('/agreement/{round}/people/{member}/letter.pdf', [LetterController::class, 'pdf'])
        ->name('agreement.letter.pdf')
        ->can('viewPerson', ['round', 'member']);
    Route::get('/agreement/{round}/people/{member}/record', [AgreementController::class, 'record'])
        ->name('agreement.record')
        ->can('viewPerson', ['round', 'member']);
    Route::get('/panel', [PanelController::class, 'index'])->name('panel.index');
    Route::get('/panel/{round}', [PanelController::class, 'show'])->name('panel')->can('viewKey', 'round');

    Route::post('/panel/{round}/following', [FollowingController::class, 'open'])
        ->name('following.open')->can('manage', 'round');
    Route::post('/panel/{round}/following/close', [FollowingController::class, 'close'])
        ->name('following.close')->can('manage', 'round');
    Route::get('/panel/{round}/versions', [PanelController::class, 'versions'])
        ->name('panel.versions')->can('viewKey', 'round');
    Route::post('/panel/{round}/judging', [JudgingController::class, 'open'])
        ->name('judging.open')->can('manage', 'round');
    Route::post('/panel/{round}/judging/close', [JudgingController::class, 'close'])
        ->name('judging.close')->can('manage', 'round');
    Route::get('/judging/{judging}', [JudgingController::class, 'show'])
        ->name('judging')->can('judge', 'judging');
    Route::post('/judging/{judging}/{place}', [JudgingController::class, 'answer'])
        ->name('judging.answer')->can('judge', 'judging')->where('place', '[1-9][0-9]{0,3}');
    Route::get('/following/{following}', [FollowingController::class, 'show'])
        ->name('following')->can('follow', 'following');
    Route::post('/following/{following}/{place}', [FollowingController::class, 'answer'])
        ->name('following.answer')->can('follow', 'following')->where('place', '[1-9][0-9]{0,3}');

    Route::get('/shelf', [ShelfController::class, 'index'])->name('shelf')->can('viewAny', Recording::class);
    Route::post('/imports', [ImportController::class, 'store'])
        ->name('imports.store')
        ->can('create', PendingImport::class);
    Route::post('/imports/batches', [BatchController::class, 'store'])
        ->name('batches.store')
        ->can('create', PendingImport::class);
    Route::get('/imports/batches/{batch}', [BatchController::class, 'show'])
        ->name('batches.show')
        ->can('create', PendingImport::class);
    Route::put('/imports/batches/{batch}', [BatchController::class, 'update'])
        ->name('batches.update')
        ->can('create', PendingImport::class);
    Route::post('/imports/batches/{batch}', [BatchController::class, 'finish'])
        ->name('batches.finish')
        ->can('create', PendingImport::class);
    Route::get('/imports/{import}', [ImportController::class, 'show'])->name('imports.show')->can('manage', 'import');
    Route::put('/imports/{import}', [ImportController::class, 'update'])
        ->name('imports.update')
        ->can('manage', 'import');
    Route::post('/imports/{import}/finish', [ImportController::class, 'finish'])
        ->name('imports.finish')
        ->can('manage', 'import');
    Route::post('/imports/{import}/repairs', [ImportRepairController::class, 'store'])
        ->name('imports.repair')
        ->can('manage', 'import');
    Route::delete('/imports/{import}/repairs', [ImportRepairController::class, 'destroy'])
        ->name('imports.repair.back')
        ->can('manage', 'import');
    Route::post('/imports/{import}/parts', [ImportRepairController::class, 'cut'])
        ->name('imports.cut')
        ->can('manage', 'import');
    Route::delete('/imports/{import}', [ImportController::class, 'destroy'])
        ->name('imports.drop')
        ->can('manage', 'import');
    Route::post('/bench/{recording}/films', [FilmController::class, 'store'])
        ->name('films.store')
        ->can('update', 'recording');
    Route::put('/films/{film}', [FilmController::class, 'append'])
        ->name('films.append')
        ->can('manage', 'film');
    Route::get('/films/{film}', [FilmController::class, 'state'])
        ->name('films.state')
        ->can('manage', 'film');
    Route::get('/films/{film}/original', [FilmController::class, 'original'])
        ->name('films.original')
        ->can('manage', 'film');
    Route::post('/films/{film}/clock', [FilmController::class, 'clock'])
        ->name('films.clock')
        ->can('manage', 'film');
    Route::delete('/films/{film}', [FilmController::class, 'destroy'])
        ->name('films.drop')
        ->can('manage', 'film');
    Route::get('/agreement/{round}/export', [AgreementController::class, 'export'])
        ->name('agreement.export')->can('export', 'round')
        ->middleware('password.confirm');
    Route::post('/agreement/{round}/export', [AgreementController::class, 'make'])
        ->name('agreement.make')->can('export', 'round')
        ->middleware('password.confirm');
    Route::get('/reports', [ReportController::class, 'index'])->name('reports')->can('manage', Sitting::class);
    Route::get('/reports/{round}', [ReportController::class, 'show'])->name('reports.show')->can('export', 'round');
    Route::get('/reports/{round}/report.pdf', [ReportController::class, 'pdf'])
        ->name('reports.pdf')->can('export', 'round');
    Route::get('/reports/{round}/board', [ReportController::class, 'board'])
        ->name('reports.board')->can('export', 'round');
    Route::get('/reports/{round}/board.pdf', [ReportController::class, 'boardPdf'])
        ->name('reports.board.pdf')->can('export', 'round');
    Route::put('/reports/{round}', [ReportController::class, 'write'])
        ->name('reports.write')->can('export', 'round');
    Route::get('/debrief', [DebriefController::class, 'index'])->name('debrief.index')->can('manage', Sitting::class);
    Route::get('/debrief/{round}', [DebriefController::class, 'first'])
        ->name('debrief.first')->can('debrief', 'round');
    Route::get('/debrief/{round}/{place}/evidence/{swing}', [DebriefController::class, 'evidence'])
        ->name('debrief.evidence')
        ->where(['place' => '[1-9][0-9]{0,3}', 'swing' => '[1-6]'])->can('debrief', 'round');
    Route::get('/debrief/{round}/{place}', [DebriefController::class, 'show'])
        ->name('debrief')
        ->where('place', '[1-9][0-9]{0,3}')->can('debrief', 'round');
    Route::post('/debrief/{round}/sessions', [PresenterController::class, 'begin'])
        ->name('debriefs.begin')->can('debrief', 'round');
    Route::get('/debriefs/{debriefing}/present', [PresenterController::class, 'present'])
        ->name('debriefs.present')->can('present', 'debriefing');
    Route::post('/debriefs/{debriefing}/show', [PresenterController::class, 'show'])
        ->name('debriefs.show')->can('present', 'debriefing');
    Route::post('/debriefs/{debriefing}/cases/{case}', [PresenterController::class, 'notes'])
        ->name('debriefs.case')->can('present', 'debriefing');
    Route::post('/debriefs/{debriefing}/questions', [PresenterController::class, 'put'])
        ->name('debriefs.ask')->can('present', 'debriefing');
    Route::post('/debriefs/{debriefing}/questions/{question}', [PresenterController::class, 'on'])
        ->name('debriefs.on')->can('present', 'debriefing');
    Route::post('/debriefs/{debriefing}/decisions', [PresenterController::class, 'decide'])
        ->name('debriefs.decide')->can('present', 'debriefing');
    Route::post('/debriefs/{debriefing}/end', [PresenterController::class, 'end'])
        ->name('debriefs.end')->can('present', 'debriefing');
    Route::get('/debriefs/{debriefing}/minutes', [PresenterController::class, 'minutes'])
        ->name('debriefs.minutes')->can('present', 'debriefing');
    Route::get('/debriefs/{debriefing}/minutes.pdf', [PresenterController::class, 'paper'])
        ->name('debriefs.paper')->can('present', 'debriefing');
    Route::post('/decisions/{decision}/done', [PresenterController::class, 'done'])
        ->name('decisions.done')->can('finish', 'decision');
    Route::get('/debriefs/{debriefing}/room', [RoomController::class, 'room'])
        ->name('debriefs.room')->can('watch', 'debriefing');
    Route::get('/debriefs/{debriefing}/room/side', [RoomController::class, 'side'])
        ->name('debriefs.room.side')->can('watch', 'debriefing');
    Route::get('/debriefs/{debriefing}/state', [RoomController::class, 'state'])
        ->name('debriefs.state')->can('watch', 'debriefing');
    Route::get('/debriefs/{debriefing}/evidence/{case}/{swing}', [RoomController::class, 'evidence'])
        ->name('debriefs.evidence')->can('watch', 'debriefing')->where('swing', '[1-6]');
    Route::get('/debriefs/{debriefing}/film/{case}/{swing}/{view}/{part}', [RoomController::class, 'film'])
        ->name('debriefs.film')->can('watch', 'debriefing')->where('swing', '[1-6]');
    Route::get('/debriefs/{debriefing}/vote', [RoomController::class, 'voter'])
        ->name('debriefs.vote')->can('vote', 'debriefing');
    Route::post('/debriefs/{debriefing}/votes/{question}', [RoomController::class, 'cast'])
        ->name('debriefs.cast')->can('vote', 'debriefing');
    Route::get('/join/{code?}', [RoomController::class, 'enter'])->name('join');
    Route::post('/join', [RoomController::class, 'join'])->name('join.in')->middleware('throttle:join');
    Route::get('/rounds', [RoundController::class, 'index'])->name('rounds')->can('manage', Sitting::class);
    Route::get('/rounds/plan/choices', [PlanController::class, 'choices'])
        ->name('rounds.choices')->can('manage', Sitting::class);
    Route::get('/rounds/plan/forecast', [PlanController::class, 'forecast'])
        ->name('rounds.forecast')->can('manage', Sitting::class);
    Route::get('/rounds/plan', PlanController::class)->name('rounds.plan')->can('manage', Sitting::class);
    Route::post('/rounds', [RoundController::class, 'store'])->name('rounds.store')->can('manage', Sitting::class);
    Route::get('/rounds/{round}', [RoundController::class, 'show'])->name('rounds.show')->can('manage', 'round');
    Route::post('/rounds/{round}/open', [RoundController::class, 'open'])->name('rounds.open')->can('manage', 'round');
    Route::post('/rounds/{round}/reopen', [RoundController::class, 'reopen'])
        ->name('rounds.reopen')
        ->can('manage', 'round');
    Route::post('/rounds/{round}/close', [RoundController::class, 'close'])
        ->name('rounds.close')
        ->can('manage', 'round');
    Route::get('/rounds/{round}/progress', [RunController::class, 'progress'])
        ->name('rounds.progress')->can('manage', 'round');
    Route::post('/rounds/{round}/due', [RunController::class, 'due'])->name('rounds.due')->can('manage', 'round');
    Route::post('/rounds/{round}/withdraw', [RunController::class, 'withdraw'])
        ->name('rounds.withdraw')->can('manage', 'round');
    Route::post('/rounds/{round}/seat', [RunController::class, 'seat'])->name('rounds.seat')->can('manage', 'round');
    Route::post('/rounds/{round}/remind', RemindController::class)->name('rounds.remind')->can('manage', 'round');
    Route::get('/rounds/{round}/calendar.ics', [RunController::class, 'calendar'])
        ->name('rounds.calendar')->can('attend', 'round');
    Route::post('/rounds/{round}/publish', PublishController::class)->name('rounds.publish')->can('manage', 'round')
        ->middleware('password.confirm');
    Route::post('/panel/entries/{entry}/ruling', [PanelController::class, 'rule'])
        ->name('panel.rule')
        ->can('rule', 'entry');
    Route::get('/bench/{recording}/facts', [FactsController::class, 'edit'])
        ->name('facts')
        ->can('update', 'recording');
    Route::put('/bench/{recording}/facts', [FactsController::class, 'update'])
        ->name('facts.update')
        ->can('update', 'recording');
    Route::put('/shelf/facts', [FactsController::class, 'several'])
        ->name('facts.several')
        ->can('viewAny', Recording::class);
    Route::post('/undo/{undo}', UndoController::class)->name('undo')->can('take', 'undo');
    Route::get('/bench/{recording}/remove', [BenchController::class, 'remove'])
        ->name('bench.remove')
        ->can('update', 'recording');
    Route::delete('/bench/{recording}', [BenchController::class, 'erase'])
        ->name('bench.erase')
        ->can('update', 'recording')
        ->middleware('password.confirm');
    Route::post('/bench/{recording}/stations', [BenchController::class, 'mark'])
        ->name('bench.mark')
        ->can('update', 'recording');
    Route::post('/bench/{recording}/repairs', [BenchController::class, 'repair'])
        ->name('bench.repair')
        ->can('update', 'recording');
    Route::delete('/bench/{recording}/repairs', [BenchController::class, 'repairBack'])
        ->name('bench.repair.back')
        ->can('update', 'recording');
    Route::post('/bench/{recording}/clock', [BenchController::class, 'clock'])
        ->name('bench.clock')
        ->can('update', 'recording');
    Route::get('/capture', [CaptureController::class, 'index'])->name('capture')->can('viewAny', Device::class);
    Route::get('/capture/{session}/live', [CaptureController::class, 'live'])
        ->name('capture.live')
        ->can('view', 'session');
    Route::post('/capture/{session}/arm', [CaptureController::class, 'arm'])
        ->name('capture.arm')
        ->can('arm', 'session');
    Route::post('/capture/swings/{swing}', [CaptureController::class, 'keep'])
        ->name('capture.keep')
        ->can('keep', 'swing');
    Route::delete('/capture/swings/{swing}', [CaptureController::class, 'leave'])
        ->name('capture.leave')
        ->can('leave', 'swing');
    Route::post('/capture/devices', [CaptureController::class, 'register'])
        ->name('capture.register')
        ->can('create', Device::class)
        ->middleware('password.confirm');
    Route::put('/capture/devices/{device}', [CaptureController::class, 'check'])
        ->name('capture.check')
        ->can('check', 'device');
    Route::post('/capture/devices/{device}/token', [CaptureController::class, 'renew'])
        ->name('capture.renew')
        ->can('revoke', 'device')
        ->middleware('password.confirm');
    Route::delete('/capture/devices/{device}', [CaptureController::class, 'revoke'])
        ->name('capture.revoke')
        ->can('revoke', 'device');
    Route::post('/codebook', [CodebookController::class, 'store'])
        ->name('codebook.store')
        ->can('create', CodebookVersion::class);
    Route::post('/codebook/faults/{fault}/examples', [ExampleController::class, 'store'])
        ->where('fault', '[a-z][a-z0-9-]{1,39}')
        ->name('codebook.example.add')->can('create', CodebookExample::class);
    Route::delete('/codebook/examples/{example}', [ExampleController::class, 'destroy'])
        ->name('codebook.example.drop')->can('delete', 'example');
    Route::can('create', CodebookVersion::class)
        ->prefix('/codebook/draft')
        ->where(['part' => implode('|', CodebookDocument::PARTS), 'key' => '[a-z][a-z0-9-]{1,39}'])
        ->group(function (): void {
            Route::get('/', [DraftController::class, 'show'])->name('codebook.draft');
            Route::post('/', [DraftController::class, 'begin'])->name('codebook.draft.begin');
            Route::delete('/', [DraftController::class, 'drop'])->name('codebook.draft.drop');
            Route::post('/take-up', [DraftController::class, 'takeUp'])->name('codebook.draft.take-up');
            Route::post('/try', [DraftController::class, 'try'])->name('codebook.draft.try');
            Route::post('/rebase', [DraftController::class, 'rebase'])->name('codebook.draft.rebase');
            Route::post('/publish', [DraftController::class, 'publish'])->name('codebook.draft.publish')
                ->middleware('password.confirm');
            Route::post('/{part}', [DraftRowController::class, 'add'])->name('codebook.draft.add');
            Route::get('/{part}/{key}', [DraftRowController::class, 'edit'])->name('codebook.draft.edit');
            Route::put('/{part}/{key}', [DraftRowController::class, 'save'])->name('codebook.draft.save');
            Route::delete('/{part}/{key}', [DraftRowController::class, 'remove'])->name('codebook.draft.remove');
            Route::post('/{part}/{key}/back', [DraftRowController::class, 'back'])->name('codebook.draft.back');
            Route::post('/faults/{key}/look', [DraftRowController::class, 'look'])->name('codebook.draft.look');
        });
    Route::get('/lessons', [PrescriptionController::class, 'index'])->name('lessons.index');
    Route::post('/golfers/{golfer}/sessions', [LessonController::class, 'store'])
        ->name('lessons.store')->can('teach', 'golfer');
    Route::can('give', 'lesson')->prefix('/golfer-sessions/{lesson}')->group(function (): void {
        Route::get('/', [LessonController::class, 'show'])->name('lessons.show');
        Route::put('/', [LessonController::class, 'update'])->name('lessons.update');
        Route::post('/feel', [LessonController::class, 'feel'])->name('lessons.feel');
        Route::post('/balls', [LessonController::class, 'ball'])->name('lessons.balls');
        Route::get('/balls', [LessonController::class, 'file'])->name('lessons.balls.file');
        Route::post('/balls/file', [LessonController::class, 'balls'])->name('lessons.balls.import');
        Route::delete('/balls/{ball}', [LessonController::class, 'dropBall'])->name('lessons.balls.drop');
    });
    Route::can('prescribe', 'lesson')->prefix('/golfer-sessions/{lesson}/prescription')->group(function (): void {
        Route::get('/', [PrescriptionController::class, 'create'])->name('prescriptions.create');
        Route::post('/', [PrescriptionController::class, 'store'])->name('prescriptions.store');
    });
    Route::can('see', 'prescription')->prefix('/prescriptions/{prescription}')->group(function (): void {
        Route::get('/', [PrescriptionController::class, 'show'])->name('prescriptions.show');
        Route::put('/drill', [PrescriptionController::class, 'choose'])->name('prescriptions.choose');
        Route::put('/', [PrescriptionController::class, 'update'])->name('prescriptions.update');
        Route::delete('/', [PrescriptionController::class, 'destroy'])->name('prescriptions.drop');
        Route::get('/note', [PrescriptionController::class, 'note'])->name('prescriptions.note');
        Route::get('/note.pdf', [PrescriptionController::class, 'pdf'])->name('prescriptions.note.pdf');
        Route::get('/note.ics', [PrescriptionController::class, 'calendar'])->name('prescriptions.note.calendar');
        Route::post('/follow-ups', [FollowUpController::class, 'store'])->name('follow-ups.store');
    });
    Route::can('take', 'followUp')->prefix('/follow-ups/{followUp}')->group(function (): void {
        Route::get('/', [FollowUpController::class, 'show'])->name('follow-ups.show');
        Route::post('/feel', [FollowUpController::class, 'feel'])->name('follow-ups.feel');
        Route::put('/swings', [FollowUpController::class, 'place'])->name('follow-ups.place');
    });
    Route::can('manage', Academy::class)->group(function (): void {
        Route::get('/people', [PeopleController::class, 'index'])->name('people');
        Route::post('/people', [PeopleController::class, 'store'])->name('people.invite')
            ->middleware('password.confirm');
        Route::post('/people/groups', [PeopleController::class, 'groups'])->name('people.groups');
        Route::get('/people/{person}', [PeopleController::class, 'show'])->name('people.show');
        Route::put('/people/{person}', [PeopleController::class, 'update'])->name('people.update')
            ->middleware('password.confirm');
        Route::post('/people/{person}/invitation', [PeopleController::class, 'again'])->name('people.again');
        Route::delete('/people/{person}/invitation', [PeopleController::class, 'withdraw'])->name('people.withdraw');
        Route::post('/people/{person}/end', [PeopleController::class, 'end'])->name('people.end')
            ->middleware('password.confirm');
        Route::post('/people/{person}/enable', [PeopleController::class, 'enable'])->name('people.enable')
            ->middleware('password.confirm');
        Route::post('/people/{person}/reset', [PeopleController::class, 'reset'])->name('people.reset')
            ->middleware('password.confirm');
        Route::delete('/people/{person}/second-factor', [PeopleController::class, 'dropFactor'])
            ->name('people.factor.drop')
            ->middleware('password.confirm');
        Route::get('/golfers', [GolfersController::class, 'index'])->name('golfers');
        Route::post('/golfers', [GolfersController::class, 'store'])->name('golfers.store');
        Route::post('/golfers/consents', [GolfersController::class, 'consents'])->name('golfers.consents');
        Route::get('/golfers/{golfer}', [GolfersController::class, 'show'])->name('golfers.show');
        Route::get('/golfers/{golfer}/held', [GolfersController::class, 'held'])->name('golfers.held');
        Route::put('/golfers/{golfer}', [GolfersController::class, 'update'])->name('golfers.update');
        Route::post('/golfers/{golfer}/limits', [GolfersController::class, 'limit'])->name('golfers.limits');
        Route::delete('/golfers/{golfer}/limits/{limit}', [GolfersController::class, 'endLimit'])
            ->name('golfers.limits.end');
        Route::post('/golfers/{golfer}/consents', [GolfersController::class, 'consent'])->name('golfers.consent');
        Route::delete('/golfers/{golfer}/consents', [GolfersController::class, 'withdraw'])->name('golfers.withdraw');
        Route::get('/golfers/{golfer}/papers/{paper}', [GolfersController::class, 'paper'])->name('golfers.paper');
        Route::delete('/golfers/{golfer}', [ErasureController::class, 'golfer'])->name('golfers.erase')
            ->middleware('password.confirm');
        Route::get('/erasures/{erasure}', [ErasureController::class, 'show'])->name('erasures.show');
        Route::get('/academy/retention', [ErasureController::class, 'index'])->name('retention');
        Route::put('/academy/retention', [ErasureController::class, 'rules'])->name('retention.rules')
            ->middleware('password.confirm');
        Route::post('/academy/retention', [ErasureController::class, 'keep'])->name('retention.keep')
            ->middleware('password.confirm');
        Route::get('/academy', [AcademyController::class, 'show'])->name('academy');
        Route::put('/academy', [AcademyController::class, 'update'])->name('academy.update');
        Route::delete('/academy/sample', [AcademyController::class, 'clear'])->name('academy.clear')
            ->middleware('password.confirm');
        Route::post('/academy/groups', [AcademyController::class, 'group'])->name('academy.groups.store');
        Route::put('/academy/groups/{group}', [AcademyController::class, 'group'])->name('academy.groups.update');
        Route::delete('/academy/groups/{group}', [AcademyController::class, 'dropGroup'])
            ->name('academy.groups.drop');
        Route::get('/academy/letters', [AcademyController::class, 'outbox'])->name('academy.letters');
    });
    Route::get('/record', [RecordController::class, 'show'])->name('record')->can('viewAny', AuditEntry::class);
    Route::get('/record/file', [RecordController::class, 'export'])
        ->name('record.export')
        ->can('viewAny', AuditEntry::class)
        ->middleware('password.confirm');
    Route::get('/works/{work}', [WorkController::class, 'show'])->name('works.show')->can('watch', 'work');
    Route::delete('/works/{work}', [WorkController::class, 'cancel'])->name('works.cancel')->can('watch', 'work');
});
