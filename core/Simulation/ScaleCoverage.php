<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Agreement\Coefficient\Alpha;
use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Coefficient\IntervalAlpha;
use Core\Agreement\Coefficient\IntraclassCorrelation;
use Core\Agreement\Coefficient\OrdinalAlpha;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Coefficient\RankAgreement;
use Core\Agreement\Coefficient\VarianceComponents;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Weights;
use Core\Chance\Chance;
use Core\CoreException;

/**
 * How often intervals hold the truth on ranks and on numbers: five raters, each with a leaning and a noise of their
 * own,
 * see a quantity of the case; on the ordinal scale they put it into four steps, on the interval scale they say it to a
 * tenth. Cases are drawn anew in each study, the raters stay.
 */
final readonly class ScaleCoverage
{
    /** @var list<array{float, float}> leaning and noise, in standard deviations of the cases */
    private const RATERS = [[0.0, 0.35], [0.2, 0.4], [-0.25, 0.5], [0.1, 0.3], [-0.1, 0.6]];

    /** Where one step ends and the next begins, in standard deviations: even steps, and mostly the lowest. */
    public const STEPS = ['even' => [-0.8, 0.0, 0.8], 'mostly low' => [0.3, 1.0, 1.7]];

    /** @param  list<float>|null  $steps  null for numbers */
    public function __construct(private ?array $steps, private string $seed = 'coverage')
    {
    }

    private function draw(int $cases, Chance $chance): ItemTable
    {
        $values = array_fill(0, count(self::RATERS), []);
        for ($i = 0; $i < $cases; $i++) {
            $is = $chance->normal();
            foreach (self::RATERS as $g => [$leaning, $noise]) {
                $seen = $is + $leaning + $chance->normal(0.0, $noise);
                $values[$g][] =
                    $this->steps === null
                        ? (int) round(10.0 * $seen)
                        : count(array_filter($this->steps, static fn (float $s): bool => $seen > $s));
            }
        }
        $all =
            $this->steps === null ? array_values(array_unique(array_merge(...$values))) : range(0, count($this->steps));
        sort($all);
        $code = array_flip($all);

        return new ItemTable(
            $this->steps === null ? Scale::Interval : Scale::Ordinal,
            array_map(strval(...), $all),
            array_map(floatval(...), $all),
            array_map(static fn (int $g): string => "r$g", array_keys(self::RATERS)),
            array_map(
                static fn (array $column): array => array_map(static fn (int $v): int => $code[$v], $column),
                array_values($values),
            ),
            range(0, $cases - 1),
        );
    }

    /** @return array<string, Figure> */
    private function figures(ItemTable $table, Confidence $confidence, ?ClusterBootstrap $bootstrap): array
    {
        [$x, $y] = self::said($table);
        if ($this->steps === null) {
            $pair = new BlandAltman($x, $y, $confidence);

            return [
                'krippendorff_alpha, interval' => Alpha::figure($table, $confidence, $bootstrap),
                ...(new IntraclassCorrelation($table))->figures($confidence, $bootstrap),
                ...$pair->figures(),
                'within 5' => $pair->within(5.0),
                'spearman' => RankAgreement::spearman($x, $y, $confidence),
                'kendall_w' => RankAgreement::kendall(self::said($table), $confidence)['w'],
                ...self::components(VarianceComponents::fitted($table, $confidence, $bootstrap)),
            ];
        }
        $weights = Weights::ordinal($table->q);
        [$counted] = (new CountFigures(
            $table,
            new CountSums($table, $weights, $bootstrap->clusters ?? 0),
            $weights,
            $confidence,
        ))->figures($bootstrap);
        unset($counted['percent_agreement'], $counted['krippendorff_alpha']);

        return [
            ...self::weighted($counted),
            'krippendorff_alpha, ordinal' => Alpha::figure($table, $confidence, $bootstrap),
            'conger_kappa, weighted' => CongerKappa::figure($table, $weights, $confidence),
            'light_kappa, weighted' => (new PairTables($table, $weights, $confidence))->light(),
            'cohen_kappa of a pair, weighted' => (new CohenKappa(
                self::cells($table, 0, 1),
                $confidence,
                $weights,
            ))->kappa(),
        ];
    }

    /**
     * What the figures are on so many cases, a million by default: the mean of pieces of 50,000.
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
            foreach (
                $this->points($this->draw(intdiv($cases, $pieces), new Chance("$this->seed|truth|$i"))) as $name => $v
            ) {
                $sums[$name] = ($sums[$name] ?? 0.0) + $v / $pieces;
            }
        }

        return $sums;
    }

    /**
     * @return array<string, float> the figures without their errors
     *
     * @throws CoreException
     */
    private function points(ItemTable $table): array
    {
        [$x, $y] = self::said($table);
        if ($this->steps === null) {
            $pair = new BlandAltman($x, $y);

            return [
                'krippendorff_alpha, interval' => (new IntervalAlpha($table))->estimates()[0],
                ...array_map(
                    static fn (Figure $f): float => (float) $f->estimate,
                    (new IntraclassCorrelation($table))->figures(new Confidence(), null),
                ),
                ...array_map(static fn (Figure $f): float => (float) $f->estimate, $pair->figures()),
                'within 5' => (float) $pair->within(5.0)->estimate,
                'spearman' => (float) RankAgreement::spearman($x, $y)->estimate,
                'kendall_w' => (float) RankAgreement::kendall(self::said($table))['w']->estimate,
                ...array_map(
                    static fn (Figure $f): float => (float) $f->estimate,
                    self::components(VarianceComponents::fitted($table)),
                ),
            ];
        }
        $weights = Weights::ordinal($table->q);
        $counted = array_combine(
            CountSums::NAMES,
            array_slice((new CountSums($table, $weights))->estimates(), 0, count(CountSums::NAMES)),
        );
        unset($counted['percent_agreement'], $counted['krippendorff_alpha']);
        $kappas = [];
        foreach (array_keys($table->columns) as $g) {
            for ($h = $g + 1; $h < count($table->columns); $h++) {
                $kappas[] = CohenKappa::point(self::cells($table, $g, $h), $table->q, $weights->w);
            }
        }

        return [
            ...self::weighted($counted),
            'krippendorff_alpha, ordinal' => (new OrdinalAlpha($table))->estimates()[0],
            'conger_kappa, weighted' => (float) CongerKappa::figure($table, $weights, new Confidence)->estimate,
            'light_kappa, weighted' => array_sum($kappas) / count($kappas),
            'cohen_kappa of a pair, weighted' => $kappas[0],
        ];
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $figures
     * @return array<string, T>
     */
    private static function weighted(array $figures): array
    {
        return array_combine(
            array_map(static fn (string $name): string => "$name, weighted", array_keys($figures)),
            $figures,
        );
    }

    /** @return list<int> crossed counts of two raters' steps */
    private static function cells(ItemTable $table, int $g, int $h): array
    {
        $cells = array_fill(0, $table->q * $table->q, 0);
        foreach ($table->columns[$g] as $u => $k) {
            $cells[$k * $table->q + $table->columns[$h][$u]]++;
        }

        return array_values($cells);
    }

    /** @return list<list<float>> what each rater said */
    private static function said(ItemTable $table): array
    {
        return array_map(
            static fn (array $column): array => array_map(static fn (int $k): float => $table->numbers[$k], $column),
            $table->columns,
        );
    }

    /** @return array<string, Figure> */
    private static function components(VarianceComponents $of): array
    {
        return [
            'variance of cases' => $of->case,
            'variance of raters' => $of->rater,
            'variance case × rater' => $of->caseRater,
        ];
    }

    /**
     * @param  array<string, float>  $truth
     * @param  int  $bootstrap  replicates; 0 for the analytic and jackknife intervals
     * @param  \Closure(int): void|null  $progress
     * @return array<string, array{truth: float, covered: float, below: float, above: float, width: float,
     *     without: int}> as Coverage::counted()
     *
     * @throws CoreException
     */
    public function run(array $truth, int $cases, int $studies, int $bootstrap = 0, ?\Closure $progress = null): array
    {
        $confidence = new Confidence;

        return Coverage::counted(
            $truth,
            $studies,
            fn (int $s): array => $this->figures(
                $this->draw($cases, new Chance("$this->seed|$cases|$s")),
                $confidence,
                $bootstrap > 0 ? new ClusterBootstrap($cases, $bootstrap, $s) : null,
            ),
            $progress,
        );
    }
}
