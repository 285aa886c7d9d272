<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Casts\Cell;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\VarianceComponents;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\StationTimes;
use Core\Agreement\Undefined;
use Core\Motion\Station;
use Core\Reading\CaseKind;
use Core\Remark\Remark;

/**
 * Where people mark top and impact, in ms: each against the station's time of the recording, and how far any two
 * readers are apart, from the components of variance over the cases that all of them marked.
 */
final readonly class RoundTimes
{
    private const STATIONS = [Station::Top, Station::Impact];

    private const READERS = [1, 2, 3, 5, 8];

    /** @return list<StationTimes> only of stations that anybody marked */
    public static function ofRound(Sitting $round): array
    {
        $out = [];
        foreach (self::marks($round) as $station => [$marks, $reference]) {
            $out[] = self::ofStation(Station::from($station), $marks, $reference);
        }

        return $out;
    }

    /**
     * @return array<string, array{array<string, array<string, float>>, array<string, float>}> by station that anybody
     *     marked: where each reader has it in each case, and where the recording has it, ms
     */
    public static function marks(Sitting $round): array
    {
        $cases = $round
            ->cases()
            ->where('occasion', 1)
            ->whereHas('rated', static fn ($r) => $r->where('kind', CaseKind::Single))
            ->with('recording.stations')
            ->get()
            ->keyBy('id')
            ->all();
        $times = array_map(
            static fn (Recording $r): \Core\Motion\StationTimes => $r->stationTimes(),
            array_map(static fn (SittingCase $c): Recording => $c->recording, $cases),
        );
        $marked = RoundInputs::handedIn($round)
            ->where('exposed', false)
            ->whereIn('sitting_case_id', array_keys($cases))
            ->whereNotNull('marks')
            ->orderBy('readings.id')
            ->get(['sitting_case_id', 'readings.user_id', 'readings.marks']);
        $out = [];
        foreach (self::STATIONS as $station) {
            $marks = $reference = [];
            foreach ($marked as $row) {
                $case = Cell::int($row->sitting_case_id);
                $mark = self::mark(Cell::text($row->marks), $station);
                $own = $times[$case]->get($station);
                if ($mark !== null && $own !== null) {
                    $marks['u'.Cell::int($row->user_id)]['c'.$cases[$case]->case_id] = 1000.0 * $mark;
                    $reference['c'.$cases[$case]->case_id] = 1000.0 * $own->t;
                }
            }
            if ($marks !== []) {
                ksort($marks, SORT_STRING);
                $out[$station->value] = [$marks, $reference];
            }
        }

        return $out;
    }

    /** In s. */
    private static function mark(string $marks, Station $station): ?float
    {
        $all = json_decode($marks, true, 8, JSON_THROW_ON_ERROR);
        $mark = is_array($all) ? $all[$station->value] ?? null : null;

        return is_numeric($mark) ? (float) $mark : null;
    }

    /**
     * @param  array<string, array<string, float>>  $marks  by rater and case, ms
     * @param  array<string, float>  $reference  by case, ms
     */
    private static function ofStation(Station $station, array $marks, array $reference): StationTimes
    {
        $people = [];
        foreach ($marks as $rater => $own) {
            $pair = new BlandAltman(
                array_values($own),
                array_map(static fn (string $case): float => $reference[$case], array_keys($own)),
                new Confidence(),
            );
            $figures = $pair->figures();
            $people[] = new RaterResult($rater, $pair->n, [
                'bias' => $figures['bias'],
                'lower_limit' => $figures['lower_limit'],
                'upper_limit' => $figures['upper_limit'],
            ]);
        }
        $common = array_keys(array_intersect_key(...array_values($marks)));
        $parts = count($marks) < 2 || count($common) < 2 ? null : self::components($marks, $common);
        $between = $parts?->rater->estimate;
        $within = $parts?->caseRater->estimate;
        if ($between === null || $within === null) {
            $reason = Remark::of($parts->reason ?? Undefined::FewReaders);

            return new StationTimes($station, $people, count($common), count($marks), null, null, $reason, []);
        }
        $one = max(0.0, $between) + max(0.0, $within);

        return new StationTimes(
            $station,
            $people,
            count($common),
            count($marks),
            sqrt(max(0.0, $between)),
            sqrt(max(0.0, $within)),
            null,
            array_combine(
                self::READERS,
                array_map(static fn (int $readers): float => 1.96 * sqrt($one / $readers), self::READERS),
            ),
        );
    }

    /**
     * @param  array<string, array<string, float>>  $marks  by rater and case, ms
     * @param  list<string>  $cases
     */
    private static function components(array $marks, array $cases): VarianceComponents
    {
        $set = new RatingSet(Scale::Interval);
        foreach ($marks as $rater => $own) {
            foreach ($cases as $case) {
                $set->add($case, '', $rater, Scale::text(round($own[$case], 3)));
            }
        }

        return VarianceComponents::fitted(ItemTable::fromRatings($set, ['']));
    }
}
