<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/** Where one foot stands at address, in the stance's frame (x to the target, y to the toes; mm, degrees). */
final readonly class Foot
{
    public function __construct(
        public float $xMm,
        public float $yMm,
        public float $lengthMm = 270.0,
        public float $widthMm = 100.0,
        public ?float $flareDeg = null,
    ) {
        foreach (['x' => $xMm, 'y' => $yMm, 'length' => $lengthMm, 'width' => $widthMm] as $name => $value) {
            Limits::within($value, -Limits::PLACE_MM, Limits::PLACE_MM, "$name of a foot in mm");
        }
        $flareDeg === null || Limits::within($flareDeg, -180.0, 180.0, 'the flare of a foot in degrees');
        if ($lengthMm < 100 || $lengthMm > 450 || $widthMm < 40 || $widthMm > 250) {
            throw new CoreException('A foot must be 100 to 450 mm long and 40 to 250 mm wide.');
        }
    }

    /** Which way the foot points, degrees from straight ahead, toward the target positive; 0 where it was not given. */
    public function heading(): float
    {
        return $this->flareDeg ?? 0.0;
    }

    /** @return array<string, float|null> */
    public function toArray(): array
    {
        return ['x_mm' => $this->xMm, 'y_mm' => $this->yMm, 'length_mm' => $this->lengthMm, 'width_mm' => $this->widthMm, 'flare_deg' => $this->flareDeg];
    }
}
