<?php

declare(strict_types=1);

namespace App\Panel\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** A following round of a panel is opened. */
final readonly class FollowingOpened implements Audited
{
    public function __construct(public Sitting $round, public int $questions, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'following-opened', "round {$this->round->name}", ['questions' => $this->questions]);
    }
}
