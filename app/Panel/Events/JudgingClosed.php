<?php

declare(strict_types=1);

namespace App\Panel\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** The judging of a panel’s drills is closed. */
final readonly class JudgingClosed implements Audited
{
    public function __construct(public Sitting $panel, public int $scores, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'judging-closed', "round {$this->panel->name}", ['scores' => $this->scores]);
    }
}
