<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Clusters;
use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;
use Core\Number\Distribution;

/**
 * One rater against the key where clusters hold several calls. Rates: Wilson's interval with as many independent calls
 * as the clusters leave. d′: the larger of its own error and the linear one over clusters. The others: without each
 * cluster in turn.
 *
 * @phpstan-type Cells array{int, int, int, int}
 */
final readonly class ClusteredKey
{
    /** @var Cells tp, fn, fp, tn */
    private array $all;

    private Clusters $clusters;

    /**
     * @param  list<Cells>  $cells  tp, fn, fp, tn by cluster
     * @param  list<array{int, float}>  $brier  how many stated a confidence and the sum of their scores, by cluster
     */
    public function __construct(private array $cells, private array $brier, private Confidence $confidence)
    {
        $this->all = [
            array_sum(array_column($cells, 0)),
            array_sum(array_column($cells, 1)),
            array_sum(array_column($cells, 2)),
            array_sum(array_column($cells, 3)),
        ];
        $this->clusters = Clusters::ofSizes(array_map(array_sum(...), $cells));
    }

    /** @return array<string, Figure> as KeyTable::figures() */
    public function figures(): array
    {
        [$tp, $fn, $fp, $tn] = $this->all;
        $rates = [
            'sensitivity' => $this->rate(0, 1, Undefined::NoPositive),
            'specificity' => $this->rate(3, 2, Undefined::NoNegative),
            'ppv' => $this->rate(0, 2, Undefined::NoneCalledPositive),
            'npv' => $this->rate(3, 1, Undefined::NoneCalledNegative),
        ];
        [$youden, $mcc] = KeyTable::statistics($tp, $fn, $fp, $tn, false);

        return [
            ...$rates,
            'youden' => is_nan($youden)
                ? Figure::undefined(Undefined::OneSidedKey)
                : $this->youden($youden, $rates['sensitivity'], $rates['specificity']),
            'mcc' => is_nan($mcc) ? Figure::undefined(Undefined::EmptyMargin) : $this->mcc($mcc),
            'd_prime' => $this->dPrime(),
            'criterion' => $this->criterion(),
            'cohen_kappa' => $this->kappa(),
            'brier' => $this->brier(),
        ];
    }

    /** The share of the calls in one cell among those in it and another. */
    private function rate(int $own, int $other, Undefined $whenNone): Figure
    {
        return Wilson::clustered(
            array_map(static fn (array $c): array => [$c[$own], $c[$own] + $c[$other]], $this->cells),
            $this->confidence,
            $whenNone,
        );
    }

    /**
     * Where a cell is empty, from the intervals of its two parts (Newcombe 1998, method 10); none where one has none.
     */
    private function youden(float $value, Figure $hit, Figure $right): Figure
    {
        [$p, $q] = [$this->all[0] + $this->all[1], $this->all[2] + $this->all[3]];
        $figure = $this->without(
            $value,
            static fn (array $c): float => KeyTable::statistics($c[0], $c[1], $c[2], $c[3], false)[0],
            fn (): array => array_map(
                fn (array $c): float => ($c[0] - ($c[0] + $c[1]) * (float) $this->all[0] / $p) / $p +
                    ($c[3] - ($c[2] + $c[3]) * (float) $this->all[3] / $q) / $q,
                $this->cells,
            ),
        );

        if ($hit->low === null || $right->low === null) {
            // One golfer alone shows it, or does not: nothing tells how sure that side is.
            return Figure::estimated($value, null, null, null, 'point')->over($this->clusters);
        }
        // Of a side on which nobody errs, leaving out clusters sees nothing.
        if (array_product($this->all) !== 0) {
            return $figure;
        }
        $reach = static fn (Figure $of, ?float $end): float => (float) $of->estimate - (float) $end;

        return $figure->within(
            max(-1.0, $value - hypot($reach($hit, $hit->low), $reach($right, $right->low))),
            min(1.0, $value + hypot($reach($hit, $hit->high), $reach($right, $right->high))),
            'clustered wilson',
        );
    }

    private function mcc(float $value): Figure
    {
        [$tp, $fn, $fp, $tn] = $this->all;
        $root = sqrt(($tp + $fn) * ($fp + $tn)) * sqrt(($tp + $fp) * ($fn + $tn));

        return $this->wide($this->without(
            $value,
            static fn (array $c): float => KeyTable::statistics($c[0], $c[1], $c[2], $c[3], false)[1],
            fn (): array => array_map(
                static fn (array $c): float => ($tn * $c[0] + $tp * $c[3] - $fn * $c[2] - $fp * $c[1]) / $root -
                    $value / 2 * (
                        (float) ($c[0] + $c[2]) / ($tp + $fp) +
                        (float) ($c[0] + $c[1]) / ($tp + $fn) +
                        (float) ($c[3] + $c[2]) / ($tn + $fp) +
                        (float) ($c[3] + $c[1]) / ($tn + $fn)
                    ),
                $this->cells,
            ),
        ));
    }

    private function dPrime(): Figure
    {
        $plain = (new SignalDetection(...[...$this->all, $this->confidence]))->dPrime;
        if ($plain->estimate === null || $plain->se === null) {
            return $plain;
        }
        if ($this->clusters->count < 2) {
            return Figure::estimated($plain->estimate, null, null, null, 'point')->over($this->clusters);
        }
        $g = $this->clusters->count;
        $parts = array_map(static fn (array $c): float => $c[0] - $c[1], $this->signals());
        $se = sqrt(max($plain->se ** 2, ClusterError::squares($parts, 0.0) * $g / ($g - 1.0)));

        return Figure::around(
            $plain->estimate,
            $se,
            $this->confidence->t($g - 1),
            'cluster linear',
            -INF,
            INF,
        )->over($this->clusters);
    }

    /**
     * What each cluster moves z(H) and z(F).
     *
     * @return list<array{float, float}>
     */
    private function signals(): array
    {
        [$tp, $fn, $fp, $tn] = $this->all;
        [$p, $q] = [$tp + $fn, $fp + $tn];
        $hit = Distribution::normalDensity(Distribution::normalQuantile(($tp + 0.5) / ($p + 1)));
        $alarm = Distribution::normalDensity(Distribution::normalQuantile(($fp + 0.5) / ($q + 1)));

        return array_map(
            static fn (array $c): array => [
                ($c[0] - ($c[0] + $c[1]) * (float) $tp / $p) / ($p * $hit),
                ($c[2] - ($c[2] + $c[3]) * (float) $fp / $q) / ($q * $alarm),
            ],
            $this->cells,
        );
    }

    /** Of a rater who always or never errs on one side all clusters are alike: then its own error, if larger. */
    private function criterion(): Figure
    {
        [$tp, $fn, $fp, $tn] = $this->all;
        $plain = (new SignalDetection($tp, $fn, $fp, $tn, $this->confidence))->criterion;
        if ($plain->estimate === null || $plain->se === null) {
            return $plain;
        }
        $figure = $this->without(
            $plain->estimate,
            static fn (array $c): float => SignalDetection::criterionOf(...$c) ?? NAN,
            fn (): array => array_map(static fn (array $c): float => -($c[0] + $c[1]) / 2, $this->signals()),
            INF,
        );

        return $figure->se !== null && $figure->se < $plain->se && $tp * $fn * $fp * $tn === 0
            ? Figure::around(
                $plain->estimate,
                $plain->se,
                $this->confidence->t($this->clusters->effective - 1.0),
                'analytic',
                -INF,
                INF,
            )->over($this->clusters)
            : $figure;
    }

    private function kappa(): Figure
    {
        [$tp, $fn, $fp, $tn] = $this->all;
        $cohen = new CohenKappa([$tp, $fp, $fn, $tn], $this->confidence);
        $kappa = $cohen->kappa();
        if ($kappa->estimate === null) {
            return $kappa;
        }
        $figure = $this->without(
            $kappa->estimate,
            static fn (array $c): float => CohenKappa::twoByTwo($c[0], $c[2], $c[1], $c[3]),
            function () use ($cohen): array {
                $by = $cohen->influences() ?? [0.0, 0.0, 0.0, 0.0];

                return array_map(
                    static fn (array $c): float => ($by[0] * $c[0] + $by[1] * $c[2] + $by[2] * $c[1] + $by[3] * $c[3]) /
                        $cohen->n,
                    $this->cells,
                );
            },
        );
        if ($figure->low === null || $fn + $fp > 0) {
            return $figure;
        }
        $share = (float) $tp / ($tp + $tn);

        return $figure->within(
            ClusterError::perfectLow($this->clusters->count, $share ** 2 + (1 - $share) ** 2, $this->confidence),
            1.0,
            'perfect-agreement bound',
        );
    }

    private function brier(): Figure
    {
        $stated = array_values(array_filter($this->brier, static fn (array $b): bool => $b[0] > 0));
        if ($stated === []) {
            return Figure::undefined(Undefined::NoConfidence);
        }

        return $this->wide(KeyTable::mean($stated, $this->confidence));
    }

    /**
     * @param  \Closure(Cells): float  $statistic
     * @param  \Closure(): (iterable<float>|null)  $linear
     */
    private function without(float $value, \Closure $statistic, \Closure $linear, float $reach = 1.0): Figure
    {
        [$tp, $fn, $fp, $tn] = $this->all;
        $known = $left = [];
        foreach ($this->cells as $c) {
            $left[] = $known[implode(' ', $c)] ??= $statistic([$tp - $c[0], $fn - $c[1], $fp - $c[2], $tn - $c[3]]);
        }

        return ClusterError::clustered($value, $left, $this->clusters, $this->confidence, $linear, -$reach, $reach);
    }

    /** Without an interval where that would have no width. */
    private function wide(Figure $figure): Figure
    {
        return $figure->se === 0.0 && $figure->estimate !== null
            ? Figure::estimated($figure->estimate, null, null, null, 'point')->over($this->clusters)
            : $figure;
    }

    public function clusters(): Clusters
    {
        return $this->clusters;
    }
}
