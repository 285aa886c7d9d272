<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/**
 * Where the change of a ladder case breaks: the number of the swing at which it is gone, counted from 1, which is the
 * swing before it was asked for.
 */
final readonly class Ladder
{
    /** Swings of a ladder. */
    public const LEAST = 3;

    public const MOST = 5;

    /** The change is there up to the last swing. */
    public const HOLDS = 0;

    public const CANNOT_TELL = -1;

    /** @throws CoreException when there is no such place */
    public static function checked(int $breaks): int
    {
        return $breaks >= self::CANNOT_TELL && $breaks !== 1 && $breaks <= self::MOST
            ? $breaks
            : throw ReadingException::because('ladder');
    }
}
