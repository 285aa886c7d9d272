<?php

declare(strict_types=1);

namespace Core\Number;

/** The middle of several values: of an even number, the mean of the two in the middle. */
final class Median
{
    /** @param  array<int|float>  $values  finite; none gives null */
    public static function of(array $values): ?float
    {
        if ($values === []) {
            return null;
        }
        sort($values);
        $n = count($values);

        return ((float) $values[intdiv($n - 1, 2)] + $values[intdiv($n, 2)]) / 2.0;
    }
}
