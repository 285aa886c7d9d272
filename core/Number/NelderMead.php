<?php

declare(strict_types=1);

namespace Core\Number;

/** The lowest point of a function of few numbers without its derivatives (Nelder & Mead 1965). */
final class NelderMead
{
    /**
     * @param  \Closure(non-empty-list<float>): float  $of
     * @param  non-empty-list<float>  $start
     * @param  float  $step  of the first simplex
     * @return non-empty-list<float>
     */
    public static function lowest(\Closure $of, array $start, float $step, float $tolerance = 1e-10,
        int $most = 400): array
    {
        $n = count($start);
        $simplex = [[$of($start), $start]];
        foreach (array_keys($start) as $i) {
            $point = $start;
            $point[$i] += $step;
            $point = array_values($point);
            $simplex[] = [$of($point), $point];
        }
        $by = static fn (array $a, array $b): int => $a[0] <=> $b[0];
        for ($k = 0; $k < $most; $k++) {
            usort($simplex, $by);
            [$worst, $at] = $simplex[$n];
            if ($worst - $simplex[0][0] <= $tolerance * (1.0 + abs($simplex[0][0]))) {
                break;
            }
            $middle = self::middle(array_slice($simplex, 0, $n));
            [$value, $point] = self::tried($of, $middle, $at, -1.0);
            if ($value < $simplex[0][0]) {
                $further = self::tried($of, $middle, $at, -2.0);
                $simplex[$n] = $further[0] < $value ? $further : [$value, $point];
            } elseif ($value < $simplex[$n - 1][0]) {
                $simplex[$n] = [$value, $point];
            } else {
                $near = self::tried($of, $middle, $value < $worst ? $point : $at, 0.5);
                if ($near[0] < min($value, $worst)) {
                    $simplex[$n] = $near;
                } else {
                    $best = $simplex[0][1];
                    foreach ($simplex as $i => [, $p]) {
                        $simplex[$i] = $i === 0 ? $simplex[0] : self::tried($of, $best, $p, 0.5);
                    }
                }
            }
        }
        usort($simplex, $by);

        return $simplex[0][1];
    }

    /**
     * @param  \Closure(non-empty-list<float>): float  $of
     * @param  non-empty-list<float>  $middle
     * @param  non-empty-list<float>  $from
     * @return array{float, non-empty-list<float>} the value at middle + by·(from − middle), and that point
     */
    private static function tried(\Closure $of, array $middle, array $from, float $by): array
    {
        $point = array_map(static fn (float $m, float $f): float => $m + $by * ($f - $m), $middle, $from);

        return [$of($point), $point];
    }

    /**
     * @param  array<int, array{float, non-empty-list<float>}>  $of
     * @return non-empty-list<float>
     */
    private static function middle(array $of): array
    {
        $sum = null;
        foreach ($of as [, $point]) {
            $sum = $sum === null ? $point : array_map(static fn (float $a, float $b): float => $a + $b, $sum, $point);
        }
        $n = count($of);

        return array_map(static fn (float $v): float => $v / max(1, $n), $sum ?? [0.0]);
    }
}
