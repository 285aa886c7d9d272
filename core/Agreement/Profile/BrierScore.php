<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;

/**
 * How well stated confidence holds: the Brier score and its three parts (Murphy 1973), and the calibration curve.
 *
 * Σ(p − y)²/n = reliability − resolution + uncertainty, with one bin for each distinct p:
 * reliability Σ n_b(p_b − ȳ_b)²/n, resolution Σ n_b(ȳ_b − ȳ)²/n, uncertainty ȳ(1 − ȳ).
 */
final class BrierScore
{
    /** @var array<int|string, array{float, int, int}> p, how many, how many came true, by p */
    private array $bins = [];

    private int $n = 0;

    private float $sum = 0.0;

    private float $squares = 0.0;

    /** @param  float  $p  belief that the positive holds, in [0, 1] */
    public function add(float $p, bool $true): void
    {
        $id = sprintf('%.12F', $p);
        $this->bins[$id] ??= [$p, 0, 0];
        $this->bins[$id][1]++;
        $this->bins[$id][2] += $true ? 1 : 0;
        $this->n++;
        $score = ($p - ($true ? 1.0 : 0.0)) ** 2;
        $this->sum += $score;
        $this->squares += $score * $score;
    }

    public function merge(self $other): void
    {
        foreach ($other->bins as $id => [$p, $n, $true]) {
            $this->bins[$id] ??= [$p, 0, 0];
            $this->bins[$id][1] += $n;
            $this->bins[$id][2] += $true;
        }
        $this->n += $other->n;
        $this->sum += $other->sum;
        $this->squares += $other->squares;
    }

    /** Mean score with Student's interval, within [0, 1]. */
    public function figure(Confidence $confidence): Figure
    {
        if ($this->n === 0) {
            return Figure::undefined(Undefined::NoConfidence);
        }
        $mean = $this->sum / $this->n;
        if ($this->n < 2) {
            return Figure::estimated($mean, null, null, null, 'point');
        }
        $se = sqrt(max(0.0, $this->squares - $this->n * $mean * $mean) / ($this->n * ($this->n - 1)));

        return Figure::around($mean, $se, $confidence->t($this->n - 1), 'analytic', 0.0);
    }

    /** @return array{reliability: float, resolution: float, uncertainty: float}|null null where nothing was stated */
    public function parts(): ?array
    {
        if ($this->n === 0) {
            return null;
        }
        $base = (float) array_sum(array_column($this->bins, 2)) / $this->n;
        $reliability = $resolution = 0.0;
        foreach ($this->bins as [$p, $n, $true]) {
            $reliability += (float) $n * ($p - (float) $true / $n) ** 2 / $this->n;
            $resolution += (float) $n * ((float) $true / $n - $base) ** 2 / $this->n;
        }

        return ['reliability' => $reliability, 'resolution' => $resolution, 'uncertainty' => $base * (1 - $base)];
    }

    /**
     * How often each stated belief came true, with Wilson's interval; by rising belief.
     *
     * @return list<array{p: float, n: int, true: int, share: float, low: float, high: float}>
     */
    public function calibration(Confidence $confidence = new Confidence): array
    {
        $bins = $this->bins;
        ksort($bins, SORT_STRING);
        $out = [];
        foreach ($bins as [$p, $n, $true]) {
            [$low, $high] = Wilson::interval($true, $n, $confidence);
            $out[] = [
                'p' => $p,
                'n' => $n,
                'true' => $true,
                'share' => (float) $true / $n,
                'low' => $low,
                'high' => $high,
            ];
        }

        return $out;
    }
}
