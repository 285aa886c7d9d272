<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use Core\Agreement\Study\RoundFacts;
use Core\Planning\Arms;
use Core\Sight\SittingKind;
use Core\Sight\SmallCells;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** How a round was held, from what is kept of it. Golfers are counted so that nobody is found among them. */
final readonly class ReportFacts
{
    /**
     * @param  array<string, int>  $kinds  cases by what they hold
     * @param  array<string, int>  $shown  cases by what was shown of them
     * @param  SmallCells  $handed  golfers by the side they play from
     * @param  SmallCells  $ages  golfers by age at the round, in spans
     * @param  array<string, int>  $devices  recordings by class of device
     * @param  array<string, int>  $grades  questions of the key by grade
     * @param  float|null  $prevalence  share of the key's answers that are "present"; null where it has none
     * @param  int  $followed  following rounds held by the panel
     */
    private function __construct(
        public RoundFacts $numbers,
        public array $kinds,
        public array $shown,
        public SmallCells $handed,
        public SmallCells $ages,
        public array $devices,
        public array $grades,
        public ?float $prevalence,
        public int $followed,
        public int $swings,
        public int $reserved,
    ) {
    }

    public static function of(Sitting $round): self
    {
        $cases = DB::table('sitting_cases')
            ->join('cases', 'cases.id', '=', 'sitting_cases.case_id')
            ->leftJoin('sitting_arms', 'sitting_arms.id', '=', 'sitting_cases.arm_id')
            ->where('sitting_cases.sitting_id', $round->id)
            ->whereNull('withdrawn_at')
            ->selectRaw("kind, occasion, reserved, coalesce(code, 'crossed') as code, case_id")
            ->get();
        $first = $cases->where('occasion', 1);
        $golfers = self::swings($round)
            ->join('golfers', 'golfers.id', '=', 'recordings.golfer_id')
            ->distinct()
            ->get(['golfers.id', 'handedness', 'is_minor', 'born_year']);
        $swings = self::swings($round)
            ->groupBy('device_class')
            ->selectRaw('device_class as what, count(distinct recordings.id) as n')
            ->get();
        $read = self::read($round);
        $panel = $round->keyVersion?->sitting;
        $numbers = new RoundFacts(
            $read['readers'],
            $golfers->count(),
            $first->count(),
            $cases->where('occasion', '>', 1)->count(),
            $round->readings_dealt ?? $read['readings'],
            $round->readings_handed_in ?? $read['readings'],
            $read['calls'],
            $first->contains('code', 'crossed') ? count(Arms::CODES) : $first->pluck('code')->unique()->count(),
            $panel?->members()->count() ?? 0,
            $round->wait_days > 0,
        );

        return new self(
            $numbers,
            self::counted($first->pluck('kind')->all()),
            self::counted($first->pluck('code')->all()),
            SmallCells::of(self::counted($golfers->pluck('handedness')->all())),
            SmallCells::of(self::counted(array_map(
                static fn (object $g): string => self::age($g, $round),
                $golfers->all(),
            ))),
            self::numbers($swings),
            self::grades($round),
            self::prevalence($round),
            $panel === null ? 0 : Sitting::query()
                ->withoutGlobalScope(Sitting::SHARED)
                ->where('kind', SittingKind::Following)
                ->where('parent_id', $panel->id)
                ->count(),
            array_sum(self::numbers($swings)),
            $cases->where('reserved', true)->count(),
        );
    }

    /** Questions of the key about this round's cases, scored or not. */
    public function questions(): int
    {
        return array_sum($this->grades);
    }

    private static function swings(Sitting $round): Builder
    {
        return DB::table('recordings')
            ->join('case_swings', 'case_swings.recording_id', '=', 'recordings.id')
            ->join('sitting_cases', 'sitting_cases.case_id', '=', 'case_swings.case_id')
            ->where('sitting_cases.sitting_id', $round->id)
            ->whereNull('withdrawn_at');
    }

    /** @return array{readers: int, readings: int, calls: int} */
    private static function read(Sitting $round): array
    {
        $of = $round->readings()->whereNotNull('handed_in_at');
        $calls = DB::table('calls')->whereIn('reading_id', (clone $of)->select('readings.id'))->count();

        return [
            'readers' => (clone $of)->distinct()->count('readings.user_id'),
            'readings' => $of->count(),
            'calls' => $calls,
        ];
    }

    private static function age(object $golfer, Sitting $round): string
    {
        $born = $golfer->born_year ?? null;
        if ($born === null) {
            return ($golfer->is_minor ?? false) === true ? 'minor' : 'unknown';
        }
        $age = ($round->opened_at ?? now())->year - Cell::int($born);

        return match (true) {
            $age < 18 => 'minor',
            $age < 40 => 'young',
            $age < 60 => 'middle',
            default => 'older',
        };
    }

    private static function prevalence(Sitting $round): ?float
    {
        $says = $round->keyVersion?->entries()
            ->whereIn('case_id', $round->cases()->select('case_id'))
            ->toBase()
            ->selectRaw("avg(case coalesce(ruling, label) when 'present' then 1.0 when 'absent' then 0.0 end) as share")
            ->value('share');

        return $says === null ? null : Cell::float($says);
    }

    /** @return array<string, int> */
    private static function grades(Sitting $round): array
    {
        $rows = $round->keyVersion?->entries()
            ->whereIn('case_id', $round->cases()->select('case_id'))
            ->toBase()
            ->groupBy('grade')
            ->selectRaw('grade as what, count(*) as n')
            ->get();

        return $rows === null ? [] : self::numbers($rows);
    }

    /**
     * @param  Collection<int, \stdClass>  $rows  of what, and n
     * @return array<string, int>
     */
    private static function numbers(Collection $rows): array
    {
        $out = [];
        foreach ($rows as $row) {
            $out[Cell::text($row->what)] = Cell::int($row->n);
        }

        return $out;
    }

    /**
     * @param  array<mixed>  $values
     * @return array<string, int>
     */
    private static function counted(array $values): array
    {
        $out = [];
        foreach ($values as $value) {
            $value = Cell::text($value ?? '');
            $out[$value] = ($out[$value] ?? 0) + 1;
        }

        return $out;
    }
}
