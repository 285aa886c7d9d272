<?php

declare(strict_types=1);

namespace App\Console;

use Core\CoreException;

/** What a command was asked for and cannot do. */
final class ConsoleException extends CoreException
{
    protected const AREA = 'console';
}
