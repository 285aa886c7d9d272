<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Models\SittingArm;
use App\Models\SittingCase;
use Core\Codebook\Codebook;
use Core\Codebook\Fault;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * What a round's figures are made from, but for the calls themselves: its cases, who handed in what, the key, who made
 * it. A reading that is handed in never changes, so this is enough to tell whether figures still hold.
 *
 * @phpstan-type HandIn array{id: int, version: int, user: int, arm: int, case: int, at: float}
 */
final readonly class RoundInputs
{
    /**
     * @param  array<int, SittingCase>  $cases  by id
     * @param  list<HandIn>  $readings  blind ones, in the order of their making; their cases are the sitting's
     * @param  list<HandIn>  $exposed  readings left out, since their reader had been shown the answer
     * @param  Collection<int, KeyEntry>  $entries
     * @param  list<int>  $panel  who made the key
     * @param  array<int, SittingArm>  $arms  by id
     * @param  array<int, array<int, array<string, true>>>  $seen  which faults can be seen, by case and arm
     * @param  array<int, string>  $golfers  whose swings a case shows, by the case's id
     * @param  array<int, list<list<string>>>  $flights  the misses of each of its balls that was logged, likewise
     */
    private function __construct(
        public Codebook $codebook,
        public array $cases,
        public array $readings,
        public array $exposed,
        public Collection $entries,
        public array $panel,
        public array $arms,
        public array $seen,
        public array $golfers,
        public array $flights,
        public string $checksum,
    ) {
    }

    public static function ofRound(Sitting $round, Codebooks $codebooks): self
    {
        $round->loadMissing(['keyVersion.sitting']);
        /** @var array<int, SittingCase> $cases */
        $cases = $round
            ->cases()
            ->whereNull('withdrawn_at')
            ->with(['recording', 'arm', 'swings.recording.films'])
            ->orderBy('id')
            ->get()
            ->keyBy('id')
            ->all();
        $readings = self::blind($round, false);
        /** @var Collection<int, KeyEntry> $entries */
        $entries = $round->keyVersion?->entries()
            ->whereIn('case_id', array_column($cases, 'case_id'))
            ->orderBy('id')
            ->get(['id', 'case_id', 'fault', 'label', 'grade', 'ruling', 'present', 'absent',
                'cannot_tell']) ?? new Collection;
        /** @var list<int> $panel */
        $panel = $round->keyVersion?->sitting->members()->orderBy('users.id')->pluck('users.id')->all() ?? [];
        /** @var array<int, SittingArm> $arms */
        $arms = SittingArm::query()->whereKey(array_unique(array_column($readings, 'arm')))->get()->keyBy('id')->all();
        $codebook = $codebooks->of($round);
        $seen = self::seen($cases, $readings, $arms, $codebook);
        $golfers = self::golfers($cases);
        $flights = self::flights($cases);
        $checksum = hash('sha256', json_encode([
            $round->key_version_id, $panel, $round->lens, $codebook->version, config('academy.bootstrap'), $seen,
            $golfers, $flights,
            array_map(static fn (array $r): array => [$r['id'], $r['version'], $r['user'], $r['arm']], $readings),
            $entries->mapWithKeys(static fn (KeyEntry $e): array => [$e->id => $e->scoredLabel()])->all(),
        ], JSON_THROW_ON_ERROR));

        return new self(
            $codebook,
            $cases,
            $readings,
            self::blind($round, true),
            $entries,
            $panel,
            $arms,
            $seen,
            $golfers,
            $flights,
            $checksum,
        );
    }

    /**
     * Cases of one golfer are alike: what is sampled is golfers.
     *
     * @param  array<int, SittingCase>  $cases
     * @return array<int, string>
     */
    private static function golfers(array $cases): array
    {
        $out = [];
        foreach ($cases as $case) {
            $golfer = $case->swings->first()?->recording->golfer_id;
            if ($golfer !== null) {
                $out[$case->case_id] = "g$golfer";
            }
        }
        ksort($out);

        return $out;
    }

    /**
     * @param  array<int, SittingCase>  $cases
     * @return array<int, list<list<string>>>
     */
    private static function flights(array $cases): array
    {
        $out = [];
        foreach ($cases as $case) {
            foreach ($case->swings as $swing) {
                $flight = $swing->recording->flight();
                if ($flight !== null && $case->occasion === 1) {
                    $out[$case->case_id][] = $flight->misses();
                }
            }
        }
        ksort($out);

        return $out;
    }

    /** @return list<HandIn> */
    private static function blind(Sitting $round, bool $exposed): array
    {
        return array_map(static fn (\stdClass $r): array => [
            'id' => Cell::int($r->id),
            'version' => Cell::int($r->version),
            'user' => Cell::int($r->user_id),
            'arm' => Cell::int($r->arm_id),
            'case' => Cell::int($r->sitting_case_id),
            'at' => Cell::float($r->at),
        ], array_values(self::handedIn($round)
            ->where('exposed', $exposed)
            ->orderBy('readings.id')
            ->get([
                'readings.id',
                'readings.version',
                'readings.user_id',
                'readings.arm_id',
                DB::raw('extract(epoch from readings.handed_in_at) as at'),
                'sitting_case_id',
            ])
            ->all()));
    }

    /** Readings of a round that are handed in; of a person's own swings none counts. */
    public static function handedIn(Sitting $round): Builder
    {
        return DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('readings.stage', 'blind')
            ->whereNull('sitting_cases.withdrawn_at')
            ->whereNotNull('readings.handed_in_at')
            ->whereNotExists(static fn (Builder $own): Builder => $own
                ->selectRaw('1')
                ->from('case_swings')
                ->join('recordings', 'recordings.id', '=', 'case_swings.recording_id')
                ->join('users', 'users.golfer_id', '=', 'recordings.golfer_id')
                ->whereColumn('case_swings.case_id', 'sitting_cases.case_id')
                ->whereColumn('users.id', 'readings.user_id'));
    }

    /**
     * Which faults can be seen, directly or not, from what each arm shows of each case.
     *
     * @param  array<int, SittingCase>  $cases
     * @param  list<HandIn>  $readings
     * @param  array<int, SittingArm>  $arms
     * @return array<int, array<int, array<string, true>>> by case of the sitting and arm
     */
    private static function seen(array $cases, array $readings, array $arms, Codebook $codebook): array
    {
        $out = $dealt = [];
        foreach ($readings as $reading) {
            $dealt[$reading['case']][$reading['arm']] = $reading['arm'];
        }
        foreach ($cases as $case) {
            foreach ($dealt[$case->id] ?? ($case->arm_id === null ? [] : [$case->arm_id]) as $arm) {
                $shown = $case->shown($arms[$arm] ?? null);
                $out[$case->id][$arm] = array_map(
                    static fn (): bool => true,
                    array_filter(
                        $codebook->faults,
                        static fn (Fault $f): bool => $f->observability($shown)->supports(),
                    ),
                );
            }
            $out[$case->id] ??= [];
        }

        return $out;
    }
}
