<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Motion\Handedness;
use Core\Trace\DeviceClass;

/** Who swings, with what, on which instrument. Everything else follows from the seed. */
final readonly class GolferSpec
{
    public function __construct(
        public string $seed,
        public Plant $plant = new Plant,
        public Handedness $hand = Handedness::Right,
        public DeviceClass $device = DeviceClass::DualPlate,
        public float $heightMm = 1750.0,
        public float $massKg = 78.0,
        public float $clubMm = 1000.0,
        public float $stanceMm = 470.0,
    ) {
    }
}
