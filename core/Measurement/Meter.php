<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Motion\Station;

/**
 * Measures one swing: every Measure from the evidence at hand, or null with the reason.
 *
 * Uncertainty is a 95 % half-width, root sum of squares of: the device's constant error (absolute values
 * only), sensor noise reduced by the smoothing filter, and the station's timing and half a sample interval
 * times the local slope. The golfer's own spread from swing to swing is not in it.
 */
final readonly class Meter
{
    /** Half-width of the Savitzky–Golay window on the share: keeps a 4 Hz shift, damps noise above 15 Hz. */
    private const SMOOTHING = 0.02;

    private const HOLD = 0.030;

    public static function read(Evidence $evidence): Measurements
    {
        return new Measurements([
            ...(new PressureMeter($evidence, self::SMOOTHING, self::HOLD))->read(),
            ...(new BodyMeter($evidence))->read(),
            Measure::Tempo->value => self::tempo($evidence),
        ]);
    }

    private static function tempo(Evidence $e): Measured
    {
        $ad = $e->stations->get(Station::Address);
        $tp = $e->stations->get(Station::Top);
        $im = $e->stations->get(Station::Impact);
        if ($ad === null || $tp === null || $im === null) {
            return Measured::none('ratio', 'needs the times of address, top and impact');
        }
        $back = $tp->t - $ad->t;
        $down = $im->t - $tp->t;
        $ratio = $back / $down;
        $u = $ratio * hypot(hypot($ad->uncertainty, $tp->uncertainty) / $back, hypot($tp->uncertainty, $im->uncertainty) / $down);

        return Measured::value('ratio', $ratio, $u, ['AD', 'TP', 'IM']);
    }
}
