<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Recording;
use App\Models\User;

/** A file became a recording on the Shelf. */
final readonly class RecordingImported implements Audited
{
    public function __construct(
        public Recording $recording,
        public string $file,
        public ?User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'import', "recording {$this->recording->public_id}", ['file' => $this->file]);
    }
}
