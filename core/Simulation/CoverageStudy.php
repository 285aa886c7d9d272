<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\KeyBootstrap;
use Core\Agreement\Profile\KeyTable;
use Core\Agreement\Profile\SignalDetection;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Weights;
use Core\Chance\Chance;
use Core\CoreException;

/**
 * How often intervals hold the truth: the same raters, each with a hit rate and a false-alarm rate of their own, rate
 * studies whose cases are drawn anew. A case is clear or unclear; in unclear ones all raters do worse, so that they err
 * together. The truth is what the figures are on a million cases.
 */
final readonly class CoverageStudy
{
    /** @var list<array{float, float}> hit rate and false-alarm rate on clear cases */
    private const RATERS = [[0.92, 0.06], [0.85, 0.1], [0.78, 0.04], [0.88, 0.2], [0.7, 0.08], [0.95, 0.15]];

    private const UNCLEAR = 0.25;

    public function __construct(private float $prevalence, private string $seed = 'coverage')
    {
    }

    /** @return array{ItemTable, list<int>} ratings and key of so many cases */
    private function draw(int $cases, Chance $chance): array
    {
        $columns = array_fill(0, count(self::RATERS), []);
        $key = [];
        for ($i = 0; $i < $cases; $i++) {
            $key[] = $is = $chance->uniform() < $this->prevalence ? 1 : 0;
            $unclear = $chance->uniform() < self::UNCLEAR;
            foreach (self::RATERS as $g => [$hit, $alarm]) {
                $p = $is === 1 ? $hit : $alarm;
                $columns[$g][] = $chance->uniform() < ($unclear ? 0.5 * $p + 0.25 : $p) ? 1 : 0;
            }
        }

        return [
            new ItemTable(
                Scale::Nominal,
                ['absent', 'present'],
                [],
                array_map(static fn (int $g): string => "r$g", array_keys($columns)),
                array_values($columns),
                array_keys($key),
            ),
            $key,
        ];
    }

    /**
     * @param  list<int>  $key
     * @return array<string, Figure>
     */
    private static function figures(
        ItemTable $table,
        array $key,
        Confidence $confidence,
        ?ClusterBootstrap $bootstrap,
    ): array {
        $weights = Weights::identity(2);
        $cells = [0, 0, 0, 0];
        $rater = new KeyTable;
        foreach ($table->columns[0] as $u => $a) {
            $cells[2 * $a + $table->columns[1][$u]]++;
            $rater->add($u, $a === 1, $key[$u] === 1);
        }
        $against = ['r0' => $rater->figures($confidence)];
        if ($bootstrap !== null) {
            $against = (new KeyBootstrap(['r0' => $rater], $bootstrap))->intervals($against, $confidence);
        }
        [$counted, $specific] = (new CountFigures(
            $table,
            new CountSums($table, $weights, $bootstrap->clusters ?? 0),
            $weights,
            $confidence,
        ))->figures($bootstrap);
        unset($against['r0']['brier'], $against['r0']['cohen_kappa']);

        return [
            ...$counted,
            'agreement on present' => $specific[1],
            'conger_kappa' => CongerKappa::figure($table, $weights, $confidence),
            'light_kappa' => (new PairTables($table, $weights, $confidence))->light(),
            'cohen_kappa of a pair' => (new CohenKappa(array_values($cells), $confidence))->kappa(),
            ...$against['r0'],
        ];
    }

    /**
     * What the figures are on so many cases, a million by default: the mean of pieces of 50,000, on which they are as
     * good
     * as without error.
     *
     * @return array<string, float>
     *
     * @throws CoreException
     */
    public function truth(int $cases = 1_000_000): array
    {
        $sums = [];
        $pieces = max(1, intdiv($cases, 50_000));
        for ($i = 0; $i < $pieces; $i++) {
            [$table, $key] = $this->draw(intdiv($cases, $pieces), new Chance("$this->seed|truth|$i"));
            foreach (self::points($table, $key) as $name => $v) {
                $sums[$name] = ($sums[$name] ?? 0.0) + $v / $pieces;
            }
        }

        return $sums;
    }

    /**
     * The figures without their errors.
     *
     * @param  list<int>  $key
     * @return array<string, float>
     *
     * @throws CoreException
     */
    private static function points(ItemTable $table, array $key): array
    {
        $weights = Weights::identity(2);
        $values = (new CountSums($table, $weights))->estimates();
        $kappas = [];
        foreach ($table->columns as $g => $one) {
            for ($h = $g + 1; $h < count($table->columns); $h++) {
                $two = $table->columns[$h];
                $cells = [0, 0, 0, 0];
                foreach ($one as $u => $a) {
                    $cells[2 * $a + $two[$u]]++;
                }
                $kappas[] = CohenKappa::point($cells, 2);
            }
        }
        $cells = [0, 0, 0, 0];
        foreach ($table->columns[0] as $u => $a) {
            $cells[$key[$u] === 1 ? 1 - $a : 3 - $a]++;
        }
        [$tp, $fn, $fp, $tn] = $cells;
        [$youden, $mcc, $sensitivity, $specificity, $ppv, $npv] = KeyTable::statistics($tp, $fn, $fp, $tn, true);
        $signal = new SignalDetection($tp, $fn, $fp, $tn);

        return [
            ...array_combine(CountSums::NAMES, array_slice($values, 0, count(CountSums::NAMES))),
            'agreement on present' => $values[6],
            'conger_kappa' => (float) CongerKappa::figure($table, $weights, new Confidence)->estimate,
            'light_kappa' => array_sum($kappas) / count($kappas),
            'cohen_kappa of a pair' => $kappas[0],
            'sensitivity' => $sensitivity,
            'specificity' => $specificity,
            'ppv' => $ppv,
            'npv' => $npv,
            'youden' => $youden,
            'mcc' => $mcc,
            'd_prime' => (float) $signal->dPrime->estimate,
            'criterion' => (float) $signal->criterion->estimate,
        ];
    }

    /**
     * @param  array<string, float>  $truth
     * @param  int  $bootstrap  replicates; 0 for the analytic and jackknife intervals
     * @param  \Closure(int): void|null  $progress
     * @return array<string, array{truth: float, covered: float, below: float, above: float, width: float,
     *     without: int}> shares of intervals that hold the truth, that lie below it and above it, by figure
     *
     * @throws CoreException
     */
    public function run(array $truth, int $cases, int $studies, int $bootstrap = 0, ?\Closure $progress = null): array
    {
        $confidence = new Confidence;

        return Coverage::counted($truth, $studies, function (int $s) use ($cases, $bootstrap, $confidence): array {
            [$table, $key] = $this->draw($cases, new Chance("$this->seed|$cases|$s"));

            return self::figures(
                $table,
                $key,
                $confidence,
                $bootstrap > 0 ? new ClusterBootstrap($cases, $bootstrap, $s) : null,
            );
        },
            $progress,
        );
    }
}
