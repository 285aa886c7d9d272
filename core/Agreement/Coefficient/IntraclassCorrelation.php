<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Undefined;
use Core\Number\Distribution;

/**
 * Intraclass correlations of a complete cases × raters table of numbers, with F-based intervals (Shrout & Fleiss
 * 1979; McGraw & Wong 1996).
 *
 * With the mean squares between cases B, within cases W, between raters J and of the residual E, n cases, k raters:
 * (1,1) = (B−W)/(B+(k−1)W); (2,1) = (B−E)/(B+(k−1)E+k(J−E)/n); (3,1) = (B−E)/(B+(k−1)E);
 * (1,k) = (B−W)/B; (2,k) = (B−E)/(B+(J−E)/n); (3,k) = (B−E)/B. Where clusters hold several units the errors
 * come from leaving out each.
 */
final readonly class IntraclassCorrelation
{
    public const NAMES = ['icc_1_1', 'icc_2_1', 'icc_3_1', 'icc_1_k', 'icc_2_k', 'icc_3_k'];

    private CrossedDesign $design;

    public function __construct(private ItemTable $table)
    {
        $this->design = new CrossedDesign($table, self::statistics(...));
    }

    /** @return array<string, Figure> by NAMES */
    public function figures(Confidence $confidence, ?ClusterBootstrap $bootstrap): array
    {
        $reason = CrossedDesign::objection($this->table);
        if ($reason !== null) {
            return array_fill_keys(self::NAMES, Figure::undefined($reason));
        }
        $values = $this->design->estimates();
        $intervals = $this->table->grouped ? [] : $this->byF($confidence);
        $clustered = $this->table->grouped ? $this->clustered($values, $confidence, $bootstrap) : [];
        $out = [];
        foreach (self::NAMES as $i => $name) {
            $out[$name] = match (true) {
                is_nan($values[$i]) => Figure::undefined(Undefined::NoVarianceToShare),
                isset($clustered[$i]) => $clustered[$i],
                ! isset($intervals[$i]) => Figure::estimated($values[$i], null, null, null, 'point'),
                default => Figure::estimated($values[$i], null, ...$intervals[$i]),
            };
        }

        return $out;
    }

    /**
     * @param  list<float>  $values
     * @return list<Figure>
     */
    private function clustered(array $values, Confidence $confidence, ?ClusterBootstrap $bootstrap): array
    {
        $clusters = Clusters::ofTable($this->table);
        $left = $this->design->leaveOneOut();
        $resampled = $clusters->canResample()
            ? $bootstrap?->intervals($this->design, $confidence->level, $left) ?? []
            : [];
        $out = [];
        foreach ($values as $i => $value) {
            $figure = ClusterError::clustered(
                $value,
                array_column($left, $i),
                $clusters,
                $confidence,
                static fn (): ?array => null,
                -INF,
            );
            $r = $resampled[$i] ?? null;
            $out[] = $r === null ? $figure : $figure->within($r->low, $r->high, $r->method);
        }

        return $out;
    }

    /** @return list<array{float, float, string}|null> */
    private function byF(Confidence $confidence): array
    {
        [$n, $b, $w, $j, $e] = $this->design->all();
        $k = count($this->table->raters);
        $p = 0.5 + $confidence->level / 2;
        $one = static fn (float $low, float $high): array => [$low, $high, 'f'];
        $none = array_fill(0, 6, null);
        if ($e <= 0.0 || $w <= 0.0) {
            return $none;
        }
        $q = static fn (float $a, float $c): float => Distribution::fQuantile($p, $a, $c);
        // One way.
        $f = $b / $w;
        $low1 = $f / $q($n - 1, $n * ($k - 1));
        $high1 = $f * $q($n * ($k - 1), $n - 1);
        // Two way, consistency.
        $f = $b / $e;
        $low3 = $f / $q($n - 1, ($n - 1) * ($k - 1));
        $high3 = $f * $q(($n - 1) * ($k - 1), $n - 1);
        // Two way, absolute agreement: Satterthwaite's degrees of freedom.
        $icc = ($b - $e) / ($b + ($k - 1) * $e + $k * ($j - $e) / $n);
        $fj = $j / $e;
        $weight = $n * (1 + ($k - 1) * $icc) - $k * $icc;
        $v =
            (($k - 1) * ($n - 1) * ($k * $icc * $fj + $weight) ** 2) /
            (($n - 1) * $k * $k * $icc * $icc * $fj * $fj + $weight ** 2);
        $two = [null, null];
        if ($v > 0.0 && is_finite($v)) {
            $f1 = $q($n - 1, $v);
            $f2 = $q($v, $n - 1);
            $low2 = $n * ($b - $f1 * $e) / ($f1 * ($k * $j + ($k * $n - $k - $n) * $e) + $n * $b);
            $high2 = $n * ($f2 * $b - $e) / ($k * $j + ($k * $n - $k - $n) * $e + $n * $f2 * $b);
            $up = static fn (float $r): float => $k * $r / (1 + ($k - 1) * $r);
            $two = [$one($low2, $high2), $one($up($low2), $up($high2))];
        }

        return [
            $one(($low1 - 1) / ($low1 + $k - 1), ($high1 - 1) / ($high1 + $k - 1)),
            $two[0],
            $one(($low3 - 1) / ($low3 + $k - 1), ($high3 - 1) / ($high3 + $k - 1)),
            $one(1 - 1 / $low1, 1 - 1 / $high1),
            $two[1],
            $one(1 - 1 / $low3, 1 - 1 / $high3),
        ];
    }

    /** @return list<float> by NAMES */
    private static function statistics(float $n, float $b, float $w, float $j, float $e, int $k): array
    {
        $over = static fn (float $a, float $of): float => $of > 1e-300 ? $a / $of : NAN;

        return [
            $over($b - $w, $b + ($k - 1) * $w),
            $over($b - $e, $b + ($k - 1) * $e + ($k * ($j - $e)) / $n),
            $over($b - $e, $b + ($k - 1) * $e),
            $over($b - $w, $b),
            $over($b - $e, $b + ($j - $e) / $n),
            $over($b - $e, $b),
        ];
    }
}
