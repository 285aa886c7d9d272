<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;

/** The faults planted in a synthetic golfer, each at severity 1 (slight) to 3 (dominant). */
final readonly class Plant
{
    public const FAULTS = [
        'setup-bias',
        'locked-feet',
        'knees-in',
        'lead-leg-leave',
        'sway',
        'no-load',
        'outer-edge',
        'late-load',
        'late-recentre',
        'early-lunge',
        'ahead-of-pressure',
        'jump-off-trail',
        'roll-down',
        'trail-rise',
        'chest-first',
        'spin-out',
        'knee-part',
        'heel-pop',
        'slide',
        'early-rise',
        'toe-dive',
        'heel-fall',
        'weak-couple',
        'hang-back',
        'thrown-back',
        'head-back',
        'late-arrival',
        'late-push',
        'fall-off',
    ];

    /**
     * Faults that may come with a planted one by their definitions, so that finding them is no false alarm: a body
     * thrown ahead of its pressure carries the chest past the limit of going too soon, on a trail foot that stays
     * pressed; and where the share stalls, never falls below a half or falls below it
     * once more, its last rise begins after the chest opens.
     */
    public const ENTAILS = [
        'ahead-of-pressure' => ['early-lunge', 'chest-first', 'jump-off-trail', 'spin-out'],
        'spin-out' => ['chest-first', 'late-recentre'],
        'no-load' => ['chest-first', 'early-lunge'],
        'jump-off-trail' => ['chest-first'],
        // A share that stalls while the lead hip goes back with the turn is spinning out by its second sign.
        'late-recentre' => ['spin-out', 'weak-couple'],
        'hang-back' => ['spin-out', 'chest-first', 'late-recentre', 'head-back'],
        // What stands on its outer edge at the top still does just after it.
        'outer-edge' => ['roll-down'],
        'early-rise' => ['trail-rise'],
        'trail-rise' => ['jump-off-trail', 'early-rise'],
        'fall-off' => ['head-back'],
        'head-back' => [
            'hang-back', 'late-arrival', 'trail-rise', 'weak-couple', 'spin-out', 'jump-off-trail', 'chest-first',
        ],
        'thrown-back' => ['hang-back'],
    ];

    /**
     * @param  array<string, int|float>  $faults  severity by fault key, whole or between
     *
     * @throws CoreException
     */
    public function __construct(public array $faults = [])
    {
        foreach ($faults as $key => $severity) {
            if (! in_array($key, self::FAULTS, true)) {
                throw SimulationException::because('not-plantable', key: $key, faults: implode(', ', self::FAULTS));
            }
            if ($severity <= 0 || $severity > 3) {
                throw SimulationException::because('plant-severity');
            }
        }
    }

    public function severity(string $fault): float
    {
        return (float) ($this->faults[$fault] ?? 0.0);
    }

    /** The value for the planted severity between those of [absent, slight, clear, dominant]. */
    public function pick(string $fault, float $absent, float $slight, float $clear, float $dominant): float
    {
        $values = [$absent, $slight, $clear, $dominant];
        $severity = $this->severity($fault);
        $i = min(2, (int) $severity);

        return $values[$i] + ($severity - $i) * ($values[$i + 1] - $values[$i]);
    }
}
