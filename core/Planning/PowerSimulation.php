<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\Comparison;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Weights;
use Core\Chance\Chance;
use Core\CoreException;

/**
 * Pairs of rounds drawn under the assumptions, the same readers on the same golfers, the second round with more
 * agreement: how often the interval of the difference leaves out zero.
 */
final readonly class PowerSimulation
{
    private Assumptions $after;

    /**
     * @param  float  $gain  by how much the share of same calls of two readers rises
     *
     * @throws CoreException when it would rise to everything
     */
    public function __construct(
        private Assumptions $before,
        private float $gain,
        private Confidence $confidence = new Confidence(),
        private int $seed = 1,
    ) {
        $this->after = $before->agreeing($before->agreement + $gain);
    }

    /**
     * @param  int  $cases  ≥ 2
     * @return array{cases: int, golfers: int, power: float, mean_se: float, smallest_difference: float} of the percent
     *     agreement of two readers
     */
    public function run(int $cases, int $studies): array
    {
        $found = $told = 0;
        $se = 0.0;
        for ($s = 1; $s <= $studies; $s++) {
            $chance = new Chance("$this->seed|power|$this->gain|$cases|$s");
            [$truth, $golfers] = $this->before->golfers($cases, $chance);
            $sums = array_map(
                fn (Assumptions $a): CountSums => new CountSums($this->table($a, $truth, $golfers, $chance),
                    Weights::identity(2)),
                [$this->before, $this->after],
            );
            $d = Comparison::paired(
                $sums[0]->byCluster(),
                $sums[1]->byCluster(),
                $sums[0]->statistic('percent_agreement'),
                $this->confidence,
                $s,
                0,
                array_count_values($golfers),
            )->difference;
            if ($d->low !== null && $d->high !== null && $d->se !== null) {
                $told++;
                $se += $d->se;
                $found += $d->low > 0.0 || $d->high < 0.0 ? 1 : 0;
            }
        }
        $mean = $told === 0 ? 0.0 : $se / $told;

        return [
            'cases' => $cases,
            'golfers' => (int) ceil((float) $cases / $this->before->swings),
            'power' => (float) $found / max(1, $studies),
            'mean_se' => $mean,
            'smallest_difference' => Comparison::detectable($mean),
        ];
    }

    /**
     * @param  list<int>  $truth
     * @param  list<int>  $golfers
     */
    private function table(Assumptions $a, array $truth, array $golfers, Chance $chance): ItemTable
    {
        $columns = [];
        for ($g = 0; $g < $a->raters; $g++) {
            $columns[] = array_map(
                static fn (int $true): int => $chance->uniform() < $a->accuracy ? $true : 1 - $true,
                $truth,
            );
        }

        return new ItemTable(
            Scale::Nominal,
            ['absent', 'present'],
            [],
            array_map(static fn (int $g): string => "r$g", array_keys($columns)),
            $columns,
            $golfers,
        );
    }
}
