<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** The arithmetic of FacetModel: penalised likelihood for given spreads, with the one large facet eliminated. */
final class FacetFit
{
    private const MOST_STEPS = 60;

    /** @var list<float> effects of the small levels, then the mean: where the last search ended */
    private array $b = [];

    /** @var list<float> effects of the large facet's levels */
    private array $u = [];

    public function __construct(private readonly FacetDesign $design)
    {
        $this->b = array_fill(0, $design->small + 1, 0.0);
        $this->u = array_fill(0, $design->size($design->large), 0.0);
    }

    /**
     * −2 log of the Laplace approximation of the marginal likelihood.
     *
     * @param  non-empty-list<float>  $sd  by facet
     */
    public function deviance(array $sd): float
    {
        $top = $this->climb($sd);
        $factor = self::cholesky($top->reduced());
        $logs = 0.0;
        // The mean stands last and is no random effect.
        for ($i = 0; $i < $this->design->small; $i++) {
            $logs += 2.0 * log($factor[$i][$i]);
        }
        foreach ($top->large as $v) {
            $logs += log($v);
        }
        foreach ($this->design->levels as $f => $levels) {
            $logs += 2.0 * count($levels) * log($sd[$f]);
        }

        return 2.0 * $top->loss + $logs;
    }

    /**
     * Everything that is asked of one point, in one pass over the calls.
     *
     * @param  list<float>  $b
     * @param  list<float>  $u
     * @param  non-empty-list<float>  $sd
     */
    private function at(array $b, array $u, array $sd): FacetPoint
    {
        $sums = [];
        foreach ($this->design->combinations as $number => $places) {
            $sum = 0.0;
            foreach ($places as $j) {
                $sum += $b[$j];
            }
            $sums[$number] = $sum;
        }
        $n = $this->design->small + 1;
        $loss = 0.0;
        $large = array_fill(0, count($u), 1.0 / $sd[$this->design->large] ** 2);
        $slopesU = array_fill(0, count($u), 0.0);
        $rest = array_fill(0, count($sums), 0.0);
        $weight = $rest;
        $cross = array_fill(0, count($u), array_fill(0, $n, 0.0));
        // Read once: the loop goes over all calls.
        [$right, $numbers] = [$this->design->right, $this->design->combinationOf];
        $combinations = $this->design->combinations;
        foreach ($this->design->levelOf as $i => $level) {
            $number = $numbers[$i];
            $eta = $u[$level] + $sums[$number];
            // log(1 + e^η) − yη, without overflow.
            $e = exp(-abs($eta));
            $loss += max($eta, 0.0) + log(1.0 + $e) - $right[$i] * $eta;
            $p = $eta >= 0.0 ? 1.0 / (1.0 + $e) : $e / (1.0 + $e);
            $off = $right[$i] - $p;
            $w = $p * (1.0 - $p);
            $large[$level] += $w;
            $slopesU[$level] += $off;
            $rest[$number] += $off;
            $weight[$number] += $w;
            foreach ($combinations[$number] as $j) {
                $cross[$level][$j] += $w;
            }
        }
        $slopesB = array_fill(0, $n, 0.0);
        $curve = array_fill(0, $n, array_fill(0, $n, 0.0));
        foreach ($this->design->combinations as $number => $places) {
            foreach ($places as $j) {
                $slopesB[$j] += $rest[$number];
                foreach ($places as $k) {
                    $curve[$j][$k] += $weight[$number];
                }
            }
        }
        foreach ($this->penalties($sd) as $j => $p) {
            $loss += 0.5 * $p * $b[$j] * $b[$j];
            $slopesB[$j] -= $p * $b[$j];
            $curve[$j][$j] += $p;
        }
        $p = 1.0 / $sd[$this->design->large] ** 2;
        foreach ($u as $level => $v) {
            $loss += 0.5 * $p * $v * $v;
            $slopesU[$level] -= $p * $v;
        }

        return new FacetPoint($loss, array_values($slopesB), array_values($slopesU), $curve, $large, $cross);
    }

    /**
     * @param  non-empty-list<float>  $sd
     * @return list<float> 1/σ² of each small level, 0 of the mean
     */
    private function penalties(array $sd): array
    {
        $out = [];
        foreach ($this->design->from as $f => $_) {
            array_push($out, ...array_fill(0, count($this->design->levels[$f]), 1.0 / $sd[$f] ** 2));
        }
        $out[] = 0.0;

        return $out;
    }

    /**
     * Newton's steps, halved where they would lead up, to the mode.
     *
     * @param  non-empty-list<float>  $sd
     */
    private function climb(array $sd): FacetPoint
    {
        $here = $this->at($this->b, $this->u, $sd);
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            // Schur: S x = g_b − Bᵀ D⁻¹ g_u, then y = D⁻¹(g_u − B x).
            $right = $here->slopes;
            foreach ($here->cross as $level => $row) {
                $part = $here->largeSlopes[$level] / $here->large[$level];
                foreach ($row as $j => $v) {
                    $right[$j] -= $v * $part;
                }
            }
            $x = self::solved(self::cholesky($here->reduced()), $right);
            $y = [];
            foreach ($here->largeSlopes as $level => $g) {
                $part = $g;
                foreach ($here->cross[$level] as $j => $v) {
                    $part -= $v * $x[$j];
                }
                $y[] = $part / $here->large[$level];
            }
            // What the step should gain. Less than the loss is exact to is not compared: it would be halved for
            // nothing.
            $gain = 0.5 * (self::product($here->slopes, $x) + self::product($here->largeSlopes, $y));
            $last = $gain <= 1e-13 * (1.0 + abs($here->loss));
            $next = null;
            for ($scale = 1.0; $scale > 1e-6; $scale /= 2.0) {
                $nextB = array_map(static fn (float $v, float $s): float => $v + $scale * $s, $this->b, $x);
                $nextU = array_map(static fn (float $v, float $s): float => $v + $scale * $s, $this->u, $y);
                $tried = $this->at($nextB, $nextU, $sd);
                if ($last || $tried->loss <= $here->loss) {
                    [$next, $this->b, $this->u] = [$tried, $nextB, $nextU];
                    break;
                }
            }
            if ($next === null) {
                return $here;
            }
            $here = $next;
            if ($last) {
                return $here;
            }
        }

        return $here;
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function product(array $a, array $b): float
    {
        return array_sum(array_map(static fn (float $v, float $w): float => $v * $w, $a, $b));
    }

    /**
     * @param  array<int, array<int, float>>  $of  lower triangle of a symmetric, positive definite matrix
     * @return list<list<float>> lower triangle
     */
    private static function cholesky(array $of): array
    {
        $out = [];
        foreach ($of as $i => $row) {
            $own = [];
            for ($j = 0; $j <= $i; $j++) {
                $sum = $row[$j];
                $other = $j === $i ? $own : $out[$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $own[$k] * $other[$k];
                }
                $own[] = $j === $i ? sqrt(max(1e-300, $sum)) : $sum / $other[$j];
            }
            $out[] = $own;
        }

        return $out;
    }

    /**
     * @param  list<list<float>>  $factor
     * @param  array<int, float>  $right
     * @return list<float>
     */
    private static function solved(array $factor, array $right): array
    {
        $n = count($factor);
        $x = $right;
        for ($i = 0; $i < $n; $i++) {
            for ($k = 0; $k < $i; $k++) {
                $x[$i] -= $factor[$i][$k] * $x[$k];
            }
            $x[$i] /= $factor[$i][$i];
        }
        for ($i = $n - 1; $i >= 0; $i--) {
            for ($k = $i + 1; $k < $n; $k++) {
                $x[$i] -= $factor[$k][$i] * $x[$k];
            }
            $x[$i] /= $factor[$i][$i];
        }

        return array_values($x);
    }

    /**
     * @param  non-empty-list<float>  $sd
     * @return array{mean: float, se: float, facets: array<string, array<string, FacetEffect>>}
     */
    public function effects(array $sd): array
    {
        $top = $this->climb($sd);
        [$factor, $d, $b] = [self::cholesky($top->reduced()), $top->large, $top->cross];
        $n = $this->design->small + 1;
        $inverse = [];
        for ($j = 0; $j < $n; $j++) {
            $unit = array_fill(0, $n, 0.0);
            $unit[$j] = 1.0;
            $inverse[] = self::solved($factor, $unit);
        }
        $facets = [];
        foreach ($this->design->names as $f => $name) {
            $fits = $this->fits($f);
            foreach ($this->design->levels[$f] as $level => $called) {
                $together = $inverse[$this->design->small][$this->design->small];
                if ($f === $this->design->large) {
                    $estimate = $this->u[$level];
                    $variance = 1.0 / $d[$level];
                    foreach ($b[$level] as $j => $v) {
                        $together -= 2.0 * $v * $inverse[$j][$this->design->small] / $d[$level];
                        foreach ($b[$level] as $k => $other) {
                            $variance += $v * $inverse[$j][$k] * $other / $d[$level] ** 2;
                        }
                    }
                } else {
                    $at = $this->design->from[$f] + $level;
                    [$estimate, $variance] = [$this->b[$at], $inverse[$at][$at]];
                    $together += 2.0 * $inverse[$at][$this->design->small];
                }
                [$calls, $infit, $outfit] = $fits[$level];
                $facets[$name][$called] = new FacetEffect(
                    (string) $called,
                    $estimate,
                    sqrt($variance),
                    sqrt(max(0.0, $variance + $together)),
                    $calls,
                    $infit,
                    $outfit,
                );
            }
        }

        return [
            'mean' => $this->b[$this->design->small],
            'se' => sqrt($inverse[$this->design->small][$this->design->small]),
            'facets' => $facets,
        ];
    }

    /**
     * One level of a small facet less another.
     *
     * @param  non-empty-list<float>  $sd
     * @return array{float, float} with its standard error
     */
    public function contrast(int $facet, string $level, string $less, array $sd): array
    {
        $top = $this->climb($sd);
        $at = array_flip($this->design->levels[$facet]);
        [$one, $other] = [$this->design->from[$facet] + $at[$level], $this->design->from[$facet] + $at[$less]];
        $unit = array_fill(0, $this->design->small + 1, 0.0);
        [$unit[$one], $unit[$other]] = [1.0, -1.0];
        $x = self::solved(self::cholesky($top->reduced()), $unit);

        return [$this->b[$one] - $this->b[$other], sqrt($x[$one] - $x[$other])];
    }

    /** @return array<int, array{int, float, float}> calls, infit and outfit of each level */
    private function fits(int $facet): array
    {
        $sums = [];
        foreach ($this->design->right as $i => $y) {
            $level = $this->design->level($i, $facet);
            $eta = $this->u[$this->design->levelOf[$i]];
            foreach ($this->design->combinations[$this->design->combinationOf[$i]] as $j) {
                $eta += $this->b[$j];
            }
            $p = 1.0 / (1.0 + exp(-$eta));
            $w = max(1e-12, $p * (1.0 - $p));
            $squares = ($y - $p) ** 2;
            $sums[$level] ??= [0, 0.0, 0.0, 0.0];
            $sums[$level][0]++;
            $sums[$level][1] += $squares;
            $sums[$level][2] += $w;
            $sums[$level][3] += $squares / $w;
        }

        return array_map(static fn (array $s): array => [$s[0], $s[1] / $s[2], $s[3] / $s[0]], $sums);
    }
}
