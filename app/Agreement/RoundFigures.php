<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Sitting;
use Core\Agreement\Study\RoundResult;

/** A round's figures, not yet kept, with the checksum of what they were made from and the round they look back to. */
final readonly class RoundFigures
{
    public function __construct(
        public string $inputs,
        public RoundResult $result,
        public PeopleResults $people,
        public ?Sitting $before,
    ) {
    }
}
