<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\Remark\Remark;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * A channel that bends before its end: near its largest values it trembles far less than elsewhere, because what is
 * added there hardly shows any more.
 */
final readonly class SoftEnds implements Check
{
    /** The largest values: beyond so much of the largest; at least so many samples of them, and of the others. */
    private const NEAR = 0.94;

    private const FEWEST = 30;

    /** Of the stretch from the first to the last of them so many lie there. */
    private const TOGETHER = 0.6;

    /** They tremble less than so much of how the rest does. */
    private const DULL = 0.35;

    public function of(Trace $trace): array
    {
        $out = [];
        foreach ($trace->channels as $name => $values) {
            if (! str_ends_with($name, '_n') && ! str_ends_with($name, '_nm')) {
                continue;
            }
            $trembles = self::trembles($values);
            foreach ([1.0, -1.0] as $way) {
                $span = self::dull($values, $trembles, $way);
                if ($span !== null) {
                    [$a, $b] = [$trace->t0 + $span[0] / $trace->rateHz, $trace->t0 + $span[1] / $trace->rateHz];
                    $out[] = new QualityFinding(
                        'saturated',
                        'serious',
                        Remark::of(Flaw::BendsAtItsEnd, channels: [$name], from_s: $a, to_s: $b),
                        QualityFinding::NULLED, Signal::ofChannel($name, $trace->device), [$a, $b],
                    );
                }
            }
        }

        return $out;
    }

    /**
     * The size of the fourth difference about each sample, which knows tremble from curvature.
     *
     * @param  list<float>  $values
     * @return list<float> from the third sample to the third from the end
     */
    private static function trembles(array $values): array
    {
        $out = [];
        for ($i = 2, $n = count($values) - 2; $i < $n; $i++) {
            $beside = $values[$i - 1] + $values[$i + 1];
            $out[] = abs($values[$i - 2] + $values[$i + 2] - 4.0 * $beside + 6.0 * $values[$i]);
        }

        return $out;
    }

    /**
     * @param  list<float>  $values
     * @param  list<float>  $trembles  from the third sample on
     * @return array{int, int}|null first and last sample of the part that trembles too little
     */
    private static function dull(array $values, array $trembles, float $way): ?array
    {
        $most = 0.0;
        foreach ($values as $v) {
            $most = $way * $v > $most ? $way * $v : $most;
        }
        $top = $rest = [];
        [$first, $last] = [null, 0];
        for ($i = 2, $n = count($trembles) + 2; $i < $n; $i++) {
            $d = $trembles[$i - 2];
            if (is_nan($d)) {
                continue;
            }
            if ($way * $values[$i] > self::NEAR * $most) {
                $top[] = $d;
                $first ??= $i;
                $last = $i;
            } elseif ($way * $values[$i] < 0.8 * $most) {
                $rest[] = $d;
            }
        }
        if ($first === null || count($top) < self::FEWEST || count($rest) < self::FEWEST) {
            return null;
        }
        // A channel that is near its largest values here and there was not held there.
        if (count($top) < self::TOGETHER * ($last - $first + 1)) {
            return null;
        }
        sort($top);
        sort($rest);
        // As a rule, and in what trembles most as well.
        foreach ([[0.5, self::DULL], [0.9, 1.3 * self::DULL]] as [$part, $dull]) {
            $of = $rest[(int) ($part * (count($rest) - 1))];
            if ($of < 1e-6 * $most || $top[(int) ($part * (count($top) - 1))] > $dull * $of) {
                return null;
            }
        }

        return [$first, $last];
    }
}
