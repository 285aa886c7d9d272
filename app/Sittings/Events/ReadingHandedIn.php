<?php

declare(strict_types=1);

namespace App\Sittings\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Reading;
use App\Models\User;
use Core\Reading\Stage;

/** A reading is locked. */
final readonly class ReadingHandedIn implements Audited
{
    public function __construct(
        public Reading $reading,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry(
            $this->by,
            $this->reading->stage === Stage::Blind ? 'hand-in' : 'hand-in-again',
            "case {$this->reading->position}, {$this->reading->case->sitting->name}",
            ['reading' => $this->reading->public_id, 'version' => $this->reading->version],
        );
    }
}
