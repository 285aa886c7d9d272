<?php

declare(strict_types=1);

namespace Core\Codebook;

/** What a limit asks of who teaches. */
enum LimitSeverity: string
{
    case Careful = 'careful';
    case Avoid = 'avoid';
    case NotCleared = 'not-cleared';

    /** The graver the more. */
    public function rank(): int
    {
        return match ($this) {
            self::Careful => 1,
            self::Avoid => 2,
            self::NotCleared => 3,
        };
    }
}
