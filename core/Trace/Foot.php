<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/** Where one foot stands at address, in the stance's frame (x to the target, y to the toes; mm, degrees). */
final readonly class Foot
{
    /** Usual measures, where none are given, mm. */
    public const LENGTH_MM = 270.0;

    public const WIDTH_MM = 100.0;

    /** @throws CoreException */
    public function __construct(
        public float $xMm,
        public float $yMm,
        public float $lengthMm = self::LENGTH_MM,
        public float $widthMm = self::WIDTH_MM,
        public ?float $flareDeg = null,
    ) {
        foreach (['x' => $xMm, 'y' => $yMm, 'length' => $lengthMm, 'width' => $widthMm] as $name => $value) {
            Limits::within($value, -Limits::PLACE_MM, Limits::PLACE_MM, "foot-$name");
        }
        if ($flareDeg !== null) {
            Limits::within($flareDeg, -180.0, 180.0, 'flare');
        }
        if ($lengthMm < 100 || $lengthMm > 450 || $widthMm < 40 || $widthMm > 250) {
            throw TraceException::because('foot');
        }
    }

    /** Which way the foot points, degrees from straight ahead, toward the target positive; 0 where it was not given. */
    public function heading(): float
    {
        return $this->flareDeg ?? 0.0;
    }
}
