<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;

/**
 * A golfer's own spread of one measure over a series of swings. Cold first swings are left out by the caller; missing
 * and censored values are not numbers and do not enter.
 */
final readonly class Spread
{
    private function __construct(public int $n, public float $mean, public float $sd)
    {
    }

    /**
     * @param  list<float>  $values
     * @return self|null null below two values
     */
    public static function ofValues(array $values): ?self
    {
        $n = count($values);
        if ($n < 2) {
            return null;
        }
        $mean = array_sum($values) / $n;

        return new self(
            $n,
            $mean,
            sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / ($n - 1)),
        );
    }

    /** @param  list<Measurements>  $swings */
    public static function ofSwings(array $swings, Measure $measure, ?string $station = null): ?self
    {
        return self::ofMeasured(array_map(
            static fn (Measurements $swing): Measured => $swing->get($measure, $station),
            $swings,
        ));
    }

    /** @param  list<Measured>  $of  one value a swing */
    public static function ofMeasured(array $of): ?self
    {
        $values = [];
        foreach ($of as $m) {
            if ($m->censored === null && $m->number() !== null) {
                $values[] = $m->number();
            }
        }

        return self::ofValues($values);
    }

    /**
     * Welch–Satterthwaite degrees of freedom of the difference of two series.
     *
     * @throws CoreException
     */
    public static function degrees(self $before, self $after): float
    {
        $a = $before->sd ** 2 / $before->n;
        $b = $after->sd ** 2 / $after->n;
        if ($a + $b <= 0.0) {
            throw MeasurementException::because('no-spread');
        }

        return ($a + $b) ** 2 / ($a ** 2 / ($before->n - 1) + $b ** 2 / ($after->n - 1));
    }
}
