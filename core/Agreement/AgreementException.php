<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/** What agreement cannot be worked out from. */
final class AgreementException extends CoreException
{
    protected const AREA = 'agreement';
}
