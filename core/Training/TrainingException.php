<?php

declare(strict_types=1);

namespace Core\Training;

use Core\CoreException;

/** What no training can be made of. */
final class TrainingException extends CoreException
{
    protected const AREA = 'training';
}
