<?php

declare(strict_types=1);

namespace Core\Trace;

/** What kind of instrument stood under the feet, and so what can be known from it. */
enum DeviceClass: string
{
    case Mat = 'mat';
    case Plate = 'plate';
    case DualPlate = 'dual-plate';

    /** @return list<string> channels without which a file of this class is refused */
    public function channels(): array
    {
        $plate = ['fx_n', 'fy_n', 'fz_n', 'mz_nm', 'copx_mm', 'copy_mm'];

        return match ($this) {
            self::Mat => ['lead_pct', 'trail_pct', 'copx_mm', 'copy_mm'],
            self::Plate => $plate,
            self::DualPlate => [
                ...array_map(static fn (string $c): string => 'lead_'.$c, $plate),
                ...array_map(static fn (string $c): string => 'trail_'.$c, $plate),
            ],
        };
    }

    /** @return list<string> */
    public function optionalChannels(): array
    {
        return $this === self::Mat
            ? ['lead_copx_mm', 'lead_copy_mm', 'trail_copx_mm', 'trail_copy_mm', 'lead_toe_pct', 'trail_toe_pct']
            : [];
    }

    public function typicalRateHz(): float
    {
        return match ($this) {
            self::Mat => 100.0,
            self::Plate => 500.0,
            self::DualPlate => 1000.0,
        };
    }

    /** Whether the instrument gives newtons, and so a total vertical force. */
    public function measuresForce(): bool
    {
        return $this !== self::Mat;
    }

    /** Whether lead and trail are told apart by the instrument itself rather than by stance geometry. */
    public function separatesFeet(): bool
    {
        return $this !== self::Plate;
    }

    /**
     * Half-width of the 95 % range of a constant error of lead share, in share points: zero, gain and
     * crosstalk of the cells; for a single plate its centre of pressure (4 mm) and the feet's places (5 mm) on a stance
     * of 450 mm. It does not shrink with smoothing and cancels in differences within one swing.
     */
    public function shareOffset(): float
    {
        return match ($this) {
            self::Mat => 2.0,
            self::Plate => 1.4,
            self::DualPlate => 1.0,
        };
    }

    /**
     * How fast a zero may wander that standing does not show to be steady: half-width, share points per second, to
     * either side of a recording's middle. A point a second is what a mat may do that is warming up.
     */
    public function wander(): float
    {
        return 1.7;
    }

    /**
     * What the share of a single plate errs by beside, half-widths in points by station, each of the two all one way: a
     * foot presses elsewhere than in its middle, the more the later, and after the ball on its edges.
     *
     * @return list<array<string, float>>
     */
    public function feetElsewhere(): array
    {
        return $this === self::Plate
            ? [['AD' => 0.3, 'TP' => 1.0, 'IM' => 1.8], ['IM' => 0.0, 'ST' => 1.2, 'FI' => 3.2]]
            : [];
    }

    /** Standard deviation of one sample of lead share, in share points, from sensor noise. */
    public function shareNoise(): float
    {
        return match ($this) {
            self::Mat => 1.0,
            self::Plate => 1.5,
            self::DualPlate => 0.4,
        };
    }

    /** Standard deviation of one sample of force, N: of one foot's plate, or of the net. */
    public function forceNoise(): float
    {
        return $this === self::DualPlate ? 2.0 : 3.0;
    }

    /**
     * Half-width of the 95 % range of a constant error of one plate's force along an axis, %BW. The two plates of a
     * pair are off each by itself.
     */
    public function forceOffset(): float
    {
        return $this === self::DualPlate ? 0.35 : 0.5;
    }

    /** The same of one plate's free moment, N·m. */
    public function momentOffset(): float
    {
        return $this === self::DualPlate ? 0.7 : 1.0;
    }

    /** Standard deviation of one sample of horizontal force, N. */
    public function shearNoise(): float
    {
        return $this === self::DualPlate ? 1.0 : 1.5;
    }

    /** Standard deviation of one sample of the free moment, N·m. */
    public function momentNoise(): float
    {
        return 0.4;
    }

    /** Standard deviation of one sample of a centre of pressure, mm: of one foot, or of the net. */
    public function copNoise(): float
    {
        return match ($this) {
            self::Mat => 4.0,
            self::Plate => 1.5,
            self::DualPlate => 1.2,
        };
    }

    /** Half-width of the 95 % range of a constant error of a centre of pressure within the stance, mm. */
    public function copOffset(): float
    {
        return match ($this) {
            self::Mat => 6.0,
            self::Plate => 4.0,
            self::DualPlate => 3.0,
        };
    }

    /** Half-width of the Savitzky–Golay window for values read off a curve, s. */
    public function smoothing(): float
    {
        return match ($this) {
            self::Mat => 0.020,
            self::Plate => 0.014,
            self::DualPlate => 0.010,
        };
    }

    /** The same for slopes, whose noise falls with the window's width to the power 1.5. */
    public function slopeSmoothing(): float
    {
        return $this === self::Mat ? 0.030 : 0.020;
    }
}
