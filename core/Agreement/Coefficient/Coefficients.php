<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CaseBootstrap;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;
use Core\Agreement\Wilson;

/**
 * The count-based coefficients of one item with analytic standard errors ("cases sampled, raters as they are").
 *
 * percent agreement; Fleiss' κ (Fleiss 1971, missing ratings after Gwet 2014); AC1 and AC2 (Gwet 2008, 2014);
 * Brennan–Prediger (1981); nominal α (Krippendorff 2004; se after Gwet 2014); specific agreement (Cicchetti &
 * Feinstein 1990) with a jackknife over cases. Where units are pooled over items, the influence values of one
 * case's units are added before they are squared, so that cases stay the sampled clusters.
 */
final readonly class Coefficients
{
    public function __construct(
        private ItemTable $table,
        private CountSums $sums,
        private Weights $weights,
        private Confidence $confidence = new Confidence(),
    ) {
    }

    /**
     * @param  CaseBootstrap|null  $bootstrap  for BCa intervals
     * @return array{array<string, Figure>, list<Figure>} the coefficients by CountSums::NAMES, and the specific
     *     agreement by category
     */
    public function figures(?CaseBootstrap $bootstrap): array
    {
        $values = $this->sums->estimates();
        $left = $this->sums->leaveOneOut();
        $perfect = $this->table->isPerfect();
        $figures = [];
        foreach ([...CountSums::NAMES, ...array_fill(0, $this->table->q, 'specific')] as $i => $name) {
            $figures[] = match (true) {
                ! is_nan($values[$i]) => $name === 'specific'
                    ? $this->specific($i - 5, $values[$i], array_column($left, $i))
                    : $this->figure($name, $values[$i], $perfect),
                $name === 'specific' => Figure::undefined(
                    $this->table->paired === 0 ? Undefined::NoPairs : Undefined::NoPairsOfCategory,
                ),
                default => Figure::undefined(self::why($this->table)),
            };
        }
        if ($bootstrap !== null && ! $perfect && $this->table->cases > 1) {
            foreach ($bootstrap->intervals($this->sums, $this->confidence->level, $left) as $i => $interval) {
                if ($interval !== null && $figures[$i]->low !== null && $interval->low < $interval->high) {
                    $figures[$i] = $figures[$i]->within($interval->low, $interval->high, $interval->method);
                }
            }
        }

        return [array_combine(CountSums::NAMES, array_slice($figures, 0, 5)), array_slice($figures, 5)];
    }

    /**
     * Specific agreement by the jackknife; where nobody ever differs, or everybody always, Wilson's bound on the units
     * in which the category occurs.
     *
     * @param  list<float>  $left
     */
    private function specific(int $category, float $value, array $left): Figure
    {
        $figure = self::jackknifed($value, $left, $this->confidence, 0.0);
        // A share of equal whole numbers is exactly 1, of none exactly 0.
        if (($value !== 0.0 && $value !== 1.0) || $this->table->cases < 2) {
            return $figure;
        }
        $n = 0;
        foreach ($this->table->r as $u => $r) {
            $n += $r >= 2 && $this->table->counts[$u * $this->table->q + $category] > 0 ? 1 : 0;
        }
        $z = $this->confidence->z ** 2;

        return $value > 0.5
            ? $figure->within($n / ($n + $z), 1.0, 'perfect-agreement bound')
            : $figure->within(0.0, $z / ($n + $z), 'perfect-agreement bound');
    }

    /** Why the chance-corrected figures of a table are undefined. */
    public static function why(ItemTable $table): Undefined
    {
        return match (true) {
            $table->paired === 0 => Undefined::NoPairs,
            $table->q === 1 => Undefined::OneCategory,
            default => Undefined::AllRatingsSame,
        };
    }

    private function figure(string $name, float $estimate, bool $perfect): Figure
    {
        $alpha = $name === 'krippendorff_alpha';
        [$pe, $influence] = $alpha ? $this->alphaInfluence() : $this->influence($name, $estimate);
        $n = $alpha ? $this->table->paired : $this->table->units;
        $figure = self::clustered($estimate, $influence, $this->table->caseOf, $n, $this->confidence);

        return $perfect && $figure->low !== null
            ? $figure->within(
                self::perfectLow($this->table->paired, $pe, $this->confidence),
                1.0,
                'perfect-agreement bound',
            )
            : $figure;
    }

    /** The lower end at perfect agreement: Wilson's bound for n2 of n2, put through the coefficient's own scale. */
    public static function perfectLow(int $n2, float $pe, Confidence $confidence): float
    {
        $z = $confidence->z;
        $l = $n2 / ($n2 + $z * $z);

        return max(-1.0, ($l - $pe) / (1 - $pe));
    }

    /**
     * κ_i = (n/n2)(a_i − p_e 1_i)/(1−p_e) − 2(1−κ)(e_i − p_e)/(1−p_e), centred.
     *
     * @return array{float, list<float>} the chance term, and the influence by unit
     */
    private function influence(string $name, float $kappa): array
    {
        $t = $this->table;
        $q = $t->q;
        $w = $this->weights;
        if ($name === 'percent_agreement') {
            $w = Weights::identity($q);
            $weight = array_fill(0, $q, 0.0);
            $pe = 0.0;
        } else {
            // e_i is the mean over the unit's ratings of a weight per category.
            $pi = $this->sums->proportions();
            $weight = [];
            $pe = 0.0;
            for ($k = 0; $k < $q; $k++) {
                $near = 0.0;
                for ($l = 0; $l < $q; $l++) {
                    $near += $w->w[$k * $q + $l] * $pi[$l];
                }
                $weight[] = match ($name) {
                    'fleiss_kappa' => $near,
                    'gwet_ac' => $w->total / ($q * ($q - 1)) * (1 - $pi[$k]),
                    default => $w->total / ($q * $q),
                };
                $pe += $pi[$k] * $weight[$k];
            }
        }
        $out = [];
        foreach ($t->r as $u => $r) {
            $a = $one = $e = 0.0;
            if ($r >= 2) {
                $a = CountSums::agreement($t->counts, $u * $q, $r, $w);
                $one = 1.0;
            }
            for ($k = 0; $k < $q; $k++) {
                $e += $weight[$k] * $t->counts[$u * $q + $k] / $r;
            }
            $out[] =
                (((float) $t->units / $t->paired) * ($a - $pe * $one)) / (1 - $pe) -
                (2 * (1 - $kappa) * ($e - $pe)) / (1 - $pe) -
                $kappa;
        }

        return [$pe, $out];
    }

    /**
     * Influence of each unit on nominal α, centred; units with a single rating have none.
     *
     * @return array{float, array<int, float>} the chance term, and the influence by unit
     */
    private function alphaInfluence(): array
    {
        $t = $this->table;
        $q = $t->q;
        $all = 0;
        $share = array_fill(0, $q, 0);
        foreach ($t->r as $u => $r) {
            if ($r >= 2) {
                $all += $r;
                for ($k = 0; $k < $q; $k++) {
                    $share[$k] += $t->counts[$u * $q + $k];
                }
            }
        }
        $share = array_map(static fn (int $n): float => (float) $n / $all, $share);
        $pe = array_sum(array_map(static fn (float $p): float => $p * $p, $share));
        $mean = (float) $all / $t->paired;
        $identity = Weights::identity($q);
        $rows = [];
        $sum = 0.0;
        foreach ($t->r as $u => $r) {
            if ($r >= 2) {
                $p = CountSums::agreement($t->counts, $u * $q, $r, $identity) * $r / $mean;
                $e = 0.0;
                for ($k = 0; $k < $q; $k++) {
                    $e += $share[$k] * $t->counts[$u * $q + $k] / $mean;
                }
                $rows[$u] = [$p, ($r - $mean) / $mean, $e];
                $sum += $p;
            }
        }
        $raw = $sum / $t->paired;
        $pa = (1 - 1.0 / $all) * $raw + 1.0 / $all;
        $alpha = ($raw - $pe) / (1 - $pe);

        return [
            $pe,
            array_map(
                static fn (array $v): float => ($v[0] - $pa * $v[1] - $pe) / (1 - $pe) -
                    (2 * (1 - $alpha) * ($v[2] - $pe * $v[1] - $pe)) / (1 - $pe) -
                    $alpha,
                $rows,
            ),
        ];
    }

    /**
     * A figure whose error comes from centred influence values, summed within cases, with Student's interval on the
     * cases; with one unit a case the error is √(Σd²/(n(n−1))).
     *
     * @param  array<int, float>  $influence  by unit
     * @param  list<int>  $caseOf  by unit
     */
    public static function clustered(
        float $estimate,
        array $influence,
        array $caseOf,
        int $n,
        Confidence $confidence,
    ): Figure {
        $byCase = [];
        foreach ($influence as $u => $d) {
            $case = $caseOf[$u];
            $byCase[$case] = ($byCase[$case] ?? 0.0) + $d;
        }
        $c = count($byCase);
        if ($c < 2) {
            return Figure::of($estimate, null, null, null, 'point');
        }
        $squares = 0.0;
        foreach ($byCase as $d) {
            $squares += $d * $d;
        }

        return Figure::around(
            $estimate,
            sqrt(((float) $c / ($c - 1)) * $squares) / $n,
            $confidence->t($c - 1),
            'analytic',
        );
    }

    /**
     * A figure whose error comes from leaving out each case in turn (Efron & Stein 1981), with Student's interval.
     *
     * @param  list<float>  $left  the statistic without each case
     */
    public static function jackknifed(float $estimate, array $left, Confidence $confidence, float $floor = -1.0): Figure
    {
        $n = count($left);
        $mean = $n === 0 ? NAN : array_sum($left) / $n;
        $squares = 0.0;
        foreach ($left as $v) {
            $squares += ($v - $mean) * ($v - $mean);
        }
        if ($n < 2 || is_nan($squares)) {
            return Figure::of($estimate, null, null, null, 'point');
        }

        return Figure::around(
            $estimate,
            sqrt(((float) ($n - 1) / $n) * $squares),
            $confidence->t($n - 1),
            'jackknife',
            $floor,
        );
    }
}
