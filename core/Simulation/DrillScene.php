<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Drawing\Aid;
use Core\Motion\View;

/**
 * How a drill looks: the side it is seen from, two to four moments of the synthetic golfer, and what is used for it.
 */
final readonly class DrillScene
{
    /**
     * @param  list<Pose>  $moments
     * @param  list<list<Aid>>  $aids  by moment
     * @param  bool  $isWarning  shown so that it is known, not done
     *
     * @throws CoreException with fewer than two moments or more than four
     */
    public function __construct(
        public View $view,
        public array $moments,
        public array $aids,
        public bool $isWarning = false,
    ) {
        if (count($moments) < 2 || count($moments) > 4 || count($aids) !== count($moments)) {
            throw SimulationException::because('scene', moments: count($moments));
        }
    }
}
