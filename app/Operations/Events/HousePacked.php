<?php

declare(strict_types=1);

namespace App\Operations\Events;

use App\Audit\Audited;
use App\Audit\Entry;

/** An archive of the whole academy was made: it holds what is erased here later. */
final readonly class HousePacked implements Audited
{
    /** @param  array{rows: int, files: int, bytes: int}  $held */
    public function __construct(public string $id, public array $held)
    {
    }

    public function entry(): Entry
    {
        return new Entry(null, 'house-packed', 'academy', ['archive' => $this->id, 'bytes' => $this->held['bytes']]);
    }
}
