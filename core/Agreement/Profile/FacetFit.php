<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** The arithmetic of FacetModel: penalised likelihood for given spreads, with the one large facet eliminated. */
final class FacetFit
{
    private const MOST_STEPS = 60;

    /** @var list<list<string>> names of the levels, in byte order, by facet */
    private array $levels = [];

    /** Which facet is eliminated. */
    private readonly int $large;

    /** @var array<int, int> where a small facet's levels begin among the small ones; the mean stands last */
    private array $from = [];

    private readonly int $small;

    /** @var list<array{int, list<int>, int}> right or not (1, 0), places of the small levels, level of the large facet */
    private array $rows = [];

    /** @var list<float> effects of the small levels, then the mean: where the last search ended */
    private array $b = [];

    /** @var list<float> effects of the large facet's levels */
    private array $u = [];

    /** @var list<list<int>> level of each facet by row */
    private array $levelOf = [];

    /**
     * @param  list<array{bool, list<string>}>  $calls
     * @param  non-empty-list<string>  $names
     */
    public function __construct(array $calls, private readonly array $names)
    {
        $index = [];
        $sizes = [];
        foreach (array_keys($names) as $f) {
            $levels = array_values(array_unique(array_map(static fn (array $c): string => $c[1][$f], $calls)));
            sort($levels, SORT_STRING);
            $this->levels[] = $levels;
            $index[$f] = array_flip($levels);
            $sizes[$f] = count($levels);
        }
        $this->large = (int) array_search(max($sizes), $sizes, true);
        $at = 0;
        foreach ($sizes as $f => $n) {
            if ($f !== $this->large) {
                $this->from[$f] = $at;
                $at += $n;
            }
        }
        $this->small = $at;
        foreach ($calls as [$right, $levels]) {
            $of = array_map(static fn (string $level, int $f): int => $index[$f][$level], $levels, array_keys($levels));
            $this->levelOf[] = $of;
            $places = [];
            foreach ($this->from as $f => $start) {
                $places[] = $start + $of[$f];
            }
            $places[] = $at;
            $this->rows[] = [$right ? 1 : 0, $places, $of[$this->large]];
        }
        $this->b = array_fill(0, $at + 1, 0.0);
        $this->u = array_fill(0, $sizes[$this->large], 0.0);
    }

    /**
     * −2 log of the Laplace approximation of the marginal likelihood.
     *
     * @param  non-empty-list<float>  $sd  by facet
     */
    public function deviance(array $sd): float
    {
        $this->climb($sd);
        [$factor, $d] = $this->curvature($sd);
        $logs = 0.0;
        // The mean stands last and is no random effect.
        for ($i = 0; $i < $this->small; $i++) {
            $logs += 2.0 * log($factor[$i][$i]);
        }
        foreach ($d as $v) {
            $logs += log($v);
        }
        foreach ($this->levels as $f => $levels) {
            $logs += 2.0 * count($levels) * log($sd[$f]);
        }

        return 2.0 * $this->loss($this->b, $this->u, $sd) + $logs;
    }

    /**
     * −log likelihood + Σb²/(2σ²).
     *
     * @param  list<float>  $b
     * @param  list<float>  $u
     * @param  non-empty-list<float>  $sd
     */
    private function loss(array $b, array $u, array $sd): float
    {
        $sum = 0.0;
        foreach ($this->rows as [$y, $places, $level]) {
            $eta = $u[$level];
            foreach ($places as $j) {
                $eta += $b[$j];
            }
            // log(1 + e^η) − yη, without overflow.
            $sum += max($eta, 0.0) + log(1.0 + exp(-abs($eta))) - $y * $eta;
        }
        foreach ($this->penalties($sd) as $j => $p) {
            $sum += 0.5 * $p * $b[$j] * $b[$j];
        }
        $p = 1.0 / $sd[$this->large] ** 2;
        foreach ($u as $v) {
            $sum += 0.5 * $p * $v * $v;
        }

        return $sum;
    }

    /**
     * @param  non-empty-list<float>  $sd
     * @return list<float> 1/σ² of each small level, 0 of the mean
     */
    private function penalties(array $sd): array
    {
        $out = [];
        foreach ($this->from as $f => $_) {
            array_push($out, ...array_fill(0, count($this->levels[$f]), 1.0 / $sd[$f] ** 2));
        }
        $out[] = 0.0;

        return $out;
    }

    /**
     * Newton's steps, halved where they would lead up.
     *
     * @param  non-empty-list<float>  $sd
     */
    private function climb(array $sd): void
    {
        $loss = $this->loss($this->b, $this->u, $sd);
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            [$factor, $d, $b] = $this->curvature($sd);
            [$gb, $gu] = $this->slopes($sd);
            // Schur: S x = g_b − Bᵀ D⁻¹ g_u, then y = D⁻¹(g_u − B x).
            $right = $gb;
            foreach ($b as $level => $row) {
                foreach ($row as $j => $v) {
                    $right[$j] -= $v * $gu[$level] / $d[$level];
                }
            }
            $x = self::solved($factor, $right);
            $y = [];
            foreach ($gu as $level => $g) {
                $part = $g;
                foreach ($b[$level] as $j => $v) {
                    $part -= $v * $x[$j];
                }
                $y[] = $part / $d[$level];
            }
            for ($scale = 1.0; $scale > 1e-6; $scale /= 2.0) {
                $nextB = array_map(static fn (float $v, float $s): float => $v + $scale * $s, $this->b, $x);
                $nextU = array_map(static fn (float $v, float $s): float => $v + $scale * $s, $this->u, $y);
                $next = $this->loss($nextB, $nextU, $sd);
                if ($next <= $loss) {
                    break;
                }
            }
            if (! isset($nextB, $nextU, $next) || $next > $loss) {
                return;
            }
            [$this->b, $this->u] = [$nextB, $nextU];
            $gain = $loss - $next;
            $loss = $next;
            if ($gain <= 1e-13 * (1.0 + abs($loss))) {
                return;
            }
        }
    }

    /**
     * @param  non-empty-list<float>  $sd
     * @return array{list<float>, list<float>} slopes of the penalised likelihood by small and large effects
     */
    private function slopes(array $sd): array
    {
        $gb = array_fill(0, $this->small + 1, 0.0);
        $gu = array_fill(0, count($this->u), 0.0);
        foreach ($this->rows as $i => [$y, $places, $level]) {
            $rest = $y - $this->chance($i);
            $gu[$level] += $rest;
            foreach ($places as $j) {
                $gb[$j] += $rest;
            }
        }
        foreach ($this->penalties($sd) as $j => $p) {
            $gb[$j] -= $p * $this->b[$j];
        }
        $p = 1.0 / $sd[$this->large] ** 2;
        foreach ($this->u as $level => $v) {
            $gu[$level] -= $p * $v;
        }

        return [array_values($gb), array_values($gu)];
    }

    private function chance(int $row): float
    {
        [, $places, $level] = $this->rows[$row];
        $eta = $this->u[$level];
        foreach ($places as $j) {
            $eta += $this->b[$j];
        }

        return 1.0 / (1.0 + exp(-$eta));
    }

    /**
     * @param  non-empty-list<float>  $sd
     * @return array{list<list<float>>, list<float>, array<int, array<int, float>>} the Cholesky factor of the Schur
     *     complement of the large facet, its diagonal D, and B, by large level and small place
     */
    private function curvature(array $sd): array
    {
        $n = $this->small + 1;
        $c = array_fill(0, $n, array_fill(0, $n, 0.0));
        $d = array_fill(0, count($this->u), 1.0 / $sd[$this->large] ** 2);
        $b = array_fill(0, count($this->u), []);
        foreach ($this->rows as $i => [, $places, $level]) {
            $p = $this->chance($i);
            $w = $p * (1.0 - $p);
            $d[$level] += $w;
            foreach ($places as $j) {
                $b[$level][$j] = ($b[$level][$j] ?? 0.0) + $w;
                foreach ($places as $k) {
                    $c[$j][$k] += $w;
                }
            }
        }
        foreach ($this->penalties($sd) as $j => $p) {
            $c[$j][$j] += $p;
        }
        foreach ($b as $level => $row) {
            foreach ($row as $j => $v) {
                $part = $v / $d[$level];
                foreach ($row as $k => $other) {
                    $c[$j][$k] -= $part * $other;
                }
            }
        }

        return [self::cholesky($c), array_values($d), $b];
    }

    /**
     * @param  array<int, array<int, float>>  $of  symmetric, positive definite
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
        $this->climb($sd);
        [$factor, $d, $b] = $this->curvature($sd);
        $n = $this->small + 1;
        $inverse = [];
        for ($j = 0; $j < $n; $j++) {
            $unit = array_fill(0, $n, 0.0);
            $unit[$j] = 1.0;
            $inverse[] = self::solved($factor, $unit);
        }
        $facets = [];
        foreach ($this->names as $f => $name) {
            $fits = $this->fits($f);
            foreach ($this->levels[$f] as $level => $called) {
                $together = $inverse[$this->small][$this->small];
                if ($f === $this->large) {
                    $estimate = $this->u[$level];
                    $variance = 1.0 / $d[$level];
                    foreach ($b[$level] as $j => $v) {
                        $together -= 2.0 * $v * $inverse[$j][$this->small] / $d[$level];
                        foreach ($b[$level] as $k => $other) {
                            $variance += $v * $inverse[$j][$k] * $other / $d[$level] ** 2;
                        }
                    }
                } else {
                    $at = $this->from[$f] + $level;
                    [$estimate, $variance] = [$this->b[$at], $inverse[$at][$at]];
                    $together += 2.0 * $inverse[$at][$this->small];
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
            'mean' => $this->b[$this->small],
            'se' => sqrt($inverse[$this->small][$this->small]),
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
        $this->climb($sd);
        $at = array_flip($this->levels[$facet]);
        [$one, $other] = [$this->from[$facet] + $at[$level], $this->from[$facet] + $at[$less]];
        $unit = array_fill(0, $this->small + 1, 0.0);
        [$unit[$one], $unit[$other]] = [1.0, -1.0];
        $x = self::solved($this->curvature($sd)[0], $unit);

        return [$this->b[$one] - $this->b[$other], sqrt($x[$one] - $x[$other])];
    }

    /** @return array<int, array{int, float, float}> calls, infit and outfit of each level */
    private function fits(int $facet): array
    {
        $sums = [];
        foreach ($this->rows as $i => [$y]) {
            $level = $this->levelOf[$i][$facet];
            $p = $this->chance($i);
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
