<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Film;
use App\Models\User;

/** A film was brought to the clock of the trace, or its match was taken back. */
final readonly class FilmClockSet implements Audited
{
    public function __construct(
        public Film $film,
        public string $how,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'film-clock', "recording {$this->film->recording->public_id}", [
            'view' => $this->film->view,
            'by' => $this->how,
            'offset_s' => round($this->film->offset_s, 5),
            'drift_ppm' => round($this->film->drift_ppm, 1),
        ]);
    }
}
