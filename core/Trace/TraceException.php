<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/** What cannot be a trace. */
final class TraceException extends CoreException
{
    protected const AREA = 'trace';
}
