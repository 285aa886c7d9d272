<?php

declare(strict_types=1);

namespace App\Operations\Events;

use App\Audit\Audited;
use App\Audit\Entry;

/** A backup was made. */
final readonly class BackupMade implements Audited
{
    public function __construct(public string $name, public int $files)
    {
    }

    public function entry(): Entry
    {
        return new Entry(null, 'backup-made', "backup $this->name", ['files' => $this->files]);
    }
}
