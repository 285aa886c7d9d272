<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;

/** The faults planted in a synthetic golfer, each at severity 1 (slight) to 3 (dominant). */
final readonly class Plant
{
    public const FAULTS = ['sway', 'no-load', 'late-load', 'late-recentre', 'early-lunge', 'hang-back', 'late-arrival', 'spin-out', 'late-push', 'fall-off'];

    /** @param  array<string, int>  $faults severity by fault key */
    public function __construct(public array $faults = [])
    {
        foreach ($faults as $key => $severity) {
            if (! in_array($key, self::FAULTS, true)) {
                throw new CoreException(sprintf("The fault '%s' cannot be planted; these can: %s.", $key, implode(', ', self::FAULTS)));
            }
            if ($severity < 1 || $severity > 3) {
                throw new CoreException('A planted fault needs a severity of 1, 2 or 3.');
            }
        }
    }

    public function severity(string $fault): int
    {
        return $this->faults[$fault] ?? 0;
    }

    /** The value for the planted severity out of [absent, slight, clear, dominant]. */
    public function pick(string $fault, float $absent, float $slight, float $clear, float $dominant): float
    {
        return [$absent, $slight, $clear, $dominant][$this->severity($fault)];
    }
}
