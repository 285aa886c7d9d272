<?php

declare(strict_types=1);

namespace Core\Film;

use Core\CoreException;

/** What is no film of a swing, or cannot be used as one. */
final class FilmException extends CoreException
{
    protected const AREA = 'film';
}
