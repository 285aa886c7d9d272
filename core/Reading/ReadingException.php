<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/** What cannot stand on a sheet. */
final class ReadingException extends CoreException
{
    protected const AREA = 'reading';
}
