<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;

/** What cannot be a motion, its stations or its clock. */
final class MotionException extends CoreException
{
    protected const AREA = 'motion';
}
