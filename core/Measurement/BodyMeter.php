<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Motion\Motion;
use Core\Motion\Station;

/** The measures that come from body points. */
final readonly class BodyMeter
{
    /** Half-width of a 95 % interval of a point's coordinate from 3-D points, mm. */
    private const POINT_NOISE = 6.0;

    public function __construct(private Evidence $evidence)
    {
    }

    /** @return array<string, Measured|array<string, Measured>> */
    public function read(): array
    {
        return [
            Measure::PelvisSway->value => $this->sway('pelvis', Measure::PelvisSway),
            Measure::ChestSway->value => $this->sway('chest', Measure::ChestSway),
            Measure::FootSpin->value => $this->footSpin(),
        ];
    }

    /** @return array<string, Measured> by station code */
    private function sway(string $point, Measure $measure): array
    {
        $out = [];
        $width = $this->evidence->stance?->widthMm();
        $ad = $this->evidence->stations->get(Station::Address);
        $motion = $this->evidence->motion;
        $x = $motion === null || ! $motion->has($point) ? null : $motion->coordinate($point, 0);
        $start = $ad === null ? null : $x?->at($ad->t);
        foreach (Station::cases() as $station) {
            $time = $this->evidence->stations->get($station);
            $here = $time === null ? null : $x?->at($time->t);
            if ($x === null || $start === null || $width === null || $time === null || $here === null) {
                $out[$station->value] = Measured::none($measure->unit(), match (true) {
                    $x === null => 'no body points were recorded',
                    $width === null => 'needs the positions of both feet',
                    default => 'the time of station '.($start === null ? 'AD' : $station->value).' is not known',
                });

                continue;
            }
            $before = $x->at($time->t - 0.01) ?? $here;
            $after = $x->at($time->t + 0.01) ?? $here;
            $u = hypot(self::POINT_NOISE * M_SQRT2, abs($after - $before) / 0.02 * $time->uncertainty);
            $out[$station->value] = Measured::value($measure->unit(), 100.0 * ($here - $start) / $width, 100.0 * $u / $width, ['AD', $station->value]);
        }

        return $out;
    }

    private function footSpin(): Measured
    {
        $motion = $this->evidence->motion;
        $ad = $this->evidence->stations->t(Station::Address);
        $im = $this->evidence->stations->t(Station::Impact);
        if ($motion === null || ! $motion->has('trail_heel') || ! $motion->has('trail_ball')) {
            return Measured::none('degrees', 'needs the heel and the ball of the trail foot as body points');
        }
        $before = $ad === null ? null : self::heading($motion, $ad);
        $after = $im === null ? null : self::heading($motion, $im);
        if ($before === null || $after === null) {
            return Measured::none('degrees', 'the time of station '.($before === null ? 'AD' : 'IM').' is not known');
        }
        $turn = fmod($after - $before + 540.0, 360.0) - 180.0;

        return Measured::value('degrees', $turn, rad2deg(self::POINT_NOISE / 190.0) * M_SQRT2, ['AD', 'IM']);
    }

    /** Heading of the trail foot in degrees from the toe line, positive toward the target. */
    private static function heading(Motion $motion, float $t): ?float
    {
        $d = [];
        foreach ([0, 1] as $axis) {
            $toe = $motion->coordinate('trail_ball', $axis)->at($t);
            $heel = $motion->coordinate('trail_heel', $axis)->at($t);
            if ($toe === null || $heel === null) {
                return null;
            }
            $d[] = $toe - $heel;
        }

        return rad2deg(atan2($d[0], $d[1]));
    }
}
