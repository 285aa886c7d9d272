<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;

/**
 * Monotone cubic interpolation through knots (Fritsch & Carlson 1980): once differentiable, no overshoot
 * between knots, flat at a knot where the direction turns; constant beyond the ends.
 */
final readonly class Curve
{
    /** @var list<float> */
    private array $x;

    /** @var list<float> */
    private array $y;

    /** @var list<float> */
    private array $slopes;

    /**
     * @param  list<array{float, float}>  $knots time and value, times strictly increasing
     *
     * @throws CoreException
     */
    public function __construct(array $knots)
    {
        $this->x = array_column($knots, 0);
        $this->y = array_column($knots, 1);
        $n = count($knots);
        if ($n < 2) {
            throw MotionException::because('few-knots');
        }
        $h = $d = [];
        for ($i = 0; $i < $n - 1; $i++) {
            $h[$i] = $this->x[$i + 1] - $this->x[$i];
            if ($h[$i] <= 0.0) {
                throw MotionException::because('knot-order');
            }
            $d[$i] = ($this->y[$i + 1] - $this->y[$i]) / $h[$i];
        }
        $m = [0.0];
        for ($i = 1; $i < $n - 1; $i++) {
            if ($d[$i - 1] * $d[$i] <= 0.0) {
                $m[$i] = 0.0;
            } else {
                $a = 2 * $h[$i] + $h[$i - 1];
                $b = $h[$i] + 2 * $h[$i - 1];
                $m[$i] = ($a + $b) / ($a / $d[$i - 1] + $b / $d[$i]);
            }
        }
        $m[] = 0.0;
        $this->slopes = array_values($m);
    }

    public function at(float $t): float
    {
        $i = 0;

        return $this->from($t, $i);
    }

    /** @param  int  $i the segment to look from; left at the segment found */
    private function from(float $t, int &$i): float
    {
        $last = count($this->x) - 1;
        if ($t <= $this->x[0]) {
            return $this->y[0];
        }
        if ($t >= $this->x[$last]) {
            return $this->y[$last];
        }
        while ($this->x[$i + 1] < $t) {
            $i++;
        }
        $h = $this->x[$i + 1] - $this->x[$i];
        $s = ($t - $this->x[$i]) / $h;
        $s2 = $s * $s;
        $s3 = $s2 * $s;

        return (2 * $s3 - 3 * $s2 + 1) * $this->y[$i] + ($s3 - 2 * $s2 + $s) * $h * $this->slopes[$i]
            + (-2 * $s3 + 3 * $s2) * $this->y[$i + 1] + ($s3 - $s2) * $h * $this->slopes[$i + 1];
    }

    /** @return list<float> values at n evenly spaced times from $t0 */
    public function sample(int $n, float $rateHz, float $t0 = 0.0): array
    {
        $out = [];
        $segment = 0;
        for ($i = 0; $i < $n; $i++) {
            $out[] = $this->from($t0 + $i / $rateHz, $segment);
        }

        return $out;
    }
}
