<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Resampling\Resample;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Whether a reader moves against the others, from stretch to stretch, in two lines: right calls, and calls of
 * "present".
 *
 * What counts is a call less the mean of the others' calls of the same question, so that a hard stretch of cases moves
 * nobody. Summed by golfer, centred and divided by the standard deviation over golfers; the statistic is the largest
 * |sum of a window|/√(golfers in it) over windows and lines. Under the null hypothesis whole golfers may change places:
 * p = (1 + #{≥})/(permutations + 1) (Edgington & Onghena 2007). A golfer whose swings span windows counts in the first.
 */
final readonly class DriftChart
{
    /** With fewer golfers, or fewer than this in a window, there is no chart. */
    public const LEAST = 24;

    public const LEAST_IN_WINDOW = 3;

    /** So many golfers make a window, until there are as many windows as a chart can hold. */
    private const IN_WINDOW = 6;

    private const MOST_WINDOWS = 12;

    /**
     * @param  list<array{golfers: int, calls: int, right: float, present: float, z_right: float, z_present: float,
     *     beyond: bool}>  $points  by window: mean difference from the others, and the same in standard errors
     * @param  float  $limit  of |z|, which one unchanging reader in 1/$falseAlarm has a point beyond
     */
    private function __construct(public array $points, public float $limit, public float $falseAlarm, public float $p)
    {
    }

    /**
     * @param  list<array{golfer: string, right: float, present: float}>  $calls  in the order of reading: each less the
     *     others' mean
     * @return self|null null with too few golfers
     */
    public static function ofCalls(
        array $calls,
        float $falseAlarm = 0.05,
        int|string $seed = 1,
        int $permutations = 2000,
    ): ?self {
        $sums = [];
        foreach ($calls as $c) {
            $sums[$c['golfer']] ??= ['calls' => 0, 'right' => 0.0, 'present' => 0.0];
            $sums[$c['golfer']]['calls']++;
            $sums[$c['golfer']]['right'] += $c['right'];
            $sums[$c['golfer']]['present'] += $c['present'];
        }
        $g = count($sums);
        if ($g < self::LEAST) {
            return null;
        }
        $sums = array_values($sums);
        $lines = [self::standardised(array_column($sums, 'right')), self::standardised(array_column($sums, 'present'))];
        $ends = self::ends($g);
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', "$seed|drift", true)));
        $order = range(0, $g - 1);
        $found = self::greatest($lines, $ends, $order);
        $greatest = [];
        $beyond = 0;
        for ($b = 0; $b < $permutations; $b++) {
            $v = self::greatest($lines, $ends, $random->shuffleArray($order));
            $greatest[] = $v;
            $beyond += $v >= $found - 1e-12 ? 1 : 0;
        }
        $limit = $greatest === [] ? INF : Resample::quantiles($greatest, [1 - $falseAlarm, 1.0])[0];
        $points = [];
        $from = 0;
        foreach ($ends as $end) {
            $of = array_slice($sums, $from, $end - $from);
            $n = array_sum(array_column($of, 'calls'));
            $root = sqrt($end - $from);
            [$right, $present] = array_map(
                static fn (array $line): float => array_sum(array_slice($line, $from, $end - $from)) / $root,
                $lines,
            );
            $points[] = [
                'golfers' => $end - $from,
                'calls' => $n,
                'right' => array_sum(array_column($of, 'right')) / $n,
                'present' => array_sum(array_column($of, 'present')) / $n,
                'z_right' => $right,
                'z_present' => $present,
                'beyond' => max(abs($right), abs($present)) > $limit,
            ];
            $from = $end;
        }

        return new self($points, $limit, $falseAlarm, (1.0 + $beyond) / ($permutations + 1.0));
    }

    /**
     * @param  list<float>  $values
     * @return list<float> centred and in standard deviations; all 0 where there is no spread
     */
    public static function standardised(array $values): array
    {
        $n = count($values);
        $mean = array_sum($values) / $n;
        $squares = 0.0;
        foreach ($values as $v) {
            $squares += ($v - $mean) * ($v - $mean);
        }
        $sd = sqrt($squares / ($n - 1));

        return array_map(static fn (float $v): float => $sd > 1e-12 ? ($v - $mean) / $sd : 0.0, $values);
    }

    /** @return list<int> where each window ends */
    private static function ends(int $golfers): array
    {
        $k = min(self::MOST_WINDOWS, intdiv($golfers, self::IN_WINDOW));

        return array_map(static fn (int $w): int => intdiv($w * $golfers, $k), range(1, $k));
    }

    /**
     * @param  list<list<float>>  $lines
     * @param  list<int>  $ends
     * @param  list<int>  $order
     */
    private static function greatest(array $lines, array $ends, array $order): float
    {
        $greatest = 0.0;
        foreach ($lines as $line) {
            $i = 0;
            foreach ($ends as $end) {
                $from = $i;
                $sum = 0.0;
                for (; $i < $end; $i++) {
                    $sum += $line[$order[$i]];
                }
                $greatest = max($greatest, abs($sum) / sqrt($end - $from));
            }
        }

        return $greatest;
    }
}
