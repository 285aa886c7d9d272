<?php

declare(strict_types=1);

namespace App\Debrief\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\DebriefDecision;
use App\Models\User;

/** What a debrief decided is done. */
final readonly class DecisionDone implements Audited
{
    public function __construct(public DebriefDecision $decision, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'decision-done', "decision {$this->decision->id}", []);
    }
}
