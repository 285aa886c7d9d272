<?php

declare(strict_types=1);

namespace App\Demo;

use App\Agreement\Actions\PublishRound;
use App\Models\Academy;
use App\Models\Consent;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\Group;
use App\Models\Lesson;
use App\Models\Notice;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Report\Actions\WriteReport;
use App\Shelf\Actions\ConvertFilm;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\StoreRecording;
use App\Shelf\Actions\TakeNorms;
use App\Sittings\Actions\CloseRound;
use App\Sittings\Actions\HandInReading;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\SaveChanges;
use App\Words\Term;
use App\Works\Progress;
use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\FaultVerdict;
use Core\Codebook\SwingReport;
use Core\Codebook\Verdict;
use Core\Measurement\Evidence;
use Core\Motion\StationTime;
use Core\Reading\Call as CoreCall;
use Core\Reading\CaseKind;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Stage;
use Core\Sight\Role;
use Core\Sight\Scope;
use Core\Sight\SittingKind;
use Core\Simulation\Flight;
use Core\Simulation\Mishap;
use Core\Simulation\Plant;
use Core\Simulation\Rater;
use Core\Simulation\Swing;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/**
 * Fills an empty database with the Fernhollow scenario through the same actions the pages use, at the dates
 * on which things are said to have happened. What was planted in a golfer is used here and stored nowhere.
 *
 * @phpstan-import-type Row from Reserve
 */
final class LoadDemo
{
    /** @var array<int, array{truth: array<string, int|float>, stations: array<string, float>}> by recording id */
    private array $made = [];

    /** @var array<int, Rater> by user id */
    private array $raters = [];

    public function __construct(
        private readonly StoreRecording $store,
        private readonly OpenRound $open,
        private readonly CloseRound $close,
        private readonly PublishRound $publish,
        private readonly SaveChanges $save,
        private readonly HandInReading $handIn,
        private readonly ConvertFilm $films,
        private readonly TakeNorms $norms,
        private readonly MeasureRecording $measure,
        private readonly DemoPanel $panel,
        private readonly DemoDebrief $debrief,
        private readonly WriteReport $report,
        private readonly DemoCodebook $codebook,
        private readonly DemoPractice $practice,
        private readonly DemoReadiness $readiness,
        private readonly DemoLessons $lessons,
        private readonly DemoChecks $checks,
    ) {
    }

    /** @param  int|null  $limit only the first so many recordings, for tests */
    public function __invoke(?int $limit = null): void
    {
        try {
            DB::transaction(function () use ($limit): void {
                $this->load($limit);
                // What happened in months that never were is news to nobody.
                Notice::query()->delete();
            });
        } finally {
            Carbon::setTestNow();
        }
    }

    private function load(?int $limit): void
    {
        $today = Carbon::now();
        Carbon::setTestNow($today->copy()->subDays(140));
        Academy::query()->create([
            'id' => Academy::ID,
            'name' => Fernhollow::ACADEMY,
            'zone' => config()->string('academy.zone'),
            'letterhead' => Fernhollow::ACADEMY."\nWinter calibration programme",
            'is_sample' => true,
        ]);
        $password = Hash::make(Fernhollow::PASSWORD);
        foreach (Fernhollow::people() as [$name, $email, $role, $rater]) {
            $user = (new User())->forceFill([
                'name' => $name,
                'email' => $email,
                'role' => $role,
                'password' => $password,
            ]);
            $user->save();
            if ($rater !== null) {
                $this->raters[$user->id] = $rater;
            }
        }
        $this->groups();
        $reserve = $limit === null ? $this->reserve(Reserve::forTests(), $today->copy()->subDays(139)) : [];
        $checks = $limit === null ? $this->reserve(Reserve::forChecks(), $today->copy()->subDays(138)) : [];
        $recordings = [];
        foreach (array_slice(Fernhollow::recordings(), 0, $limit) as $i => $row) {
            Carbon::setTestNow($today->copy()->subDays(138 - $i)->setTime(15, 10 + $i));
            $recordings[] = [$this->record($row), $row];
        }
        $this->lesson(
            Golfer::query()->where('pseudonym', 'Dunnock')->firstOrFail(),
            $today->copy()->subDays(134),
        );
        [$head] = $this->people(Role::HeadCoach);
        $several = $limit === null ? $this->several($today->copy()->subDays(112)) : [];
        $this->measureAll();
        ($this->norms)();
        $this->measureAll();
        $panel = $this->people(Role::Panel);
        $staff = $this->people(Role::Instructor);
        $half = (int) ceil(count($recordings) * 14 / 24);

        if ($reserve !== []) {
            Carbon::setTestNow($today->copy()->subDays(124)->setTime(9, 0));
            foreach (['Reserve for tests' => $reserve, 'Reserve for weekly checks' => $checks] as $name => $swings) {
                $kept = $this->round($name, SittingKind::Panel, $swings, $panel, $head);
                $this->answer($kept, $today->copy()->subDays(122), 1.0);
                $this->close->now($kept, $head);
                $this->publish->carryOut($kept->refresh(), $head, Progress::untold());
            }
        }

        Carbon::setTestNow($today->copy()->subDays(108)->setTime(9, 0));
        $study = $this->round('Winter panel study', SittingKind::Panel, $recordings, $panel, $head, $several);
        $this->answer($study, $today->copy()->subDays(104), 1.0);
        $this->close->now($study, $head);
        $this->panel->judged($study->refresh(), $head, $today->copy()->subDays(99), $this->raters);
        $this->panel->followed($study->refresh(), $head, $today->copy()->subDays(96));
        $this->publish->carryOut($study->refresh(), $head, Progress::untold());

        if ($limit === null) {
            $this->practice->prepare($today->copy()->subDays(102));
            $this->practice->weeks($today->copy()->subDays(101), 0, 3);
        }
        Carbon::setTestNow($today->copy()->subDays(80)->setTime(9, 0));
        $spring = $this->round('Spring round', SittingKind::Round, array_slice($recordings, 0, $half), $staff, $head,
            reveals: $limit === null, crossed: $limit === null);
        $this->answer($spring, $today->copy()->subDays(76), 1.0);
        Carbon::setTestNow($today->copy()->subDays(66)->setTime(17, 0));
        $this->close->now($spring, $head);
        $this->publish->carryOut($spring->refresh(), $head, Progress::untold());
        if ($limit === null) {
            Carbon::setTestNow($today->copy()->subDays(65)->setTime(10, 30));
            ($this->report)($spring->refresh(), Behind::REPORT, 0, $head);
            ($this->debrief)($spring->refresh(), $head, $staff, $today->copy()->subDays(63));
            Carbon::setTestNow($today->copy()->subDays(40)->setTime(16, 0));
            ($this->codebook)($spring->refresh(), $head);
            $this->practice->weeks($today->copy()->subDays(64), 3, 12);
            $before = $this->raters;
            foreach (Fernhollow::READY as $who) {
                // After a winter of practice they see nearly as the panel does.
                $this->raters[self::idOf($who)] = new Rater(4.6, 0.1, 0.0, 0.95, 2);
            }
            ($this->readiness)($today->copy()->subDays(20), $this->read(...));
            $this->raters = $before;
            $this->practice->goals($today);
            ($this->checks)($today, $head, $this->said(...));
            ($this->lessons)($today, $head);
        }

        Carbon::setTestNow($today->copy()->subDays(6)->setTime(9, 0));
        $autumn = $this->round(
            'Autumn round',
            SittingKind::Round,
            array_slice($recordings, $half),
            $staff,
            $head,
            $several,
            $limit === null,
        );
        if ($limit === null) {
            $autumn->update(['due_on' => $today->copy()->addDays(9)->toDateString()]);
        }
        $this->answer($autumn, $today->copy()->subDays(5), 0.5);
    }

    /**
     * Swings that came several at a time, and the cases they make: two series, and one golfer before and after.
     *
     * @return list<array{kind: CaseKind, swings: non-empty-list<Recording>}>
     */
    private function several(Carbon $day): array
    {
        $series = [];
        foreach (Fernhollow::series() as $k => $row) {
            foreach ($row['specs'] as $n => $spec) {
                Carbon::setTestNow(
                    $day
                        ->copy()
                        ->addDays($k)
                        ->setTime(18, 10 + 2 * $n),
                );
                $series[$k][] = $this->record(
                    [
                        'number' => -1,
                        'film' => true,
                        'trace' => true,
                        'looks' => [],
                        'filmed' => [],
                        'spec' => $spec,
                        'mishap' => Fernhollow::MISHAPS["{$row['series']} ".($n + 1)] ?? null,
                        ...$row,
                    ],
                    ['series' => $row['series'], 'is_cold' => $n === 0],
                );
            }
        }

        return [
            ['kind' => CaseKind::Series, 'swings' => $series[0]],
            ['kind' => CaseKind::Series, 'swings' => $series[2]],
            ['kind' => CaseKind::Pair, 'swings' => [$series[0][1], $series[1][1]]],
            // The change is there in a part swing, and gone again at full speed.
            ['kind' => CaseKind::Ladder, 'swings' => [$series[0][2], $series[1][1], $series[0][3]]],
        ];
    }

    /**
     * @param  list<Row>  $swings
     * @return list<array{Recording, array{film: bool, trace: bool, ...}}>
     */
    private function reserve(array $swings, Carbon $day): array
    {
        $out = [];
        foreach ($swings as $i => $row) {
            Carbon::setTestNow($day->copy()->addHours($i));
            $out[] = [$this->record($row), $row];
        }

        return $out;
    }

    private static function idOf(string $who): int
    {
        return User::query()->where('email', "$who@fernhollow.example")->sole()->id;
    }

    private function measureAll(): void
    {
        foreach (Recording::query()->orderBy('id')->get() as $recording) {
            ($this->measure)($recording);
        }
    }

    private function groups(): void
    {
        $people = User::query()->orderBy('id')->pluck('id', 'email');
        foreach (Fernhollow::GROUPS as [$kind, $name, $of]) {
            Group::query()->create(compact('kind', 'name'))->people()->sync(
                $people->only(array_map(static fn (string $who): string => "$who@fernhollow.example", $of))->values(),
            );
        }
    }

    /** A session with its golfer's words and balls, of somebody whose limit is to be minded. */
    private function lesson(Golfer $golfer, Carbon $day): void
    {
        $lesson = Lesson::query()->create([
            'golfer_id' => $golfer->id, 'held_on' => $day->toDateString(), ...Fernhollow::LESSON,
            'feel_locked_at' => $day->copy()->setTime(15, 20),
        ]);
        foreach (Fernhollow::BALLS as $i => $flight) {
            $lesson->balls()->create(['place' => $i + 1, 'club' => 'fairway wood', 'flight' => $flight]);
        }
    }

    private function limit(Golfer $golfer, ?string $of): void
    {
        if ($of !== null && $golfer->limitsNoted()->doesntExist()) {
            GolferLimit::query()->create(['golfer_id' => $golfer->id, ...Fernhollow::LIMITS[$of]]);
        }
    }

    /** @return list<User> */
    private function people(Role $role): array
    {
        return array_values(User::query()->where('role', $role)->orderBy('id')->get()->all());
    }

    /**
     * @param  array{number: int, golfer: string, limits: ?string, club: string, shape: string, film: bool, trace: bool,
     *     looks: array<string, int>, spec: \Core\Simulation\GolferSpec, filmed: array<string, int>,
     *     mishap?: ?string, ...}  $row
     * @param  array{series?: string, is_cold?: bool}  $more
     */
    private function record(array $row, array $more = []): Recording
    {
        $spec = $row['spec'];
        $golfer = Golfer::query()->firstOrCreate(
            ['pseudonym' => $row['golfer']],
            ['handedness' => $spec->hand->value],
        );
        if ($golfer->wasRecentlyCreated) {
            foreach ([Scope::Lessons, Scope::StaffTraining, Scope::DebriefFilm] as $scope) {
                Consent::query()->create([
                    'golfer_id' => $golfer->id,
                    'scope' => $scope,
                    'given_on' => now()->toDateString(),
                    'expires_on' => now()
                        ->addDays($row['golfer'] === 'Redstart' ? 152 : 720)
                        ->toDateString(),
                ]);
            }
            $this->limit($golfer, $row['limits']);
        }
        $swing = Swing::simulated($spec);
        $mishap = $row['mishap'] ?? null;
        $recording = ($this->store)(
            $golfer,
            [
                'club' => $row['club'],
                'shape' => $row['shape'],
                'device_name' => 'bench '.Term::device($spec->device),
                'source' => 'demo',
                'outcome' => Flight::simulated($spec->seed, $row['shape'], $spec->plant->faults)->toArray(),
                ...$more,
            ],
            $mishap === null ? $swing->trace : Mishap::all()[$mishap]->doneTo($swing->trace, 0.0),
            $swing->stations,
            $swing->motion(),
        );
        foreach ($row['filmed'] as $view => $rate) {
            $file = base_path('demo/films/'.Fernhollow::film($row['number'], $view));
            $film = Film::query()->create([
                'recording_id' => $recording->id,
                'view' => $view,
                'name' => basename($file),
                'bytes' => filesize($file),
                'offset_s' => Fernhollow::FILM_STARTS_S,
                'clock_by' => 'as recorded',
                'clock_uncertainty_s' => 0.5 / $rate,
            ]);
            $this->films->adopt($film, $file);
        }
        $this->made[$recording->id] = [
            'truth' => $spec->plant->faults + $row['looks'] + self::entailed($swing),
            'stations' => array_map(static fn (StationTime $t): float => $t->t, $swing->stations->all()),
        ];

        return $recording;
    }

    /**
     * What came with the planted by definition in this swing; whoever sees the one sees the other.
     *
     * @return array<string, int|float>
     */
    private static function entailed(Swing $swing): array
    {
        $out = [];
        foreach ($swing->spec->plant->faults as $fault => $severity) {
            $out += array_fill_keys(Plant::ENTAILS[$fault] ?? [], $severity);
        }
        $report = new SwingReport(new Evidence($swing->stations, $swing->trace, $swing->motion(), $swing->stance));
        $came = array_filter(
            $out === [] ? [] : $report->faults(Codebook::standard()),
            static fn (FaultVerdict $v): bool => $v->judgement->verdict === Verdict::Supported,
        );

        return array_intersect_key($out, $came);
    }

    /**
     * @param  list<array{Recording, array{film: bool, trace: bool}}>  $recordings
     * @param  list<User>  $members
     * @param  list<array{kind: CaseKind, swings: non-empty-list<Recording>}>  $several
     */
    private function round(
        string $name,
        SittingKind $kind,
        array $recordings,
        array $members,
        User $head,
        array $several = [],
        bool $reveals = false,
        bool $crossed = false,
    ): Sitting {
        $round = Sitting::query()->create([
            'name' => $name,
            'kind' => $kind,
            'lens' => 'early-recentre',
            'codebook_version' => \Core\Codebook\CodebookDocument::standard()->version(),
            'seed' => substr(hash('sha256', $name), 0, 32),
            'created_by' => $head->id,
            'reveals' => $reveals,
        ]);
        foreach ($recordings as [$recording, $row]) {
            $both = $kind === SittingKind::Panel || $crossed;
            $round->addCases([[
                'kind' => CaseKind::Single,
                'recordings' => [$recording->id],
                'film' => $both || $row['film'],
                'trace' => $both || $row['trace'],
                'crossed' => $crossed,
                'occasion' => 1,
                'part' => 1,
            ]]);
        }
        foreach ($several as $case) {
            $round->addCase(
                $case['kind'],
                array_map(static fn (Recording $r): int => $r->id, $case['swings']),
                true,
                true,
            );
        }
        $round->members()->attach(array_map(static fn (User $u): int => $u->id, $members));
        $this->open->carryOut($round, $head, Progress::untold());

        return $round->refresh();
    }

    /** Members read their first cases, in their own order, up to the given share of them. */
    private function answer(Sitting $round, Carbon $start, float $share): void
    {
        foreach ($round->members()->orderBy('users.id')->get() as $m => $member) {
            $readings = Reading::query()
                ->whereIn('sitting_case_id', $round->cases()->select('id'))
                ->where('user_id', $member->id)
                ->with(['arm', 'case.recording.golfer', 'case.swings', 'case.sitting'])
                ->orderBy('position')
                ->get();
            // A half-answered round is not answered evenly: some are done, some have hardly begun.
            $until =
                $share >= 1.0
                    ? $readings->count()
                    : (int) round($readings->count() * [0.5, 0.9, 0.3, 0.6, 0.0, 1.0, 0.4, 0.5][$m % 8]);
            foreach ($readings->take($until) as $n => $reading) {
                Carbon::setTestNow($start->copy()->startOfDay()->addMinutes(60 * 9 + 7 * $n + 3 * $m));
                $core = $this->read($reading, $member, $n);
                if ($round->reveals && $n % 3 !== 2) {
                    $this->lookAgain($reading, $member, $core);
                }
            }
        }
    }

    /** A case as this person sees it, from the first call to the hand-in. */
    private function read(Reading $reading, User $member, int $n): CoreReading
    {
        $core = $this->said($reading, $member, $n);
        ($this->save)($reading, 'demo-bench', SheetChanges::of($core, $reading, $member->email));
        ($this->handIn)($reading, $member);

        return $core;
    }

    /** What this person says of a case, as another than they are where one is named. */
    private function said(Reading $reading, User $member, int $n, ?Rater $as = null): CoreReading
    {
        $round = $reading->case->sitting;
        $made = $this->made[$reading->case->recording->id];
        $chance = new Chance("read|{$round->seed}|{$member->email}|{$reading->case->recording->id}");

        return ($as ?? $this->raters[$member->id])->read(
            Codebook::standard(),
            $made['truth'],
            $reading->shown(),
            $n,
            $made['stations'],
            $chance,
            Behind::OUTSIDE[$reading->case->recording->golfer->pseudonym] ?? [],
            $reading->case->kind === CaseKind::Ladder ? Behind::BREAKS : null,
        );
    }

    /**
     * The second look: what was called present is called more surely, and a poor strike makes some see a hanging back
     * they had not seen.
     */
    private function lookAgain(Reading $blind, User $member, CoreReading $core): void
    {
        $again = Reading::query()
            ->where('sitting_case_id', $blind->sitting_case_id)
            ->where('user_id', $member->id)
            ->where('stage', Stage::Reveal)
            ->sole();
        Carbon::setTestNow(Carbon::now()->addMinutes(2));
        $changes = [];
        foreach (
            array_filter(
                $core->calls,
                static fn (CoreCall $c): bool => $c->confidence !== null &&
                    $c->confidence < 95 &&
                    $c->presence === Presence::Present,
            ) as $fault => $call
        ) {
            $changes[] = [
                'id' => substr($again->public_id, 0, 20).'-'.count($changes),
                'target' => "call:$fault",
                'value' => [
                    ...SheetChanges::call($call, $blind->case->kind),
                    'confidence' => ($call->confidence ?? 50) + 5,
                ],
                'base' => count($changes),
                'at' => Carbon::now()->getTimestampMs() - 30_000,
            ];
        }
        $strike = $blind->case->recording->flight()?->strike;
        if (
            in_array($strike, ['fat', 'thin', 'top'], true) &&
            ($core->calls['hang-back'] ?? null)?->presence === Presence::Absent &&
            crc32($member->email.$blind->sitting_case_id) % 3 === 0
        ) {
            $changes[] = [
                'id' => substr($again->public_id, 0, 20).'-hb',
                'target' => 'call:hang-back',
                'value' => [
                    'presence' => 'present',
                    'severity' => 1,
                    'onset' => 'IM',
                    'decision' => 'later',
                    'confidence' => 60,
                    'pins' => [['on' => 'strike']],
                    ...$blind->case->kind === CaseKind::Pair ? ['trend' => 'same'] : [],
                ],
                'base' => count($changes),
                'at' => Carbon::now()->getTimestampMs() - 20_000,
            ];
            if ($core->firstCauses === []) {
                $changes[] = [
                    'id' => substr($again->public_id, 0, 20).'-fc',
                    'target' => 'causes',
                    'value' => ['hang-back'],
                    'base' => count($changes),
                    'at' => Carbon::now()->getTimestampMs() - 10_000,
                ];
            }
        }
        if ($changes !== []) {
            ($this->save)($again, 'demo-bench', $changes);
        }
        ($this->handIn)($again, $member);
    }
}
