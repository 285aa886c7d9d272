<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;

/** What the simulator cannot make. */
final class SimulationException extends CoreException
{
    protected const AREA = 'simulation';
}
