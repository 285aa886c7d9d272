<?php

declare(strict_types=1);

namespace App\Operations\Events;

use App\Audit\Audited;
use App\Audit\Entry;

/** The machine's clock was put back while the application ran. */
final readonly class ClockPutBack implements Audited
{
    public function __construct(public int $seconds)
    {
    }

    public function entry(): Entry
    {
        return new Entry(null, 'clock-put-back', 'academy', ['seconds' => $this->seconds]);
    }
}
