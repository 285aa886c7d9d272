<?php

declare(strict_types=1);

namespace App\Bench\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Recording;
use App\Models\User;
use Core\Motion\Station;

/** A station was put where a person says it is, or that was taken back. */
final readonly class StationMarked implements Audited
{
    public function __construct(
        public Recording $recording,
        public Station $station,
        public ?float $t,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry(
            $this->by,
            $this->t === null ? 'unmark' : 'mark',
            "station {$this->station->value}, recording {$this->recording->public_id}",
            $this->t === null ? [] : ['t_s' => $this->t],
        );
    }
}
