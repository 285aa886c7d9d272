<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Trace\DeviceClass;

/** The evidence put before a rater, or held by the academy: which instrument, and whether film or body points. */
final readonly class Shown
{
    public function __construct(public ?DeviceClass $device, public bool $film, public bool $points = false)
    {
    }

    /** @return list<string> the kinds of evidence a fault's requirements speak of */
    public function kinds(): array
    {
        return array_values(array_filter([
            $this->device === null ? null : 'pressure',
            $this->device?->measuresForce() ? 'force' : null,
            $this->film ? 'face-on' : null,
            $this->film ? 'down-the-line' : null,
            $this->points ? 'points' : null,
        ]));
    }

    public function label(): string
    {
        return match (true) {
            $this->film && $this->device !== null => 'film and '.$this->device->label(),
            $this->film => 'film only',
            $this->device !== null => $this->device->label().' only',
            default => 'nothing',
        };
    }
}
