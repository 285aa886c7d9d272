<?php

declare(strict_types=1);

namespace App\Academy\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\User;

/** The academy itself was begun, changed or grouped. */
final readonly class AcademyChanged implements Audited
{
    /**
     * @param  string  $action  of lang/en/record.php
     * @param  array<string, mixed>  $details
     */
    public function __construct(public string $action, public ?User $by, public array $details = [])
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, $this->action, 'academy', $this->details);
    }
}
