<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** Where a question put to a room stands: it is voted on before it is talked about, and after. */
enum VoteStage: string
{
    case Before = 'before';
    case Between = 'between';
    case After = 'after';
    case Done = 'done';

    public function isOpen(): bool
    {
        return $this === self::Before || $this === self::After;
    }

    public function next(): ?self
    {
        return match ($this) {
            self::Before => self::Between,
            self::Between => self::After,
            self::After => self::Done,
            self::Done => null,
        };
    }
}
