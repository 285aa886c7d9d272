<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\CoreException;

/** What cannot be planned. */
final class PlanningException extends CoreException
{
    protected const AREA = 'planning';
}
