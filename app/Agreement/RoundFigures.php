<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Agreement\Study\RoundResult;

/** A round's figures, not yet kept, with the checksum of what they were made from. */
final readonly class RoundFigures
{
    public function __construct(public string $inputs, public RoundResult $result)
    {
    }
}
