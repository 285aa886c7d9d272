<?php

declare(strict_types=1);

namespace App\Report\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** The head coach's words in a round's report were changed. */
final readonly class ReportWritten implements Audited
{
    public function __construct(public Sitting $round, public User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'report-written', "round {$this->round->name}");
    }
}
