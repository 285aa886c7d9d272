<?php

declare(strict_types=1);

namespace App\Providers;

use App\Academy\Actions\KeepLimit;
use App\Academy\Actions\RecordConsent;
use App\Academy\Attempts;
use App\Academy\Events\PersonChanged;
use App\Academy\OutboxTransport;
use App\Academy\Policies\AcademyPolicy;
use App\Agreement\Actions\ComputeResult;
use App\Agreement\Actions\ExportRound;
use App\Agreement\Actions\PublishRound;
use App\Agreement\Events\RoundPublished;
use App\Audit\Audited;
use App\Audit\RecordChain;
use App\Audit\WriteRecord;
use App\Capture\Policies\CaptureSessionPolicy;
use App\Capture\Policies\CaughtSwingPolicy;
use App\Capture\Policies\DevicePolicy;
use App\Codebook\Actions\TryDraft;
use App\Codebook\Codebooks;
use App\Codebook\Policies\CodebookExamplePolicy;
use App\Codebook\Policies\CodebookVersionPolicy;
use App\Debrief\Policies\DebriefDecisionPolicy;
use App\Debrief\Policies\DebriefSessionPolicy;
use App\Film\FilmFiles;
use App\Http\Components\FigureValue;
use App\Http\Components\Grade;
use App\Http\Components\Layout;
use App\Http\Components\StageHead;
use App\Http\Components\Term;
use App\Http\Middleware\FreshLogin;
use App\Http\SteadySessions;
use App\Lessons\Policies\FollowUpPolicy;
use App\Lessons\Policies\GolferPolicy;
use App\Lessons\Policies\LessonPolicy;
use App\Lessons\Policies\PrescriptionPolicy;
use App\Models\Academy;
use App\Models\AuditEntry;
use App\Models\CaptureSession;
use App\Models\CaughtSwing;
use App\Models\CheckPlan;
use App\Models\CodebookExample;
use App\Models\CodebookVersion;
use App\Models\ContrastSet;
use App\Models\DebriefDecision;
use App\Models\DebriefSession;
use App\Models\Device;
use App\Models\DrillJudging;
use App\Models\Enums\WorkKind;
use App\Models\Film;
use App\Models\FollowUp;
use App\Models\Golfer;
use App\Models\KeyEntry;
use App\Models\Lesson;
use App\Models\PendingImport;
use App\Models\PracticeSitting;
use App\Models\Prescription;
use App\Models\ReadinessDecision;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\TrainingGoal;
use App\Models\Undo;
use App\Models\User;
use App\Models\Work;
use App\Notices\Actions\SendDigests;
use App\Notices\Actions\TellPeople;
use App\Operations\Actions\WatchClock;
use App\Operations\AppRole;
use App\Operations\Policies\AuditEntryPolicy;
use App\Operations\TemporaryFiles;
use App\Panel\Actions\BuildKey;
use App\Panel\Actions\RuleOnEntry;
use App\Panel\FollowingRounds;
use App\Panel\Policies\DrillJudgingPolicy;
use App\Panel\Policies\KeyEntryPolicy;
use App\Practice\Actions\MakeContrast;
use App\Practice\Policies\ContrastSetPolicy;
use App\Practice\Policies\PracticeSittingPolicy;
use App\Practice\Policies\TrainingGoalPolicy;
use App\Readiness\Actions\HoldChecks;
use App\Readiness\Actions\PutNextCase;
use App\Readiness\Policies\CheckPlanPolicy;
use App\Readiness\Policies\ReadinessDecisionPolicy;
use App\Readiness\Policies\ReadinessRulePolicy;
use App\Readiness\Policies\ReadinessTestPolicy;
use App\Shelf\AcademyNorms;
use App\Shelf\Actions\ChangeFacts;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\MeasureWhatIsStale;
use App\Shelf\Actions\RemoveFilm;
use App\Shelf\Actions\RestartConversions;
use App\Shelf\Events\FilmArrived;
use App\Shelf\Events\FilmMatched;
use App\Shelf\Events\FilmRemoved;
use App\Shelf\Jobs\FilmConversion;
use App\Shelf\Jobs\ForgetFilm;
use App\Shelf\Jobs\StillsOfFilm;
use App\Shelf\Policies\FilmPolicy;
use App\Shelf\Policies\PendingImportPolicy;
use App\Shelf\Policies\RecordingPolicy;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Events\ReadingHandedIn;
use App\Sittings\Events\ReadingReopened;
use App\Sittings\Events\RoundChanged;
use App\Sittings\Events\RoundOpened;
use App\Sittings\Policies\ReadingPolicy;
use App\Sittings\Policies\SittingPolicy;
use App\Sittings\ReadingInPlace;
use App\Time\Clock;
use App\Undo\Actions\PutRowsBack;
use App\Undo\Policies\UndoPolicy;
use App\Undo\Undos;
use App\Words\Glossary;
use App\Words\Wording;
use App\Works\Doers;
use App\Works\Policies\WorkPolicy;
use App\Works\Progress;
use App\Works\Works;
use Core\Remark\InWords;
use Illuminate\Console\Events\CommandStarting;
use Illuminate\Contracts\Container\Container;
use Illuminate\Database\Eloquent\Casts\Json;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Database\Events\NoPendingMigrations;
use Illuminate\Foundation\Application;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Psr\Clock\ClockInterface;

final class AppServiceProvider extends ServiceProvider
{
    /** Who decides on what; each asks Core\Sight. */
    private const POLICIES = [
        Recording::class => RecordingPolicy::class,
        Film::class => FilmPolicy::class,
        Sitting::class => SittingPolicy::class,
        Reading::class => ReadingPolicy::class,
        KeyEntry::class => KeyEntryPolicy::class,
        DebriefSession::class => DebriefSessionPolicy::class,
        DebriefDecision::class => DebriefDecisionPolicy::class,
        DrillJudging::class => DrillJudgingPolicy::class,
        Work::class => WorkPolicy::class,
        Device::class => DevicePolicy::class,
        CaptureSession::class => CaptureSessionPolicy::class,
        CaughtSwing::class => CaughtSwingPolicy::class,
        PendingImport::class => PendingImportPolicy::class,
        PracticeSitting::class => PracticeSittingPolicy::class,
        ContrastSet::class => ContrastSetPolicy::class,
        TrainingGoal::class => TrainingGoalPolicy::class,
        CheckPlan::class => CheckPlanPolicy::class,
        ReadinessRule::class => ReadinessRulePolicy::class,
        ReadinessTest::class => ReadinessTestPolicy::class,
        ReadinessDecision::class => ReadinessDecisionPolicy::class,
        CodebookExample::class => CodebookExamplePolicy::class,
        CodebookVersion::class => CodebookVersionPolicy::class,
        AuditEntry::class => AuditEntryPolicy::class,
        Academy::class => AcademyPolicy::class,
        Golfer::class => GolferPolicy::class,
        Lesson::class => LessonPolicy::class,
        Prescription::class => PrescriptionPolicy::class,
        FollowUp::class => FollowUpPolicy::class,
        Undo::class => UndoPolicy::class,
    ];

    public function register(): void
    {
        // Pages keep their connection between requests: opening one costs more than most of what is asked over it. What
        // a request leaves open is rolled back by PDO; nothing of the application hangs on a connection beyond a
        // transaction. Said here and not in a file of settings: those are cached by a command, which is no page.
        if (! $this->app->runningInConsole()) {
            config([
                'database.connections.pgsql.options' => [\PDO::ATTR_PERSISTENT => true]
                    + config()->array('database.connections.pgsql.options'),
            ]);
        }
        $this->app->bind(InWords::class, Wording::class);
        $this->app->singleton(
            ClockInterface::class,
            static fn (): Clock => new Clock(is_string($file = config('academy.clock_file')) ? $file : null),
        );
        $this->app->alias(ClockInterface::class, Clock::class);
        $this->app->bind(Doers::class, static fn (Container $app): Doers => new Doers([
            WorkKind::Measure->value => static fn (Work $work) => $work->recording === null
                ? null
                : $app->make(MeasureRecording::class)($work->recording),
            WorkKind::Open->value => static fn (Work $work, Progress $progress) => $app
                ->make(OpenRound::class)
                ->carryOut($work->sitting()->firstOrFail(), $work->asker, $progress),
            WorkKind::Key->value => static fn (Work $work, Progress $progress) => $app
                ->make(BuildKey::class)
                ->carryOut($work->sitting()->firstOrFail(), $progress),
            WorkKind::Publish->value => static fn (Work $work, Progress $progress) => $app
                ->make(PublishRound::class)
                ->carryOut($work->sitting()->firstOrFail(), $work->asker, $progress),
            WorkKind::Figures->value => static fn (Work $work, Progress $progress) => $app
                ->make(ComputeResult::class)
                ->carryOut($work->sitting()->firstOrFail(), $progress),
            WorkKind::Export->value => static fn (Work $work, Progress $progress) => $app
                ->make(ExportRound::class)
                ->carryOut($work->sitting()->firstOrFail(), $progress),
            WorkKind::Try->value => static fn (Work $work, Progress $progress) => $app
                ->make(TryDraft::class)
                ->carryOut($work->draft()->firstOrFail(), $progress),
            WorkKind::Contrast->value => static fn (Work $work, Progress $progress) => $app
                ->make(MakeContrast::class)
                ->carryOut($work->contrast()->firstOrFail(), $progress),
        ]));
        $this->app->bind(Undos::class, static fn (Container $app): Undos => new Undos([
            'ruling' => static fn (array $payload, User $by) => $app->make(RuleOnEntry::class)->back($payload, $by),
            'consents' => static fn (array $payload, User $by) => $app->make(RecordConsent::class)->back($payload, $by),
            'facts' => static fn (array $payload, User $by) => $app->make(ChangeFacts::class)->back($payload, $by),
            'rows' => static fn (array $payload, User $by) => $app->make(PutRowsBack::class)($payload, $by),
            'limit' => static fn (array $payload, User $by) => $app->make(KeepLimit::class)->back($payload, $by),
            'film' => static fn (array $payload, User $by) => $app->make(RemoveFilm::class)->back($payload, $by),
        ]));
        $this->app->when(FreshLogin::class)->needs('$passwordTimeout')->giveConfig('auth.password_timeout');
        $this->app->scoped(Codebooks::class);
        $this->app->scoped(Glossary::class, static fn (Container $app): Glossary => new Glossary(
            static fn (): array => $app->make(Codebooks::class)->document()->words(),
        ));
        $this->app->scoped(AcademyNorms::class);
        $this->app->scoped(Onlookers::class);
    }

    public function boot(): void
    {
        $this->app->make(Clock::class)->install();
        $proxies = config('security.proxies');
        if (is_array($proxies) && $proxies !== []) {
            TrustProxies::at($proxies);
        }
        Route::bind('following', static fn (string $id): Sitting => FollowingRounds::all()
            ->where('public_id', $id)
            ->firstOrFail());
        Route::bind('reading', static fn (string $id): Reading => app(ReadingInPlace::class)->by($id));
        // Facts about sight are those of one request.
        /** @var Application $app */
        $app = $this->app;
        $app->rebinding(
            'request',
            static fn (Application $app) => $app->resolved(Onlookers::class)
                ? $app->make(Onlookers::class)->forget()
                : null,
        );
        // Whole numbers stay numbers of their kind: 55.0 is not stored as 55.
        Json::encodeUsing(
            static fn (mixed $value, int $flags = 0): string => json_encode(
                $value,
                $flags | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
            ),
        );
        Blade::component('layout', Layout::class);
        Blade::component('figure-value', FigureValue::class);
        Blade::component('stage-head', StageHead::class);
        Blade::component('grade', Grade::class);
        Blade::component('term', Term::class);
        Blade::directive('part', static fn (string $of): string => "<?php echo e(\\App\\Http\\Release::part($of)); ?>");
        Blade::directive(
            'said',
            static fn (string $of): string => "<?php echo e(app(\\App\\Words\\Wording::class)->said($of)); ?>",
        );
        Model::shouldBeStrict();
        // A query too many fails a test, and is noted where people work: nobody loses a page over it.
        if (config('app.strict') !== true) {
            Model::handleLazyLoadingViolationUsing(
                static fn (Model $model, string $relation) => Log::warning('loaded one by one', [
                    'model' => $model::class,
                    'relation' => $relation,
                ]),
            );
        }
        // A worker looks, between jobs, for conversions whose worker was killed.
        Queue::looping(static function (): void {
            static $next = 0.0;
            if (microtime(true) >= $next) {
                $next = microtime(true) + 5.0;
                app(WatchClock::class)();
                app(RestartConversions::class)();
                app(Works::class)->takeUp();
                app(MeasureWhatIsStale::class)();
                app(HoldChecks::class)->due();
                app(SendDigests::class)();
                app(RecordChain::class)->seal();
                Attempts::forget();
                TemporaryFiles::sweep();
            }
        });
        Session::extend('database', static fn (Container $app): SteadySessions => new SteadySessions(
            DB::connection(),
            config()->string('session.table'),
            config()->integer('session.lifetime'),
            $app,
        ));
        Mail::extend('outbox', static fn (): OutboxTransport => new OutboxTransport());
        Event::listen(static fn (CommandStarting $e) => AppRole::forCommand($e->command));
        Event::listen([MigrationsEnded::class, NoPendingMigrations::class], AppRole::grant(...));
        Event::listen(Audited::class, WriteRecord::class);
        Event::listen(RoundOpened::class, [TellPeople::class, 'opened']);
        Event::listen(RoundChanged::class, [TellPeople::class, 'changed']);
        Event::listen(RoundPublished::class, [TellPeople::class, 'published']);
        Event::listen(ReadingReopened::class, [TellPeople::class, 'reopened']);
        Event::listen(ReadingHandedIn::class, [TellPeople::class, 'handedIn']);
        Event::listen(ReadingHandedIn::class, [PutNextCase::class, 'handedIn']);
        Event::listen(PersonChanged::class, [TellPeople::class, 'person']);
        Event::listen(
            static fn (FilmArrived $arrived) => FilmConversion::dispatch($arrived->film)->afterCommit(),
        );
        Event::listen(static fn (FilmMatched $matched) => StillsOfFilm::dispatch($matched->film)->afterCommit());
        Event::listen(static fn (FilmRemoved $removed) => ForgetFilm::dispatch($removed->film->public_id)
            ->delay(now()->addSeconds(ForgetFilm::AFTER_S))
            ->afterCommit());
        // Files go when the row is gone for good.
        Film::deleted(static fn (Film $film) => DB::afterCommit(
            static fn () => app(FilmFiles::class)->forget($film->public_id),
        ));
        foreach (self::POLICIES as $model => $policy) {
            Gate::policy($model, $policy);
        }
    }
}
