<?php

declare(strict_types=1);

namespace App\Operations\Events;

use App\Audit\Audited;
use App\Audit\Entry;

/** The installation has other secrets. */
final readonly class SecretsRotated implements Audited
{
    /** @param  'key'|'database'  $what */
    public function __construct(public string $what, public int $count)
    {
    }

    public function entry(): Entry
    {
        return new Entry(null, 'secrets-rotated', "secrets $this->what", ['count' => $this->count]);
    }
}
