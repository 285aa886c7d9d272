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

/**
 * One rater against the key: the two-by-two table case by case, and what follows from it.
 *
 * Sensitivity, specificity and predictive values with Wilson intervals; Youden's index (1950) with an interval from
 * these
 * two (Newcombe 1998, method 10); Matthews' correlation (1975) with a jackknife over cases; signal detection; Cohen's
 * κ; Brier score of the stated confidence.
 */
final class KeyTable
{
    public const BITS = 15;

    public const MASK = 0x7FFF;

    /** @var array<int, int> tp, fn, fp, tn of each cluster in fields of BITS, by rank */
    private array $byCluster = [];

    /** @var array{int, int, int, int} tp, fn, fp, tn */
    private array $cells = [0, 0, 0, 0];

    private readonly BrierScore $brier;

    /** @var array<int, array{int, float}> how many stated a confidence, and the sum of their scores, by rank */
    private array $scores = [];

    public function __construct()
    {
        $this->brier = new BrierScore;
    }

    /** @param  int  $cluster  rank of the cluster */
    public function add(int $cluster, bool $called, bool $true, ?float $confidence = null): void
    {
        $cell = $true ? ($called ? 0 : 1) : ($called ? 2 : 3);
        $this->byCluster[$cluster] = ($this->byCluster[$cluster] ?? 0) + (1 << (self::BITS * $cell));
        $this->cells[$cell]++;
        if ($confidence !== null) {
            $p = $called ? $confidence : 1 - $confidence;
            $this->brier->add($p, $true);
            $this->scores[$cluster] ??= [0, 0.0];
            $this->scores[$cluster][0]++;
            $this->scores[$cluster][1] += ($p - ($true ? 1.0 : 0.0)) ** 2;
        }
    }

    /** Takes up another table of the same rater. */
    public function merge(self $other): void
    {
        foreach ($other->byCluster as $cluster => $word) {
            $this->byCluster[$cluster] = ($this->byCluster[$cluster] ?? 0) + $word;
        }
        foreach ($other->cells as $i => $n) {
            $this->cells[$i] += $n;
        }
        foreach ($other->scores as $cluster => [$n, $sum]) {
            $own = $this->scores[$cluster] ?? [0, 0.0];
            $this->scores[$cluster] = [$own[0] + $n, $own[1] + $sum];
        }
        $this->brier->merge($other->brier);
    }

    public function n(): int
    {
        return array_sum($this->cells);
    }

    /** @return array{int, int, int, int} tp, fn, fp, tn */
    public function cells(): array
    {
        return $this->cells;
    }

    /** @return array<int, int> tp, fn, fp, tn of each cluster in fields of BITS, by rank */
    public function byCluster(): array
    {
        return $this->byCluster;
    }

    public function brier(): BrierScore
    {
        return $this->brier;
    }

    /** The same where clusters hold several calls. */
    public function clustered(Confidence $confidence = new Confidence): ClusteredKey
    {
        $scores = $this->scores;
        ksort($scores);

        return new ClusteredKey(
            array_values($this->cellsByCluster()),
            array_values($scores),
            $confidence,
        );
    }

    /** @return array<int, array{int, int, int, int}> tp, fn, fp, tn by rank of the cluster */
    public function cellsByCluster(): array
    {
        return array_map(self::unpacked(...), $this->byCluster);
    }

    /**
     * A mean over units, by leaving out each cluster.
     *
     * @param  list<array{int, float}>  $sums  units and the sum of their scores, each in [0, 1], by cluster
     */
    public static function mean(array $sums, Confidence $confidence): Figure
    {
        $n = array_sum(array_column($sums, 0));
        if ($n === 0) {
            return Figure::undefined(Undefined::NothingToCompare);
        }
        $sum = array_sum(array_column($sums, 1));
        $left = array_map(static fn (array $s): float => $n > $s[0] ? ($sum - $s[1]) / ($n - $s[0]) : NAN, $sums);

        return ClusterError::clustered(
            $sum / $n,
            $left,
            Clusters::ofSizes(array_column($sums, 0)),
            $confidence,
            static fn (): ?array => null,
            0.0,
        );
    }

    /** @return array{int, int, int, int} */
    private static function unpacked(int $word): array
    {
        return [$word & self::MASK, $word >> 15 & self::MASK, $word >> 30 & self::MASK, $word >> 45];
    }

    /** @return array<string, Figure> where each cluster holds one call */
    public function figures(Confidence $confidence = new Confidence): array
    {
        [$tp, $fn, $fp, $tn] = $this->cells;
        $signal = new SignalDetection($tp, $fn, $fp, $tn, $confidence);
        $values = self::statistics($tp, $fn, $fp, $tn, false);

        return [
            'sensitivity' => Wilson::figure($tp, $tp + $fn, $confidence, Undefined::NoPositive),
            'specificity' => Wilson::figure($tn, $tn + $fp, $confidence, Undefined::NoNegative),
            'ppv' => Wilson::figure($tp, $tp + $fp, $confidence, Undefined::NoneCalledPositive),
            'npv' => Wilson::figure($tn, $tn + $fn, $confidence, Undefined::NoneCalledNegative),
            'youden' => is_nan($values[0])
                ? Figure::undefined(Undefined::OneSidedKey)
                : self::youden($tp, $fn, $fp, $tn, $confidence),
            'mcc' => is_nan($values[1])
                ? Figure::undefined(Undefined::EmptyMargin)
                : self::apart($values[1], array_column($this->leaveOneOut(false), 1), $confidence),
            'd_prime' => $signal->dPrime,
            'criterion' => $signal->criterion,
            'cohen_kappa' => (new CohenKappa([$tp, $fp, $fn, $tn], $confidence))->kappa(),
            'brier' => $this->brier->figure($confidence),
        ];
    }

    /** J ∓ √(distances of sensitivity and specificity to their own ends, squared and added). */
    private static function youden(int $tp, int $fn, int $fp, int $tn, Confidence $confidence): Figure
    {
        [$hit, $right] = [(float) $tp / ($tp + $fn), (float) $tn / ($tn + $fp)];
        [$l1, $u1] = Wilson::interval($tp, $tp + $fn, $confidence);
        [$l2, $u2] = Wilson::interval($tn, $tn + $fp, $confidence);
        $j = $hit + $right - 1;

        return Figure::estimated(
            $j,
            sqrt(($hit * (1 - $hit)) / ($tp + $fn) + ($right * (1 - $right)) / ($tn + $fp)),
            max(-1.0, $j - hypot($hit - $l1, $right - $l2)),
            min(1.0, $j + hypot($u1 - $hit, $u2 - $right)),
            'wilson',
        );
    }

    /**
     * A figure by the jackknife; without an interval where that would have no width.
     *
     * @param  list<float>  $left
     */
    private static function apart(float $value, array $left, Confidence $confidence): Figure
    {
        $figure = ClusterError::jackknifed($value, $left, $confidence);

        return $figure->se === 0.0 ? Figure::estimated($value, null, null, null, 'point') : $figure;
    }

    /**
     * Youden's J = sensitivity + specificity − 1; MCC = (TP·TN − FP·FN)/√((TP+FP)(TP+FN)(TN+FP)(TN+FN)), NAN where a
     * factor is 0.
     *
     * @param  bool  $all  with the sensitivity, specificity and predictive values
     * @return non-empty-list<float> youden, mcc, and of all sensitivity, specificity, ppv, npv
     */
    public static function statistics(int $tp, int $fn, int $fp, int $tn, bool $all): array
    {
        $p = $tp + $fn;
        $q = $fp + $tn;
        $called = $tp + $fp;
        $not = $fn + $tn;
        $truths = $p * $q;
        $calls = $called * $not;
        $youden = $truths > 0 ? (float) $tp / $p + (float) $tn / $q - 1 : NAN;
        $mcc = $truths > 0 && $calls > 0 ? ($tp * $tn - $fp * $fn) / (sqrt($truths) * sqrt($calls)) : NAN;

        return $all
            ? [
                $youden,
                $mcc,
                $p > 0 ? (float) $tp / $p : NAN,
                $q > 0 ? (float) $tn / $q : NAN,
                $called > 0 ? (float) $tp / $called : NAN,
                $not > 0 ? (float) $tn / $not : NAN,
            ]
            : [$youden, $mcc];
    }

    /** @return list<list<float>> the statistics without one cluster, for each cluster of the rater */
    public function leaveOneOut(bool $all): array
    {
        [$tp, $fn, $fp, $tn] = $this->cells;
        $out = $known = [];
        foreach ($this->byCluster as $word) {
            $out[] = $known[$word] ??= self::statistics(
                $tp - ($word & self::MASK),
                $fn - (($word >> 15) & self::MASK),
                $fp - (($word >> 30) & self::MASK),
                $tn - ($word >> 45),
                $all,
            );
        }

        return $out;
    }
}
