<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\ItemTable;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Latent classes behind the raters' calls, with each rater's error rates, by expectation and maximisation (Dawid &
 * Skene 1979): a second opinion on the consensus, never the key.
 *
 * Given the class, raters are taken to err independently. Missing ratings are left out of the likelihood. The first
 * start is the majority of each case, the others are random; the best likelihood is kept. Classes could change names
 * from start to start without changing the likelihood: they are named by what the raters, taken together, mostly call
 * them, by the assignment that makes the confusion matrices' diagonals largest.
 */
final readonly class DawidSkene
{
    /**
     * @param  list<list<float>>  $posterior  probability of each class, by unit
     * @param  list<float>  $prevalence  by class
     * @param  list<list<list<float>>>  $confusion  probability of a call given the class, by rater, class and call
     * @param  int  $starts  how many starts ended within 1e-6 of the best likelihood, of those made
     * @param  bool  $separated  whether every class is called by its own name more often than by any other
     */
    private function __construct(
        public array $posterior,
        public array $prevalence,
        public array $confusion,
        public float $logLikelihood,
        public int $iterations,
        public bool $converged,
        public int $starts,
        public int $of,
        public bool $separated,
    ) {
    }

    /**
     * @param  int  $starts  at least 1
     * @param  float  $smoothing  added to every cell of the confusion counts, so that none is shut for good
     */
    public static function fit(
        ItemTable $table,
        int $starts = 10,
        int $seed = 1,
        int $most = 500,
        float $tolerance = 1e-9,
        float $smoothing = 0.01,
    ): ?self {
        $q = $table->q;
        if ($table->units === 0 || $q < 2) {
            return null;
        }
        $best = self::run($table, self::start($table, 0, $seed), $most, $tolerance, $smoothing);
        $ends = [$best[3]];
        for ($s = 1; $s < $starts; $s++) {
            $fit = self::run($table, self::start($table, $s, $seed), $most, $tolerance, $smoothing);
            $ends[] = $fit[3];
            if ($fit[3] > $best[3]) {
                $best = $fit;
            }
        }
        [$posterior, $prevalence, $confusion, $likelihood, $iterations, $converged] = $best;
        $names = self::naming($confusion, $q);
        $confusion = array_map(
            static fn (array $rows): array => array_map(static fn (int $j): array => $rows[$j], $names),
            $confusion,
        );
        $separated = true;
        for ($j = 0; $j < $q; $j++) {
            $mean = array_map(
                static fn (int $l): float => array_sum(
                    array_map(static fn (array $c): float => $c[$j][$l], $confusion),
                ),
                range(0, $q - 1),
            );
            $separated = $separated && array_search(max($mean), $mean, true) === $j;
        }

        return new self(
            array_map(static fn (array $row): array => self::named($row, $names), $posterior),
            self::named($prevalence, $names),
            $confusion,
            $likelihood,
            $iterations,
            $converged,
            count(
                array_filter($ends, static fn (float $e): bool => $e > $likelihood - 1e-6 * max(1.0, abs($likelihood))),
            ),
            $starts,
            $separated,
        );
    }

    /**
     * @param  list<float>  $row  by found class
     * @param  list<int>  $names
     * @return list<float> by name
     */
    private static function named(array $row, array $names): array
    {
        return array_map(static fn (int $j): float => $row[$j], $names);
    }

    /** @return list<list<float>> */
    private static function start(ItemTable $table, int $s, int $seed): array
    {
        $q = $table->q;
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed.'|start|'.$s, true)));
        $posterior = [];
        for ($u = 0; $u < $table->units; $u++) {
            $row = [];
            for ($k = 0; $k < $q; $k++) {
                $row[] =
                    $s === 0
                        ? (float) $table->counts[$u * $q + $k] / $table->r[$u]
                        : ($table->counts[$u * $q + $k] + 0.5) * (0.05 + (float) $random->nextInt() / PHP_INT_MAX);
            }
            $sum = array_sum($row);
            $posterior[] = array_map(static fn (float $v): float => $v / $sum, $row);
        }

        return $posterior;
    }

    /**
     * @param  list<list<float>>  $posterior
     * @return array{list<list<float>>, list<float>, list<list<list<float>>>, float, int, bool}
     */
    private static function run(
        ItemTable $table,
        array $posterior,
        int $most,
        float $tolerance,
        float $smoothing,
    ): array {
        $q = $table->q;
        $n = $table->units;
        $last = -INF;
        for ($step = 1; ; $step++) {
            // Maximisation.
            $prevalence = [];
            for ($j = 0; $j < $q; $j++) {
                $prevalence[] = array_sum(array_column($posterior, $j)) / $n;
            }
            $confusion = [];
            foreach ($table->columns as $column) {
                $counts = array_fill(0, $q, array_fill(0, $q, $smoothing));
                foreach ($column as $u => $l) {
                    if ($l >= 0) {
                        for ($j = 0; $j < $q; $j++) {
                            $counts[$j][$l] += $posterior[$u][$j];
                        }
                    }
                }
                $confusion[] = array_values(array_map(static function (array $row): array {
                    $sum = array_sum($row);

                    return array_values(array_map(static fn (float $v): float => $sum > 0.0 ? $v / $sum : 0.0, $row));
                }, $counts));
            }
            // Expectation, in logarithms.
            $logs = array_fill(0, $n, array_map(static fn (float $p): float => log(max($p, 1e-300)), $prevalence));
            foreach ($table->columns as $g => $column) {
                $log = array_map(
                    static fn (array $row): array => array_map(
                        static fn (float $p): float => log(max($p, 1e-300)),
                        $row,
                    ),
                    $confusion[$g],
                );
                foreach ($column as $u => $l) {
                    if ($l >= 0) {
                        for ($j = 0; $j < $q; $j++) {
                            $logs[$u][$j] += $log[$j][$l];
                        }
                    }
                }
            }
            $likelihood = 0.0;
            foreach ($logs as $u => $row) {
                $top = max(-INF, ...$row);
                $sum = 0.0;
                foreach ($row as $j => $v) {
                    $row[$j] = exp($v - $top);
                    $sum += $row[$j];
                }
                $likelihood += $top + log($sum);
                $posterior[$u] = array_values(array_map(static fn (float $v): float => $v / $sum, $row));
            }
            $converged = abs($likelihood - $last) <= $tolerance * max(1.0, abs($likelihood));
            if ($converged || $step >= $most) {
                return [array_values($posterior), $prevalence, $confusion, $likelihood, $step, $converged];
            }
            $last = $likelihood;
        }
    }

    /**
     * Which found class gets which name: the permutation with the largest sum of diagonals (up to seven classes), else
     * greedily.
     *
     * @param  list<list<list<float>>>  $confusion
     * @return list<int> found class by name
     */
    private static function naming(array $confusion, int $q): array
    {
        $score = array_fill(0, $q, array_fill(0, $q, 0.0));
        foreach ($confusion as $rater) {
            foreach ($rater as $j => $row) {
                foreach ($row as $l => $p) {
                    $score[$j][$l] += $p;
                }
            }
        }
        if ($q <= 7) {
            return self::best($score, [])[1];
        }
        $best = [];
        for ($k = 0; $k < $q; $k++) {
            $free = array_diff(range(0, $q - 1), $best);
            usort($free, static fn (int $a, int $b): int => $score[$b][$k] <=> $score[$a][$k]);
            $best[] = $free[0];
        }

        return $best;
    }

    /**
     * @param  array<int, array<int, float>>  $score  by found class and name
     * @param  list<int>  $taken
     * @return array{float, list<int>} the best sum of what is left, and the whole naming
     */
    private static function best(array $score, array $taken): array
    {
        $k = count($taken);
        if ($k === count($score)) {
            return [0.0, $taken];
        }
        $best = [-INF, $taken];
        foreach ($score as $j => $row) {
            if (! in_array($j, $taken, true)) {
                [$rest, $whole] = self::best($score, [...$taken, $j]);
                if ($rest + $row[$k] > $best[0] + 1e-12) {
                    $best = [$rest + $row[$k], $whole];
                }
            }
        }

        return $best;
    }
}
