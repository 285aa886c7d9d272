<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * The nominal coefficients of one item with analytic standard errors ("cases sampled, raters as they are").
 *
 * percent agreement; Fleiss' κ (Fleiss 1971, missing ratings after Gwet 2014); AC1 (Gwet 2008);
 * Brennan–Prediger (1981); Krippendorff's α (2004), se after Gwet 2014; specific agreement (Cicchetti &
 * Feinstein 1990) with a jackknife over cases. Where units are pooled over items, the influence values of
 * one case's units are added before they are squared, so that cases stay the sampled clusters.
 */
final readonly class Coefficients
{
    public const NAMES = ['percent_agreement', 'fleiss_kappa', 'gwet_ac1', 'brennan_prediger', 'krippendorff_alpha'];

    /** @param  float  $confidence in (0, 1) */
    public function __construct(private Units $units, private CountSums $sums, private float $confidence = 0.95)
    {
    }

    /** @return array<string, Figure> by NAMES */
    public function figures(): array
    {
        $out = [];
        $values = $this->sums->statistics($this->sums->total);
        foreach (self::NAMES as $i => $name) {
            $out[$name] = is_nan($values[$i]) ? Figure::undefined($this->why($name)) : $this->figure($name, $values[$i]);
        }

        return $out;
    }

    /** @return list<Figure> one per category */
    public function specific(): array
    {
        $values = $this->sums->statistics($this->sums->total);
        $out = [];
        for ($k = 0; $k < $this->units->q; $k++) {
            $value = $values[5 + $k];
            if (is_nan($value)) {
                $out[] = Figure::undefined($this->units->paired === 0 ? self::PAIRLESS : 'no case with two ratings has this category');

                continue;
            }
            $se = $this->jackknife(5 + $k);
            $out[] = $se === null ? Figure::of($value, null, null, null, 'point') : Figure::around($value, $se, $this->studentAt($this->units->cases - 1), 'jackknife', 0.0);
        }

        return $out;
    }

    private const PAIRLESS = 'fewer than two ratings on every case';

    private function why(string $name): string
    {
        return match (true) {
            $this->units->paired === 0 => self::PAIRLESS,
            $this->units->q === 1 => 'only one category occurs, so chance cannot be told from agreement',
            default => 'every rating is the same, so the chance term is 1',
        };
    }

    private function figure(string $name, float $estimate): Figure
    {
        $u = $this->units;
        $pe = $this->chance($name);
        $alpha = $name === 'krippendorff_alpha';
        $clusters = $alpha ? $this->pairedCases() : $u->cases;
        if ($clusters < 2) {
            return Figure::of($estimate, null, null, null, 'point');
        }
        $se = $this->clustered($alpha ? $this->alphaInfluence() : $this->influence($name, $estimate, $pe), $alpha ? $u->paired : $u->units);
        $figure = Figure::around($estimate, $se, $this->studentAt($clusters - 1), 'analytic');
        if ($this->isPerfect()) {
            return $figure->within(self::perfectLow($u->paired, $pe, $this->confidence), 1.0, 'perfect-agreement bound');
        }

        return $figure;
    }

    /** Whether every pair of ratings agrees, decided by integers. */
    public function isPerfect(): bool
    {
        foreach ($this->units->counts as $row) {
            if (count(array_filter($row)) > 1) {
                return false;
            }
        }

        return true;
    }

    /** The lower end at perfect agreement: Wilson's bound for n of n, put through the coefficient's own scale. */
    public static function perfectLow(int $n2, float $pe, float $confidence): float
    {
        $z = Distribution::normalQuantile(0.5 + $confidence / 2);
        $l = $n2 / ($n2 + $z * $z);

        return max(-1.0, ($l - $pe) / (1 - $pe));
    }

    /** The chance term p_e of a coefficient; 0 for percent agreement. */
    public function chance(string $name): float
    {
        $pi = $this->sums->proportions();
        $squares = array_sum(array_map(static fn (float $p): float => $p * $p, $pi));

        return match ($name) {
            'fleiss_kappa' => $squares,
            'gwet_ac1' => (1 - $squares) / ($this->units->q - 1),
            'brennan_prediger' => 1 / $this->units->q,
            'krippendorff_alpha' => $this->alphaChance(),
            default => 0.0,
        };
    }

    /**
     * κ_i = (n/n2)(a_i − p_e 1_i)/(1−p_e) − 2(1−κ)(e_i − p_e)/(1−p_e), centred.
     *
     * @return list<float> per unit
     */
    private function influence(string $name, float $kappa, float $pe): array
    {
        $u = $this->units;
        $pi = $this->sums->proportions();
        $out = [];
        foreach ($u->counts as $row) {
            $r = array_sum($row);
            [$a, $one] = $r >= 2 ? [self::agreement($row, $r), 1.0] : [0.0, 0.0];
            $e = $pe;
            if ($name === 'fleiss_kappa' || $name === 'gwet_ac1') {
                $e = 0.0;
                foreach ($row as $k => $n) {
                    $e += ($name === 'fleiss_kappa' ? $pi[$k] : (1 - $pi[$k]) / ($u->q - 1)) * $n / $r;
                }
            } elseif ($name === 'percent_agreement') {
                $e = 0.0;
            }
            $out[] = $u->units / $u->paired * ($a - $pe * $one) / (1 - $pe) - 2 * (1 - $kappa) * ($e - $pe) / (1 - $pe) - $kappa;
        }

        return $out;
    }

    /** @param  list<int>  $row */
    private static function agreement(array $row, int $r): float
    {
        $same = 0;
        foreach ($row as $n) {
            $same += $n * ($n - 1);
        }

        return $same / ($r * ($r - 1));
    }

    /** @return array{float, list<float>} mean ratings per paired unit, and category proportions among them */
    private function pairedProportions(): array
    {
        $sum = 0;
        $byCategory = array_fill(0, $this->units->q, 0);
        foreach ($this->units->counts as $row) {
            $r = array_sum($row);
            if ($r >= 2) {
                $sum += $r;
                foreach ($row as $k => $n) {
                    $byCategory[$k] += $n;
                }
            }
        }

        return [(float) $sum / $this->units->paired, array_values(array_map(static fn (int $n): float => $n / $sum, $byCategory))];
    }

    private function alphaChance(): float
    {
        return array_sum(array_map(static fn (float $p): float => $p * $p, $this->pairedProportions()[1]));
    }

    /**
     * Influence of each unit on nominal α (Gwet 2014), centred; units with a single rating have none.
     *
     * @return array<int, float> by unit
     */
    private function alphaInfluence(): array
    {
        [$mean, $share] = $this->pairedProportions();
        $n2 = $this->units->paired;
        $eps = 1 / ($mean * $n2);
        $pe = $this->alphaChance();
        $rows = [];
        $sum = 0.0;
        foreach ($this->units->counts as $i => $row) {
            $r = array_sum($row);
            if ($r >= 2) {
                $p = self::agreement($row, $r) * $r / $mean;
                $e = 0.0;
                foreach ($row as $k => $n) {
                    $e += $share[$k] * $n / $mean;
                }
                $rows[$i] = [$p, ($r - $mean) / $mean, $e];
                $sum += $p;
            }
        }
        $raw = $sum / $n2;
        $pa = (1 - $eps) * $raw + $eps;
        $alpha = ($raw - $pe) / (1 - $pe);
        $out = [];
        foreach ($this->units->counts as $i => $row) {
            if (! isset($rows[$i])) {
                continue;
            }
            [$p, $d, $e] = $rows[$i];
            $out[$i] = ($p - $pa * $d - $pe) / (1 - $pe) - 2 * (1 - $alpha) * ($e - $pe * $d - $pe) / (1 - $pe) - $alpha;
        }

        return $out;
    }

    private function pairedCases(): int
    {
        $cases = [];
        foreach ($this->units->counts as $i => $row) {
            if (array_sum($row) >= 2) {
                $cases[$this->units->caseOf[$i]] = true;
            }
        }

        return count($cases);
    }

    /**
     * Standard error from centred influence values, summed within cases; with one unit a case this is
     * √(Σ d²/(n(n−1))).
     *
     * @param  array<int, float>  $influence  by unit
     */
    private function clustered(array $influence, int $n): float
    {
        $byCase = [];
        foreach ($influence as $i => $d) {
            $case = $this->units->caseOf[$i];
            $byCase[$case] = ($byCase[$case] ?? 0.0) + $d;
        }
        $c = count($byCase);
        $squares = array_sum(array_map(static fn (float $d): float => $d * $d, $byCase));

        return $c < 2 ? 0.0 : sqrt($c / ($c - 1) * $squares) / $n;
    }

    private function jackknife(int $statistic): ?float
    {
        $values = [];
        foreach ($this->sums->byCase as $row) {
            $left = [];
            foreach ($this->sums->total as $i => $v) {
                $left[] = $v - $row[$i];
            }
            $value = $this->sums->statistics($left)[$statistic];
            if (is_nan($value)) {
                return null;
            }
            $values[] = $value;
        }
        $n = count($values);
        if ($n < 2) {
            return null;
        }
        $mean = array_sum($values) / $n;

        return sqrt(($n - 1) / $n * array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)));
    }

    private function studentAt(int $df): float
    {
        return Distribution::studentQuantile(0.5 + $this->confidence / 2, max(1, $df));
    }
}
