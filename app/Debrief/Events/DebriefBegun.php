<?php

declare(strict_types=1);

namespace App\Debrief\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\DebriefSession;
use App\Models\User;

/** A debrief is begun. */
final readonly class DebriefBegun implements Audited
{
    public function __construct(public DebriefSession $session, public int $cases, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'debrief-begun', "round {$this->session->loadMissing('sitting')->sitting->name}", ['cases' => $this->cases]);
    }
}
