<?php

declare(strict_types=1);

namespace App\Debrief\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\DebriefDecision;
use App\Models\DebriefSession;
use App\Models\User;

/** A debrief has decided something. */
final readonly class DecisionTaken implements Audited
{
    public function __construct(public DebriefSession $session, public DebriefDecision $decision, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'decision-taken', "round {$this->session->loadMissing('sitting')->sitting->name}", ['decision' => $this->decision->id]);
    }
}
