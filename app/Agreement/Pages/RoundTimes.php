<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\VarianceComponents;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Undefined;
use Core\Motion\Station;
use Core\Reading\CaseKind;
use Core\Remark\Remark;

/**
 * Where people mark top and impact, in ms: each against the station's time of the recording, and how far any two
 * readers
 * are apart, from the components of variance over the cases that all of them marked.
 */
final readonly class RoundTimes
{
    /**
     * For top and impact: each person's bias and limits; standard deviations of readers (between) and of the rest
     * (within), ms; half-width of 95 % of the mean mark of so many readers (mean_of), ms.
     *
     * @return list<array{code: string, word: string, people: list<array{rater: string, n: int, bias: Figure,
     *     low: Figure, high: Figure}>, cases: int, readers: int, between: ?float, within: ?float, reason: ?Remark,
     *     mean_of: array<int, float>}>
     */
    public function of(Sitting $round): array
    {
        $readings = $round
            ->readings()
            ->whereNotNull('handed_in_at')
            ->where('exposed', false)
            ->whereHas(
                'case',
                static fn ($q) => $q
                    ->where('occasion', 1)
                    ->whereHas('rated', static fn ($r) => $r->where('kind', CaseKind::Single)),
            )
            ->with('case.recording.stations')
            ->orderBy('readings.id')
            ->get();
        $out = [];
        foreach (['TP' => 'top', 'IM' => 'impact'] as $code => $word) {
            $marks = $reference = [];
            foreach ($readings as $reading) {
                $mark = $reading->marks[$code] ?? null;
                $station = $reading->case->recording->stationTimes()->get(Station::from($code));
                if ($mark !== null && $station !== null) {
                    $marks['u'.$reading->user_id]['c'.$reading->case->case_id] = 1000.0 * (float) $mark;
                    $reference['c'.$reading->case->case_id] = 1000.0 * $station->t;
                }
            }
            if ($marks === []) {
                continue;
            }
            ksort($marks, SORT_STRING);
            $people = [];
            foreach ($marks as $rater => $own) {
                $pair = new BlandAltman(
                    array_values($own),
                    array_map(static fn (string $case): float => $reference[$case], array_keys($own)),
                    new Confidence(),
                );
                $figures = $pair->figures();
                $people[] = [
                    'rater' => $rater,
                    'n' => $pair->n,
                    'bias' => $figures['bias'],
                    'low' => $figures['lower_limit'],
                    'high' => $figures['upper_limit'],
                ];
            }
            $out[] = ['code' => $code, 'word' => $word, 'people' => $people, ...self::apart($marks)];
        }

        return $out;
    }

    /**
     * @param  array<string, array<string, float>>  $marks  by rater and case, ms
     * @return array{cases: int, readers: int, between: ?float, within: ?float, reason: ?Remark, mean_of: array<int,
     *     float>}
     */
    private static function apart(array $marks): array
    {
        $common = array_keys(array_intersect_key(...array_values($marks)));
        $set = new RatingSet(Scale::Interval);
        foreach ($marks as $rater => $own) {
            foreach ($common as $case) {
                $set->add($case, '', $rater, Scale::text(round($own[$case], 3)));
            }
        }
        $parts = count($marks) < 2 || count($common) < 2
            ? null
            : VarianceComponents::fitted(ItemTable::fromRatings($set, ['']));
        $between = $parts?->rater->estimate;
        $within = $parts?->caseRater->estimate;
        if ($between === null || $within === null) {
            return [
                'cases' => count($common),
                'readers' => count($marks),
                'between' => null,
                'within' => null,
                'reason' => Remark::of($parts->reason ?? Undefined::FewReaders),
                'mean_of' => [],
            ];
        }
        $one = max(0.0, $between) + max(0.0, $within);

        return [
            'cases' => count($common),
            'readers' => count($marks),
            'between' => sqrt(max(0.0, $between)),
            'within' => sqrt(max(0.0, $within)),
            'reason' => null,
            'mean_of' => array_combine(
                [1, 2, 3, 5, 8],
                array_map(static fn (int $k): float => 1.96 * sqrt($one / $k), [1, 2, 3, 5, 8]),
            ),
        ];
    }
}
