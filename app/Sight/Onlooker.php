<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\CaseSwing;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use Core\Reading\Stage;
use Core\Sight\Place;
use Core\Sight\Scope;
use Core\Sight\Sight;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Standing;
use Core\Sight\Thing;
use Core\Sight\Turn;
use Core\Sight\Why;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * One person as the rules of sight need to know them: it fetches the facts and asks Core\Sight. Facts are read once and
 * kept for the request; whoever changes them takes a new one.
 */
final class Onlooker
{
    /** @var array<int, list<Place>>|null by recording */
    private ?array $places = null;

    private readonly RecordingFacts $facts;

    /** @var array<int, Standing> by recording */
    private array $standings = [];

    /** @var array<int, array{left: array{1: int, 2: int}, last: ?string, twice: bool}> by sitting */
    private array $progress = [];

    public function __construct(private readonly User $user)
    {
        $this->facts = new RecordingFacts($user);
    }

    /**
     * Fetches the facts of many recordings at once, before they are asked about one by one.
     *
     * @param  iterable<SittingCase|KeyEntry>  $of
     */
    public function over(iterable $of): self
    {
        $ids = [];
        foreach ($of as $one) {
            array_push($ids, ...self::recordingsOf($one instanceof KeyEntry ? $one->case->swings : $one->swings));
        }
        $this->know(array_values(array_unique($ids)));

        return $this;
    }

    public function standing(int $recording): Standing
    {
        return $this->standings[$recording] ??= $this->facts->standing($recording, $this->places()[$recording] ?? []);
    }

    public function sees(Recording|int $recording, Thing $thing = Thing::Numbers): bool
    {
        return Sight::ofRecording(
            $this->standing($recording instanceof Recording ? $recording->id : $recording),
        )->shows($thing);
    }

    /**
     * The cases of which this may be seen in what their sittings came to: in every one of their swings.
     *
     * @param  iterable<Sitting>  $sittings
     * @return array<int, array<int, true>> by sitting and case
     */
    public function seenCases(iterable $sittings, Thing $thing): array
    {
        $by = $recordings = $out = [];
        foreach ($sittings as $sitting) {
            $by[$sitting->id] = $sitting;
        }
        $rows = DB::table('sitting_cases')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->whereIn('sitting_cases.sitting_id', array_keys($by))
            ->distinct()
            ->orderBy('sitting_cases.case_id')
            ->get(['sitting_cases.sitting_id', 'sitting_cases.case_id', 'case_swings.recording_id']);
        foreach ($rows as $row) {
            $recordings[Cell::int($row->sitting_id)][Cell::int($row->case_id)][] = Cell::int($row->recording_id);
        }
        $this->know(array_values(array_unique(array_merge(...array_merge([], ...$recordings)))));
        foreach ($recordings as $sitting => $cases) {
            foreach ($cases as $case => $of) {
                if ($this->ofResult($of, $by[$sitting])->shows($thing)) {
                    $out[$sitting][$case] = true;
                }
            }
        }

        return $out;
    }

    public function seesEntry(KeyEntry $entry, Sitting $panel): bool
    {
        return $this->ofResult(self::recordingsOf($entry->case->swings), $panel)->shows(
            Thing::Key,
        );
    }

    /**
     * Whether the key's entry may be seen by way of a published round that was scored against it.
     *
     * @param  list<int>  $recordings
     */
    public function ofResult(array $recordings, Sitting $sitting): Sight
    {
        $this->know($recordings);

        return Sight::ofAll(
            array_map(
                fn (int $id): Sight => Sight::ofResult(
                    $this->standing($id),
                    $sitting->id,
                    $sitting->kind,
                    $sitting->state,
                ),
                $recordings,
            ),
        );
    }

    /** Own sheet: of every swing of the case. */
    public function ofReading(Reading $reading): Sight
    {
        $recordings = self::recordingsOf($reading->case->swings);
        // How far somebody has come asks for what is known of the whole sitting, this case mostly among it.
        $turn = $this->turn($reading);
        $this->facts->knowForSheets($recordings);
        $places = $turn->isUnread() ? [] : $this->places();

        return Sight::ofAll(array_map(
            fn (int $id): Sight => Sight::ofReading($this->facts->standingForSheet($id, $places[$id] ?? []), $turn),
            $recordings,
        ));
    }

    /** Why the figures of a sitting are withheld whole from this person; null where they are not. */
    public function withheld(Sitting $sitting): ?Why
    {
        return Sight::withholds($this->standingsIn($sitting));
    }

    /** @return iterable<Standing> to every recording of a sitting */
    public function standingsIn(Sitting $sitting): iterable
    {
        $ids = DB::table('sitting_cases')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->where('sitting_cases.sitting_id', $sitting->id)
            ->distinct()
            ->pluck('case_swings.recording_id');

        return $this->standings(array_values($ids->map(static fn (mixed $id): int => Cell::int($id))->all()));
    }

    /**
     * @param  iterable<Recording>  $recordings
     * @return Why|null why a figure made from these is withheld whole
     */
    public function withheldOf(iterable $recordings): ?Why
    {
        $ids = array_map(static fn (Recording $r): int => $r->id, [...$recordings]);

        return Sight::withholds($this->standings(array_values($ids)));
    }

    /** @return Builder<Recording> the recordings that this person may put on the Bench */
    public function recordings(): Builder
    {
        $query = Recording::query()
            ->whereNull('recordings.erased_at')
            ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::Lessons, Scope::StaffTraining))
            ->whereDoesntHave('lesson', static fn ($q) => $q->awaitingFeel())
            ->when($this->user->golfer_id, static fn (Builder $q, int $own) => $q->where('golfer_id', '<>', $own));
        $hidden = $shown = [];
        foreach ($this->places() as $id => $places) {
            $standing = new Standing(true, true, $this->user->isHeadCoach(), $places);
            if ($standing->hiddenBy() !== null) {
                $hidden[] = $id;
            } elseif ($standing->isPublished()) {
                $shown[] = $id;
            }
        }

        $query->whereNotIn('recordings.id', $hidden);

        return $this->user->isHeadCoach() ? $query : $query->where(fn (Builder $q) => $q
            ->where(static fn (Builder $q) => $q->whereIn('recordings.id', $shown)
                ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::StaffTraining)))
            ->orWhere(fn (Builder $q) => $q->whereHas('lesson', fn ($q) => $q->where('given_by', $this->user->id))
                ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::Lessons))));
    }

    /** @return Builder<Recording> those of them that may be put before readers */
    public function readable(): Builder
    {
        return $this->recordings()->whereHas('golfer', static fn ($q) => $q->consenting(Scope::StaffTraining));
    }

    /** @return list<int> recordings that are hidden from this person whatever the role */
    public function hidden(): array
    {
        return array_keys(
            array_filter(
                $this->places(),
                static fn (array $p): bool => (new Standing(true, true, false, $p))->hiddenBy() !== null,
            ),
        );
    }

    /**
     * When the second part of a sitting begins for this person; null where it has begun, there is none, or the first is
     * not read yet.
     */
    public function begins(Sitting $sitting): ?Carbon
    {
        $of = $this->progress($sitting);
        $at =
            $of['left'][2] === 0 || $of['left'][1] > 0 || $of['last'] === null
                ? null
                : Carbon::parse($of['last'])->addDays($sitting->wait_days);

        return $at?->isFuture() === true ? $at : null;
    }

    public function turn(Reading $reading): Turn
    {
        $case = $reading->case;
        $turn = static fn (bool $twice, int $left, bool $begun): Turn => new Turn(
            $reading->stage, $reading->handed_in_at !== null, $reading->arm->film, $reading->arm->trace,
            $twice, $left, $begun, $case->withdrawn_at !== null, $case->sitting->kind === SittingKind::Review,
        );
        $unread = $turn(false, 0, true);
        if ($unread->isUnread() && $case->part === 1) {
            return $unread;
        }
        $of = $this->progress($case->sitting);
        $begun = $case->part === 1 || ($of['left'][1] === 0 &&
            ($of['last'] === null || Carbon::parse($of['last'])->addDays($case->sitting->wait_days)->isPast()));

        return $turn($of['twice'], $case->sitting->state === SittingState::Open ? array_sum($of['left']) : 0, $begun);
    }

    /**
     * How far this person has come in a sitting. Cases taken out of it, or whose consent has ended, hold nobody up.
     *
     * @return array{left: array{1: int, 2: int}, last: ?string, twice: bool}  left: still to be handed in, by part;
     *     last: when the newest of the first part was handed in
     */
    private function progress(Sitting $of): array
    {
        $sitting = $of->id;
        if (isset($this->progress[$sitting])) {
            return $this->progress[$sitting];
        }
        $review = $of->kind === SittingKind::Review;
        $rows = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->where('sitting_cases.sitting_id', $sitting)
            ->where('readings.user_id', $this->user->id)
            ->where('readings.stage', Stage::Blind->value)
            ->whereNull('sitting_cases.withdrawn_at')
            ->get([
                'readings.id',
                'readings.handed_in_at',
                'sitting_cases.part',
                'sitting_cases.occasion',
                'case_swings.recording_id',
            ]);
        $this->facts->knowForSheets(
            array_values(
                $rows
                    ->whereNull('handed_in_at')
                    ->pluck('recording_id')
                    ->unique()
                    ->map(static fn (mixed $id): int => Cell::int($id))
                    ->all(),
            ),
        );
        $waits = $rows
            ->whereNull('handed_in_at')
            ->groupBy('id')
            ->filter(
                fn ($swings): bool => $swings->every(
                    fn ($s): bool => $this->facts->mayBeAsked(Cell::int($s->recording_id), $review),
                ),
            );

        $last = $rows->where('part', 1)->max('handed_in_at');

        return $this->progress[$sitting] = [
            'left' => [
                1 => $waits->filter(static fn ($s): bool => Cell::int($s->firstOrFail()->part) === 1)->count(),
                2 => $waits->filter(static fn ($s): bool => Cell::int($s->firstOrFail()->part) === 2)->count(),
            ],
            'last' => $last === null ? null : Cell::text($last),
            'twice' => $rows->max('occasion') > 1,
        ];
    }

    /**
     * @param  iterable<CaseSwing>  $swings
     * @return list<int>
     */
    private static function recordingsOf(iterable $swings): array
    {
        $ids = [];
        foreach ($swings as $swing) {
            $ids[] = $swing->recording_id;
        }

        return $ids;
    }

    /**
     * @param  list<int>  $ids
     * @return list<Standing>
     */
    private function standings(array $ids): array
    {
        $this->know($ids);

        return array_map($this->standing(...), $ids);
    }

    public function mayShowRoom(int $recording): bool
    {
        return Sight::mayShowRoom($this->standing($recording));
    }

    public function mayReview(int $recording): bool
    {
        return Sight::mayReview($this->standing($recording));
    }

    /** @param  list<int>  $ids  whose facts are fetched at once */
    public function know(array $ids): void
    {
        $this->facts->know($ids);
    }

    /** @return array<int, list<Place>> */
    private function places(): array
    {
        return $this->places ??= SeatedPlaces::of($this->user);
    }
}
