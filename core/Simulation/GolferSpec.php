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
        public Pace $pace = new Pace,
    ) {
    }

    /**
     * The golfer of this number in a study: heights, masses, three kinds of club and both hands in turn.
     */
    public static function ofStudy(
        string $seed,
        int $i,
        Plant $plant,
        DeviceClass $device = DeviceClass::Mat,
        Pace $pace = new Pace,
    ): self {
        [$club, $stance] = [[1000.0, 460.0], [1065.0, 500.0], [910.0, 380.0]][$i % 3];

        return new self(
            "$seed|$i",
            $plant,
            $i % 5 === 0 ? Handedness::Left : Handedness::Right,
            $device,
            1620.0 + 12.0 * ($i % 21),
            58.0 + 1.7 * ($i % 23),
            $club,
            $stance,
            $pace,
        );
    }
}
