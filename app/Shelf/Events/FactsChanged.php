<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Recording;
use App\Models\User;

/** What is known of a swing was set right. */
final readonly class FactsChanged implements Audited
{
    /**
     * @param  array<string, mixed>  $before  by field
     * @param  array<string, mixed>  $after  by field
     */
    public function __construct(
        public Recording $recording,
        public array $before,
        public array $after,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'facts', "recording {$this->recording->public_id}", [
            'fields' => implode(', ', array_keys($this->after)),
            'before' => $this->before,
            'after' => $this->after,
        ]);
    }
}
