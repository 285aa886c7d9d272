<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/** Both feet at address. The lead foot is the one nearer the target, for either hand. */
final readonly class Stance
{
    /** @throws CoreException */
    public function __construct(public Foot $lead, public Foot $trail)
    {
        if ($lead->xMm - $trail->xMm < 50.0) {
            throw TraceException::because('stance');
        }
    }

    /** @throws CoreException */
    public static function ofWidth(float $widthMm): self
    {
        return new self(new Foot($widthMm / 2, 0.0), new Foot(-$widthMm / 2, 0.0));
    }

    public function foot(Side $side): Foot
    {
        return $side === Side::Lead ? $this->lead : $this->trail;
    }

    /** Distance between the foot centres in mm. */
    public function widthMm(): float
    {
        return hypot($this->lead->xMm - $this->trail->xMm, $this->lead->yMm - $this->trail->yMm);
    }
}
