<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;

/** What cannot be measured or compared. */
final class MeasurementException extends CoreException
{
    protected const AREA = 'measurement';
}
