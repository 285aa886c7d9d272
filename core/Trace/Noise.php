<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/**
 * The noise of one recording's quantity, told from the recording itself: its level and for how long it remembers
 * itself, as a first-order autoregression.
 *
 * Looked for in the stillest half second, where what is slower than some five cycles a second is the golfer: the
 * residual about a quadratic over ± 0.1 s, in two bands that a shorter smoothing divides. The ratio of the bands tells
 * the memory, both the level. What the device's class says of itself counts like PRIOR degrees of freedom, so that half
 * a second's luck does not carry it off.
 */
final class Noise
{
    private const STRETCH = 0.5;

    private const LONG = 0.12;

    private const LONGEST_MEMORY = 0.06;

    private const PRIOR = 6.0;

    /** How much too low the slower band comes out, per second of memory, by simulated stretches. */
    private const LUCK = 5.0;

    /** The shortest stretch that tells of a wandering zero, s. */
    private const LEAST = 0.3;

    /** A memory that halves what a stretch is worth, s. */
    private const MOMENT = 0.010;

    /** @var array<string, list<float>> */
    private static array $kernels = [];

    /**
     * @param  float  $sd  of one sample
     * @param  float  $memory  s; 0 for white
     * @param  float  $freedom  degrees of freedom behind the level
     */
    public function __construct(
        public readonly float $rateHz,
        public readonly float $sd,
        public readonly float $memory = 0.0,
        public readonly float $freedom = 1e6,
    ) {
    }

    /**
     * @param  float  $short  half-width of the smoothing that divides the bands, s
     * @param  float  $classSd  what the device class says
     * @param  float|null  $until  when the golfer begins to move, s, where that is known and early enough to look
     *     before
     *
     * @throws CoreException
     */
    public static function of(Series $raw, float $short, float $classSd, ?float $until = null): self
    {
        if ($until !== null && $until - $raw->t0 > self::STRETCH + 2.0 * self::LONG) {
            $raw = $raw->before($until);
        }
        $rate = $raw->rateHz;
        $a = $raw->smoothed($short)->values;
        $b = $raw->smoothed(self::LONG)->values;
        $edge = (int) round(self::LONG * $rate);
        $n = count($a);
        $width = (int) round(self::STRETCH * $rate);
        $at = self::stillest($b, $edge, min($width, $n - 2 * $edge));
        if ($at === null || $classSd <= 0.0) {
            return new self($rate, $classSd, 0.0, self::PRIOR);
        }
        [$from, $count] = $at;
        $v = [0.0, 0.0];
        for ($i = $from; $i < $from + $count; $i++) {
            $v[0] += ($raw->values[$i] - $a[$i]) ** 2 / $count;
            $v[1] += ($a[$i] - $b[$i]) ** 2 / $count;
        }
        $kernels = self::bands($rate, $short);
        $free = [0.8 * $count, self::band($short, $count / $rate)];
        $weighs = self::PRIOR;
        foreach ($v as $i => $seen) {
            $prior = $classSd ** 2 * $kernels[$i][0];
            // A class that is plainly wrong about this one has no say.
            $weighs = self::PRIOR * min(1.0, (1.5 * $prior / max(1e-12, $seen)) ** 2);
            $v[$i] = ($weighs * $prior + $free[$i] * $seen) / ($weighs + $free[$i]);
        }
        $v[1] *= 1.0 + self::LUCK * self::memory($kernels, $rate, $v[1] / max(1e-12, $v[0]));
        $memory = self::memory($kernels, $rate, $v[1] / max(1e-12, $v[0]));
        $keep = $memory > 0.0 ? exp(-1.0 / ($rate * $memory)) : 0.0;
        $share = self::variance($kernels[0], $keep) + self::variance($kernels[1], $keep);

        return new self(
            $rate,
            sqrt(($v[0] + $v[1]) / max(1e-12, $share)),
            $memory,
            // The longer the memory, the fewer independent moments a stretch holds.
            $weighs + self::band(max($short, $memory), $count / $rate) / (1.0 + $memory / self::MOMENT),
        );
    }

    /** Independent values of what a band between two smoothings holds in so many seconds. */
    private static function band(float $short, float $span): float
    {
        return max(1.0, 0.94 * $span * (1.0 / $short - 1.0 / self::LONG));
    }

    /** Standard deviations to a 95 % half-width: more than 1.96 where the level itself is only estimated. */
    public function factor(): float
    {
        return 1.96 * (1.0 + 1.2 / $this->freedom);
    }

    /**
     * Half-width of the 95 % range of a value read between two samples: of white noise two thirds of the variance, over
     * all places between them.
     */
    public function between(): float
    {
        return $this->factor() * $this->sd * sqrt((2.0 + $this->keeps()) / 3.0);
    }

    /** Standard deviation that smoothing over ± so many seconds leaves. */
    public function smoothed(float $halfWidth): float
    {
        $m = Series::half($halfWidth, $this->rateHz);
        $kernel = self::$kernels["s|$m"] ??= self::correlated(Series::weights($m));

        return $this->sd * sqrt(self::variance($kernel, $this->keeps()));
    }

    /** Standard deviation of the derivative by the same filter, per second. */
    public function slope(float $halfWidth): float
    {
        $m = Series::half($halfWidth, $this->rateHz);
        $kernel = self::$kernels["d|$m"] ??= self::correlated(Series::slopeWeights($m));

        return $this->sd * $this->rateHz * sqrt(self::variance($kernel, $this->keeps()));
    }

    /** Standard deviation of the mean over so many seconds. */
    public function mean(float $span): float
    {
        $n = max(1, (int) round($span * $this->rateHz));
        $keep = $this->keeps();
        $long = $keep > 0.0 ? (1.0 + $keep) / (1.0 - $keep) : 1.0;

        return $this->sd * sqrt(min(1.0, $long / $n));
    }

    public function times(float $factor): self
    {
        return new self($this->rateHz, $factor * $this->sd, $this->memory, $this->freedom);
    }

    /**
     * How fast a zero may wander, per second, half-width of 95 %: the slope of a stretch in which nothing should happen
     * and that slope's own error; null where the stretch is too short to tell.
     */
    public function wanders(Series $still, float $from, float $to): ?float
    {
        $at = $values = [];
        $last = (int) floor(($to - $from) * $still->rateHz + 1e-6);
        for ($i = 0; $i <= $last; $i++) {
            $t = $from + $i / $still->rateHz;
            $v = $still->at($t);
            if ($v !== null) {
                $at[] = $t;
                $values[] = $v;
            }
        }
        $n = count($at);
        if ($n < 20 || $to - $from < self::LEAST) {
            return null;
        }
        [$middle, $level] = [array_sum($at) / $n, array_sum($values) / $n];
        $along = $spread = 0.0;
        foreach ($at as $i => $t) {
            $along += ($t - $middle) * ($values[$i] - $level);
            $spread += ($t - $middle) ** 2;
        }
        $keep = $this->keeps();

        // A slope that is seen goes one way for certain: it and its error add up.
        return abs($along / $spread)
            + $this->factor() * $this->sd * sqrt((1.0 + $keep) / (1.0 - $keep) / $spread);
    }

    private function keeps(): float
    {
        return $this->memory > 0.0 ? exp(-1.0 / ($this->rateHz * $this->memory)) : 0.0;
    }

    /**
     * The stretch of so many samples over which a calm curve moves least: it is chosen by what the noise is not told
     * by.
     *
     * @param  list<float>  $calm
     * @return array{int, int}|null where it begins and its length
     */
    private static function stillest(array $calm, int $edge, int $width): ?array
    {
        if ($width < 12) {
            return null;
        }
        $best = null;
        $sum = $squares = 0.0;
        $held = 0;
        $least = INF;
        $middle = $calm[$edge];
        $end = count($calm) - $edge;
        for ($i = $edge; $i < $end; $i++) {
            if (is_nan($calm[$i])) {
                [$sum, $squares, $held] = [0.0, 0.0, 0];

                continue;
            }
            $middle = is_nan($middle) ? $calm[$i] : $middle;
            $d = $calm[$i] - $middle;
            $sum += $d;
            $squares += $d * $d;
            if (++$held > $width) {
                $d = $calm[$i - $width] - $middle;
                $sum -= $d;
                $squares -= $d * $d;
                $held = $width;
            }
            $moves = $squares - $sum * $sum / $width;
            if ($held === $width && $moves < $least - 1e-9) {
                [$least, $best] = [$moves, $i - $width + 1];
            }
        }

        return $best === null ? null : [$best, $width];
    }

    /**
     * Self-correlations of the two bands' filters: raw less the short smoothing, the short one less the long one.
     *
     * @return array{list<float>, list<float>}
     */
    private static function bands(float $rateHz, float $short): array
    {
        [$s, $l] = [Series::half($short, $rateHz), Series::half(self::LONG, $rateHz)];
        if (! isset(self::$kernels["h|$s|$l"])) {
            $near = Series::weights($s);
            $far = Series::weights($l);
            $high = array_map(static fn (float $w): float => -$w, $near);
            $high[$s] += 1.0;
            $band = array_map(static fn (float $w): float => -$w, $far);
            foreach ($near as $j => $w) {
                $band[$l - $s + $j] += $w;
            }
            self::$kernels["h|$s|$l"] = self::correlated(array_values($high));
            self::$kernels["b|$s|$l"] = self::correlated(array_values($band));
        }

        return [self::$kernels["h|$s|$l"], self::$kernels["b|$s|$l"]];
    }

    /**
     * @param  list<float>  $w
     * @return list<float> the sum of products of a filter's weights so many apart
     */
    private static function correlated(array $w): array
    {
        $n = count($w);
        $out = [];
        for ($k = 0; $k < $n; $k++) {
            $sum = 0.0;
            for ($i = $k; $i < $n; $i++) {
                $sum += $w[$i] * $w[$i - $k];
            }
            $out[] = $sum;
        }

        return $out;
    }

    /**
     * Variance that a filter leaves of an autoregression of variance one.
     *
     * @param  list<float>  $kernel
     */
    private static function variance(array $kernel, float $keep): float
    {
        $sum = $kernel[0];
        $power = 2.0;
        $n = count($kernel);
        for ($k = 1; $k < $n && $power > 1e-9; $k++) {
            $power *= $keep;
            $sum += $power * $kernel[$k];
        }

        return max(0.0, $sum);
    }

    /**
     * The memory at which the slower band holds so many times what the faster one does; both grow together.
     *
     * @param  array{list<float>, list<float>}  $kernels
     */
    private static function memory(array $kernels, float $rateHz, float $ratio): float
    {
        $at = static function (float $memory) use ($kernels, $rateHz): float {
            $keep = $memory > 0.0 ? exp(-1.0 / ($rateHz * $memory)) : 0.0;

            return self::variance($kernels[1], $keep) / max(1e-12, self::variance($kernels[0], $keep));
        };
        if ($ratio <= $at(0.0)) {
            return 0.0;
        }
        [$low, $high] = [0.0, self::LONGEST_MEMORY];
        if ($ratio >= $at($high)) {
            return $high;
        }
        for ($i = 0; $i < 14; $i++) {
            $middle = 0.5 * ($low + $high);
            if ($at($middle) < $ratio) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return 0.5 * ($low + $high);
    }
}
