<?php

declare(strict_types=1);

namespace App\Academy\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\User;

/** Something about a person's place in the academy. The record knows the person by number, never by name. */
final readonly class PersonChanged implements Audited
{
    /**
     * @param  string  $action  of lang/en/record.php
     * @param  array<string, mixed>  $details  codes and names of fields
     * @param  array<string, mixed>  $personal  what only the person's own key opens
     */
    public function __construct(
        public User $person,
        public string $action,
        public ?User $by,
        public array $details = [],
        public array $personal = [],
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, $this->action, "person {$this->person->id}", $this->details, $this->personal);
    }
}
