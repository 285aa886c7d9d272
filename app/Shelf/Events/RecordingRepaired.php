<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Recording;
use App\Models\User;
use Core\Trace\RepairKind;

/** What was wrong with a whole trace was set right at a person's yes, or that was taken back. */
final readonly class RecordingRepaired implements Audited
{
    public function __construct(
        public Recording $recording,
        public RepairKind $kind,
        public bool $isBack,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry(
            $this->by,
            $this->isBack ? 'repair-back' : 'repair',
            "recording {$this->recording->public_id}",
            ['repair' => $this->kind->value],
        );
    }
}
