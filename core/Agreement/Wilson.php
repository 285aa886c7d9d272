<?php

declare(strict_types=1);

namespace Core\Agreement;

/** Wilson's score interval of a proportion (1927). */
final class Wilson
{
    /** @return array{float, float} low and high; [0, 1] when nothing was counted */
    public static function interval(int $k, int $n, Confidence $confidence = new Confidence): array
    {
        if ($n === 0) {
            return [0.0, 1.0];
        }
        $z = $confidence->z;
        $p = (float) $k / $n;
        $middle = $p + $z * $z / (2 * $n);
        $half = $z * sqrt($p * (1 - $p) / $n + $z * $z / (4 * $n * $n));
        $scale = 1 + $z * $z / $n;

        return [$k === 0 ? 0.0 : ($middle - $half) / $scale, $k === $n ? 1.0 : ($middle + $half) / $scale];
    }

    public static function figure(int $k, int $n, Confidence $confidence, Undefined $whenNone): Figure
    {
        if ($n === 0) {
            return Figure::undefined($whenNone);
        }
        [$low, $high] = self::interval($k, $n, $confidence);
        $p = (float) $k / $n;

        return Figure::estimated($p, sqrt($p * (1 - $p) / $n), $low, $high, 'wilson');
    }
}
