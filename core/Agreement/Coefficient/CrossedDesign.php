<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\Resampled;
use Core\Agreement\Undefined;

/**
 * A complete cases × raters table of numbers as the few sums a case from which its mean squares follow, and statistics
 * of those mean squares, with every draw of the cases.
 */
final readonly class CrossedDesign implements Resampled
{
    private int $k;

    /** @var array<int, list<float>> n, Σx², Σ(row total)², then each rater's sum, by rank of the case */
    private array $sums;

    /**
     * @param  \Closure(float, float, float, float, float, int): list<float>  $of  of cases, mean squares between cases,
     * within cases, between raters and of the residual, and raters; NAN where undefined
     */
    public function __construct(ItemTable $table, private \Closure $of)
    {
        $this->k = count($table->raters);
        // Numbers are taken from their middle, so that squares keep their digits.
        $middle = $table->numbers === [] ? 0.0 : ($table->numbers[0] + $table->numbers[count($table->numbers) - 1]) / 2;
        $sums = [];
        foreach ($table->isComplete() ? $table->clusterOf : [] as $u => $case) {
            $sums[$case] ??= array_fill(0, 3 + $this->k, 0.0);
            $row = 0.0;
            foreach ($table->columns as $g => $column) {
                $x = ($table->numbers[$column[$u]] ?? $column[$u]) - $middle;
                $row += $x;
                $sums[$case][1] += $x * $x;
                $sums[$case][3 + $g] += $x;
            }
            $sums[$case][0] += 1.0;
            $sums[$case][2] += $row * $row;
        }
        $this->sums = array_map(array_values(...), $sums);
    }

    /** Why a table has no such statistics; null where it has. */
    public static function objection(ItemTable $table): ?Undefined
    {
        return match (true) {
            $table->paired === 0 => Undefined::NoPairs,
            ! $table->isComplete() => Undefined::Incomplete,
            $table->units < 2 => Undefined::OneCase,
            $table->occurring() < 2 => Undefined::NoVariance,
            default => null,
        };
    }

    /**
     * @param  list<float>  $s
     * @return array{float, float, float, float, float} n, between cases, within cases, between raters, residual
     */
    private function meanSquares(array $s): array
    {
        $k = $this->k;
        $n = $s[0];
        $all = $raters = 0.0;
        for ($g = 0; $g < $k; $g++) {
            $all += $s[3 + $g];
            $raters += $s[3 + $g] * $s[3 + $g] / $n;
        }
        $mean = $all * $all / ($n * $k);
        $within = $s[1] - $s[2] / $k;
        $judges = $raters - $mean;

        return [
            $n,
            ($s[2] / $k - $mean) / ($n - 1),
            $within / ($n * ($k - 1)),
            $judges / ($k - 1),
            max(0.0, $within - $judges) / (($n - 1) * ($k - 1)),
        ];
    }

    /**
     * @return array{float, float, float, float, float} cases, mean squares between cases, within cases, between raters,
     * of the residual
     */
    public function all(): array
    {
        return $this->meanSquares($this->total());
    }

    /**
     * @param  list<float>  $sums
     * @return list<float>
     */
    private function statistics(array $sums): array
    {
        return ($this->of)(...[...($sums[0] < 1.5 ? [NAN, NAN, NAN, NAN, NAN] : $this->meanSquares($sums)), $this->k]);
    }

    /** @return list<float> */
    private function total(): array
    {
        $total = array_fill(0, 3 + $this->k, 0.0);
        foreach ($this->sums as $sums) {
            foreach ($sums as $i => $v) {
                $total[$i] += $v;
            }
        }

        return array_values($total);
    }

    public function estimates(): array
    {
        return $this->statistics($this->total());
    }

    public function leaveOneOut(): array
    {
        $total = $this->total();

        return array_values(
            array_map(
                fn (array $s): array => $this->statistics(
                    array_map(static fn (float $t, float $v): float => $t - $v, $total, $s),
                ),
                $this->sums,
            ),
        );
    }

    public function replicate(array $draw): array
    {
        $sums = array_fill(0, 3 + $this->k, 0.0);
        for ($j = 0, $length = count($draw); $j < $length; $j += 2) {
            foreach ($this->sums[$draw[$j]] ?? [] as $i => $v) {
                $sums[$i] += $draw[$j + 1] * $v;
            }
        }

        return $this->statistics(array_values($sums));
    }
}
