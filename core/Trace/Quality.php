<?php

declare(strict_types=1);

namespace Core\Trace;

/** Looks a trace over for faults of the instrument that would be read as technique. */
final class Quality
{
    /**
     * @return list<QualityFinding>
     */
    public static function of(Trace $trace): array
    {
        $found = [];
        foreach ($trace->channels as $name => $values) {
            $missing = count(array_filter($values, is_nan(...)));
            if ($missing > 0.02 * count($values) && ! str_contains($name, 'cop')) {
                $found[] = new QualityFinding('dropped', 'warning', sprintf('%s lacks %d of %d samples.', $name, $missing, count($values)));
            }
            if (self::longestStill($values) > 0.4 * $trace->rateHz && str_ends_with($name, 'fz_n')) {
                $found[] = new QualityFinding('stuck', 'serious', sprintf('%s stands still for more than 0.4 s: the channel or its clock had stopped.', $name));
            }
        }
        $total = $trace->totalForce();
        $standing = $total?->mean($trace->t0, $trace->t0 + 0.3);
        if ($standing !== null && abs($standing - 100.0) > 8.0) {
            $found[] = new QualityFinding('mass', 'serious', sprintf('Standing force is %.0f %% of the stated body mass: the mass, the units or the zero of the plate are wrong.', $standing));
        }
        if ($trace->rateHz < 60.0) {
            $found[] = new QualityFinding('rate', 'warning', sprintf('%.0f samples a second are too few for timings in a downswing of a quarter second.', $trace->rateHz));
        }

        return $found;
    }

    /** @param  list<float>  $values */
    private static function longestStill(array $values): int
    {
        $longest = $run = 0;
        $before = NAN;
        foreach ($values as $v) {
            $run = $v === $before && abs($v) > 1.0 ? $run + 1 : 0;
            $longest = max($longest, $run);
            $before = $v;
        }

        return $longest;
    }
}
