<?php

declare(strict_types=1);

namespace App\Operations\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\User;

/** How long things are held was set, or kept to. */
final readonly class RetentionKept implements Audited
{
    /** @param  array<string, mixed>  $details */
    public function __construct(public string $action, public User $by, public array $details)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, $this->action, 'academy', $this->details);
    }
}
