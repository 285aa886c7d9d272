<?php

declare(strict_types=1);

namespace App\Panel\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** The judging of a panel’s drills is opened. */
final readonly class JudgingOpened implements Audited
{
    public function __construct(public Sitting $panel, public int $questions, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'judging-opened', "round {$this->panel->name}", ['questions' => $this->questions]);
    }
}
