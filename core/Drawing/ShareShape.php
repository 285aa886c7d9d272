<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Trace\Series;

/** The lead share over a swing as a small shape for lists: 120 wide, 36 high, half and half in the middle. */
final class ShareShape
{
    private const STEPS = 40;

    private const HALF = 50.0;

    /**
     * @param  Series|null  $share  in per cent; null where there is none
     * @param  float  $from  s
     * @param  float  $to  s
     * @return string the path of an SVG; what is missing is drawn in the middle
     */
    public static function path(?Series $share, float $from, float $to): string
    {
        $path = '';
        for ($i = 0; $i <= self::STEPS; $i++) {
            $v = $share?->at($from + ($to - $from) * (float) $i / (float) self::STEPS) ?? self::HALF;
            $path .= sprintf('%s%d %.1f', $i === 0 ? 'M' : 'L', 3 * $i, 34.0 - 0.32 * max(0.0, min(100.0, $v)));
        }

        return $path;
    }
}
