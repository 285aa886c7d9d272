<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;

/**
 * Two measurements of the same cases: bias and limits of agreement with their intervals (Bland & Altman 1986, 1999),
 * and Lin's concordance (Lin 1989, corrected 2000).
 *
 * bias d̄ ± t s/√n; limits d̄ ± 1.96 s with s from n − 1, each ± t √((1/n + 1.96²/(2(n−1))) s²).
 * ρ_c = 2 s_xy/(s_x² + s_y² + (x̄ − ȳ)²) with 1/n moments; interval by Fisher's transformation.
 */
final readonly class BlandAltman
{
    public int $n;

    private float $bias;

    private float $s;

    /**
     * @param  list<float>  $x  the same length
     * @param  list<float>  $y
     */
    public function __construct(private array $x, private array $y, private Confidence $confidence = new Confidence)
    {
        $this->n = count($x);
        $d = array_map(static fn (float $a, float $b): float => $a - $b, $x, $y);
        $this->bias = $this->n === 0 ? NAN : array_sum($d) / $this->n;
        $squares = 0.0;
        foreach ($d as $v) {
            $squares += ($v - $this->bias) ** 2;
        }
        $this->s = $this->n < 2 ? NAN : sqrt($squares / ($this->n - 1));
    }

    /** @return array<string, Figure> bias, lower_limit, upper_limit, lin_concordance */
    public function figures(): array
    {
        return [
            'bias' => $this->bias(),
            'lower_limit' => $this->limit(-1),
            'upper_limit' => $this->limit(1),
            'lin_concordance' => $this->lin(),
        ];
    }

    /**
     * The same where clusters hold several cases: by leaving out each.
     *
     * @param  list<int>  $clusterOf  of each case
     * @return array<string, Figure>
     */
    public function clustered(array $clusterOf): array
    {
        $members = [];
        foreach ($clusterOf as $i => $g) {
            $members[$g][] = $i;
        }
        $clusters = Clusters::ofSizes(array_map(count(...), $members));
        $left = [];
        foreach (count($members) < 2 ? [] : $members as $of) {
            [$x, $y] = [$this->x, $this->y];
            foreach ($of as $i) {
                unset($x[$i], $y[$i]);
            }
            foreach ((new self(array_values($x), array_values($y), $this->confidence))->figures() as $name => $figure) {
                $left[$name][] = $figure->estimate ?? NAN;
            }
        }

        $out = $this->figures();
        foreach ($out as $name => $figure) {
            if ($figure->estimate !== null) {
                $reach = $name === 'lin_concordance' ? 1.0 : INF;
                $out[$name] = ClusterError::clustered(
                    $figure->estimate,
                    $left[$name] ?? [],
                    $clusters,
                    $this->confidence,
                    static fn (): ?array => null,
                    -$reach,
                    $reach,
                );
            }
        }

        return $out;
    }

    /** Mean of x − y. */
    public function bias(): Figure
    {
        return match (true) {
            $this->n === 0 => Figure::undefined(Undefined::NotMeasuredByBoth),
            $this->n === 1 => Figure::estimated($this->bias, null, null, null, 'point'),
            default => Figure::around(
                $this->bias,
                $this->s / sqrt($this->n),
                $this->confidence->t($this->n - 1),
                'analytic',
                -INF,
                INF,
            ),
        };
    }

    /** @param  int  $side  −1 the lower, 1 the upper */
    public function limit(int $side): Figure
    {
        if ($this->n < 2) {
            return Figure::undefined(Undefined::FewMeasuredByBoth);
        }
        $se = $this->s * sqrt(1.0 / $this->n + 1.96 ** 2 / (2 * ($this->n - 1)));

        return Figure::around(
            $this->bias + $side * 1.96 * $this->s,
            $se,
            $this->confidence->t($this->n - 1),
            'analytic',
            -INF,
            INF,
        );
    }

    public function lin(): Figure
    {
        $n = $this->n;
        if ($n < 2) {
            return Figure::undefined(Undefined::FewMeasuredByBoth);
        }
        $mx = array_sum($this->x) / $n;
        $my = array_sum($this->y) / $n;
        $sxx = $syy = $sxy = 0.0;
        foreach ($this->x as $i => $a) {
            $sxx += ($a - $mx) ** 2 / $n;
            $syy += ($this->y[$i] - $my) ** 2 / $n;
            $sxy += ($a - $mx) * ($this->y[$i] - $my) / $n;
        }
        $of = $sxx + $syy + ($mx - $my) ** 2;
        if ($of <= 0.0) {
            return Figure::undefined(Undefined::SameValues);
        }
        $c = 2 * $sxy / $of;
        if ($n < 3 || $sxx <= 0.0 || $syy <= 0.0 || abs($c) >= 1.0 - 1e-15) {
            return Figure::estimated($c, null, null, null, 'point');
        }
        if ($sxy === 0.0) {
            // The limit of what follows: C_b/√(n−2), C_b = ρ_c/r.
            $se = 2 * sqrt($sxx * $syy) / $of / sqrt($n - 2);
            $end = tanh($this->confidence->z * $se);

            return Figure::estimated(0.0, $se, -$end, $end, 'fisher z');
        }
        $r2 = min(1.0, $sxy * $sxy / ($sxx * $syy));
        $r = $sxy < 0 ? -sqrt($r2) : sqrt($r2);
        $u2 = ($mx - $my) ** 2 / sqrt($sxx * $syy);
        $c2 = 1 - $c * $c;
        $variance =
            (((1 - $r2) * $c * $c) / ($c2 * $r2) +
                (2 * $c ** 3 * (1 - $c) * $u2) / ($r * $c2 * $c2) -
                ($c ** 4 * $u2 * $u2) / (2 * $r2 * $c2 * $c2)) /
            ($n - 2);
        $se = sqrt(max(0.0, $variance));
        $z = atanh($c);

        return Figure::estimated(
            $c,
            $se * $c2,
            tanh($z - $this->confidence->z * $se),
            tanh($z + $this->confidence->z * $se),
            'fisher z',
        );
    }

    /** Share of cases whose difference is no larger than the tolerance, in the values' unit. */
    public function within(float $tolerance): Figure
    {
        $k = 0;
        foreach ($this->x as $i => $a) {
            // A tolerance of 0.1 is met by 0.3 − 0.2, which floats put beyond it.
            $k += abs($a - $this->y[$i]) <= $tolerance * (1 + 1e-12) + 1e-12 ? 1 : 0;
        }

        return Wilson::figure($k, $this->n, $this->confidence, Undefined::NotMeasuredByBoth);
    }
}
