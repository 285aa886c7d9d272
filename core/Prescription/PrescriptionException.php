<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\CoreException;

/** What cannot be prescribed or compared. */
final class PrescriptionException extends CoreException
{
    protected const AREA = 'prescription';
}
