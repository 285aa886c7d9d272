<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * One rater against the key: the two-by-two table per case and what follows from it.
 *
 * Sensitivity, specificity and predictive values with Wilson intervals; Youden's index and MCC with a case
 * bootstrap; d′ and criterion c with the log-linear correction and its delta-method error (Hautus 1995);
 * Brier score of the stated confidence. Where units are pooled over items their intervals come from the
 * case bootstrap, since the units of one case are not independent.
 */
final class KeyTable
{
    /** @var array<int, array{int, int, int, int}> tp, fn, fp, tn by case */
    private array $byCase = [];

    /** @var list<array{float, bool}> confidence that the positive holds, and whether it does */
    private array $beliefs = [];

    private int $n = 0;

    public function add(int $case, bool $called, bool $true, ?float $confidence = null): void
    {
        $cell = $true ? ($called ? 0 : 1) : ($called ? 2 : 3);
        $this->byCase[$case] ??= [0, 0, 0, 0];
        $this->byCase[$case][$cell]++;
        $this->n++;
        if ($confidence !== null) {
            $this->beliefs[] = [$called ? $confidence : 1 - $confidence, $true];
        }
    }

    public function n(): int
    {
        return $this->n;
    }

    /** @return array{int, int, int, int} tp, fn, fp, tn */
    public function cells(): array
    {
        $out = [0, 0, 0, 0];
        foreach ($this->byCase as $cells) {
            foreach ($cells as $i => $v) {
                $out[$i] += $v;
            }
        }

        return $out;
    }

    /**
     * @param  CaseBootstrap|null  $bootstrap  for Youden and MCC; and, when $pooled, for the proportions
     * @return array<string, Figure>
     */
    public function figures(float $confidence, ?CaseBootstrap $bootstrap, bool $pooled = false): array
    {
        [$tp, $fn, $fp, $tn] = $this->cells();
        $out = [
            'sensitivity' => Wilson::figure($tp, $tp + $fn, $confidence, 'the key has no positive among the cases rated'),
            'specificity' => Wilson::figure($tn, $tn + $fp, $confidence, 'the key has no negative among the cases rated'),
            'ppv' => Wilson::figure($tp, $tp + $fp, $confidence, 'nothing was called positive'),
            'npv' => Wilson::figure($tn, $tn + $fn, $confidence, 'nothing was called negative'),
            'youden' => $tp + $fn === 0 || $tn + $fp === 0
                ? Figure::undefined('needs positives and negatives in the key')
                : Figure::of($tp / ($tp + $fn) + $tn / ($tn + $fp) - 1, null, null, null, 'point'),
            'mcc' => $this->mcc($tp, $fn, $fp, $tn),
            ...$this->signalDetection($tp, $fn, $fp, $tn, $confidence),
            'cohen_kappa' => (new CohenKappa([[$tp, $fp], [$fn, $tn]], $confidence))->kappa(),
            'brier' => $this->brier($confidence),
        ];
        if ($bootstrap !== null) {
            $names = $pooled ? ['sensitivity', 'specificity', 'ppv', 'npv', 'youden', 'mcc'] : ['youden', 'mcc'];
            foreach ($bootstrap->intervals($this->byCase, static fn (array $s): array => self::ratios($s, $names), array_map(static fn (string $n): ?float => $out[$n]->estimate, $names), $confidence) as $i => $interval) {
                if ($interval !== null && $out[$names[$i]]->estimate !== null && $interval[0] < $interval[1]) {
                    $out[$names[$i]] = $out[$names[$i]]->within(...$interval);
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<float>  $s  tp, fn, fp, tn
     * @param  list<string>  $names
     * @return list<float>
     */
    private static function ratios(array $s, array $names): array
    {
        [$tp, $fn, $fp, $tn] = $s;
        $over = static fn (float $a, float $b): float => $b > 0.0 ? $a / $b : NAN;
        $out = [];
        foreach ($names as $name) {
            $out[] = match ($name) {
                'sensitivity' => $over($tp, $tp + $fn),
                'specificity' => $over($tn, $tn + $fp),
                'ppv' => $over($tp, $tp + $fp),
                'npv' => $over($tn, $tn + $fn),
                'youden' => $over($tp, $tp + $fn) + $over($tn, $tn + $fp) - 1,
                default => $over($tp * $tn - $fp * $fn, sqrt(($tp + $fp) * ($tp + $fn) * ($tn + $fp) * ($tn + $fn))),
            };
        }

        return $out;
    }

    private function mcc(int $tp, int $fn, int $fp, int $tn): Figure
    {
        if (($tp + $fp) * ($tp + $fn) * ($tn + $fp) * ($tn + $fn) === 0) {
            return Figure::undefined('a row or column of the table is empty');
        }

        return Figure::of(self::ratios([$tp, $fn, $fp, $tn], ['mcc'])[0], null, null, null, 'point');
    }

    /** @return array{d_prime: Figure, criterion: Figure} */
    private function signalDetection(int $tp, int $fn, int $fp, int $tn, float $confidence): array
    {
        $p = $tp + $fn;
        $q = $fp + $tn;
        if ($p === 0 || $q === 0) {
            $none = Figure::undefined('needs positives and negatives in the key');

            return ['d_prime' => $none, 'criterion' => $none];
        }
        $h = ($tp + 0.5) / ($p + 1);
        $f = ($fp + 0.5) / ($q + 1);
        $zh = Distribution::normalQuantile($h);
        $zf = Distribution::normalQuantile($f);
        $variance = $h * (1 - $h) / ($p * Distribution::normalDensity($zh) ** 2) + $f * (1 - $f) / ($q * Distribution::normalDensity($zf) ** 2);
        $z = Distribution::normalQuantile(0.5 + $confidence / 2);

        return [
            'd_prime' => Figure::around($zh - $zf, sqrt($variance), $z, 'analytic', -INF, INF),
            'criterion' => Figure::around(-($zh + $zf) / 2, sqrt($variance) / 2, $z, 'analytic', -INF, INF),
        ];
    }

    private function brier(float $confidence): Figure
    {
        $n = count($this->beliefs);
        if ($n === 0) {
            return Figure::undefined('no confidence was stated');
        }
        $scores = array_map(static fn (array $b): float => ($b[0] - ($b[1] ? 1.0 : 0.0)) ** 2, $this->beliefs);
        $mean = array_sum($scores) / $n;
        if ($n < 2) {
            return Figure::of($mean, null, null, null, 'point');
        }
        $se = sqrt(array_sum(array_map(static fn (float $s): float => ($s - $mean) ** 2, $scores)) / ($n * ($n - 1)));

        return Figure::around($mean, $se, Distribution::studentQuantile(0.5 + $confidence / 2, $n - 1), 'analytic', 0.0);
    }
}
