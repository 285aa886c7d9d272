<?php

declare(strict_types=1);

namespace App\Operations\Events;

use App\Audit\Audited;
use App\Audit\Entry;

/** The academy came here whole from another machine. */
final readonly class MovedIn implements Audited
{
    public function __construct(public string $id, public string $made)
    {
    }

    public function entry(): Entry
    {
        return new Entry(null, 'house-moved-in', 'academy', ['archive' => $this->id, 'made_at' => $this->made]);
    }
}
