<?php

declare(strict_types=1);

namespace App\Academy\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Golfer;
use App\Models\User;

/**
 * Something about a golfer. The record knows the golfer by number; what is personal lies under the golfer's own key.
 */
final readonly class GolferChanged implements Audited
{
    /**
     * @param  string  $action  of lang/en/record.php
     * @param  array<string, mixed>  $details  codes and names of fields
     * @param  array<string, mixed>  $personal
     */
    public function __construct(
        public Golfer $golfer,
        public string $action,
        public ?User $by,
        public array $details = [],
        public array $personal = [],
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, $this->action, "golfer {$this->golfer->id}", $this->details, $this->personal);
    }
}
