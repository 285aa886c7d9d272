<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;

/** What cannot stand in a codebook, or does not. */
final class CodebookException extends CoreException
{
    protected const AREA = 'codebook';
}
