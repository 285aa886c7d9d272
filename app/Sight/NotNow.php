<?php

declare(strict_types=1);

namespace App\Sight;

use Core\Sight\Why;

/** Somebody asked for what is theirs at a time when it is not to be seen; the answer says why, and where to go on. */
final class NotNow extends \RuntimeException
{
    private function __construct(public readonly Why $why)
    {
        parent::__construct($why->value);
    }

    public static function because(Why $why): self
    {
        return new self($why);
    }

    /** Gone where it does not come back, a conflict where it does; what must not be known of is not found. */
    public function status(): int
    {
        return match ($this->why) {
            Why::Consent, Why::Erased => 410,
            Why::Awaited, Why::Others, Why::Unpublished => 409,
            default => 404,
        };
    }
}
