<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\StationTime;

/**
 * Measures one swing: every Measure from the evidence at hand, or null with the reason.
 *
 * Uncertainty is a 95 % half-width, root sum of squares of: the device's constant error (absolute values
 * only), sensor noise reduced by the smoothing filter, and the station's timing and half a sample interval
 * times the local slope (GUM, JCGM 100:2008, 5.1.2; errors taken as independent). The time of an extreme is as
 * uncertain as the signal is flat there; the time of a crossing as noise over slope. The golfer's own spread
 * from swing to swing is not in it: see Spread.
 */
final readonly class Meter
{
    /**
     * @param  bool  $replays  false for values without the ± of what is read off a curve's course
     *
     * @throws CoreException
     */
    public static function read(Evidence $evidence, bool $replays = true): Measurements
    {
        $signals = new Signals(self::swingOf($evidence), $replays);
        $found = [
            ...(new ShareMeter($signals))->read(),
            ...(new FootMeter($signals))->read(),
            ...(new ForceMeter($signals, $evidence->trace))->read(),
            ...(new BodyMeter($signals))->read(),
            ...(new PostureMeter($signals))->read(),
            ...(new LegMeter($signals))->read(),
            ...(new WayMeter($signals))->read(),
            ...(new TimingMeter($signals))->read(),
        ];
        $ordered = [];
        foreach (Measure::cases() as $measure) {
            $ordered[$measure->value] = $found[$measure->value];
        }

        return new Measurements($ordered);
    }

    /**
     * The evidence without what lies well before and after the swing.
     *
     * @throws CoreException
     */
    private static function swingOf(Evidence $evidence): Evidence
    {
        $times = $evidence->stations->all();
        if ($times === [] || $evidence->trace === null) {
            return $evidence;
        }
        $at = array_map(static fn (StationTime $t): float => $t->t, $times);

        return new Evidence(
            $evidence->stations,
            $evidence->trace->between(min($at) - 1.2, max($at) + 0.4),
            $evidence->views,
            $evidence->stance,
            $evidence->norms,
        );
    }
}
