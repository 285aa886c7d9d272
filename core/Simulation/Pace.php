<?php

declare(strict_types=1);

namespace Core\Simulation;

/** How one golfer times a swing and how large it is: what finders of stations meet besides the ordinary full swing. */
final readonly class Pace
{
    /**
     * @param  float|null  $backS  from address to top, s; null for the golfer's own
     * @param  float|null  $downS  from top to impact, s; null for the golfer's own
     * @param  float  $restS  how long all rests at the top, within the way back, s
     * @param  float  $creep  0 to 1: how much of the first move creeps
     * @param  bool  $waggles  whether the club goes to and fro before it is still at address
     * @param  float  $size  of a full swing's turn, travel and push
     */
    public function __construct(
        public ?float $backS = null,
        public ?float $downS = null,
        public float $restS = 0.0,
        public float $creep = 0.0,
        public bool $waggles = false,
        public float $size = 1.0,
    ) {
    }

    /** @return array<string, self> what a study goes through, by code */
    public static function kinds(): array
    {
        return [
            'ordinary' => new self,
            'resting' => new self(backS: 1.0, restS: 0.12),
            'sharp' => new self(backS: 0.56, downS: 0.19),
            'quick' => new self(downS: 0.17),
            'creeping' => new self(backS: 1.05, creep: 1.0),
            'waggling' => new self(waggles: true),
            'rehearsal' => new self(backS: 1.5, downS: 0.5),
            'pitch' => new self(backS: 0.72, downS: 0.26, size: 0.75),
            'chip' => new self(backS: 0.6, downS: 0.3, size: 0.34),
        ];
    }
}
