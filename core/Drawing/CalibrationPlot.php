<?php

declare(strict_types=1);

namespace Core\Drawing;

/** Stated confidence against the share that was right; on the line between its corners both are equal. */
final readonly class CalibrationPlot
{
    /** @param  list<Reach>  $points */
    private function __construct(public Plot $plot, public array $points)
    {
    }

    /**
     * @param  list<array{p: float, share: float, low: float, high: float}>  $calibration  by rising confidence
     */
    public static function broad(array $calibration): self
    {
        return self::in($calibration, 660.0);
    }

    /** @param  list<array{p: float, share: float, low: float, high: float}>  $calibration */
    public static function slim(array $calibration): self
    {
        return self::in($calibration, Plot::SLIM);
    }

    /** @param  list<array{p: float, share: float, low: float, high: float}>  $calibration */
    private static function in(array $calibration, float $width): self
    {
        $ticks = [];
        foreach ($calibration as $point) {
            $ticks[round(100.0 * $point['p']).' %'] = $point['p'];
        }
        $plot = new Plot(new Axis(0.5, 1.0, $ticks), Axis::shares(), $width);

        return new self(
            $plot,
            array_map(
                static fn (array $point): Reach => new Reach(
                    $plot->x($point['p']),
                    $plot->y($point['share']),
                    $plot->y($point['low']),
                    $plot->y($point['high']),
                ),
                $calibration,
            ),
        );
    }
}
