<?php

declare(strict_types=1);

namespace App\Debrief\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\DebriefSession;
use App\Models\User;

/** A debrief is over. */
final readonly class DebriefEnded implements Audited
{
    public function __construct(public DebriefSession $session, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'debrief-ended', "round {$this->session->loadMissing('sitting')->sitting->name}", []);
    }
}
