<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Film;
use App\Models\Recording;
use App\Models\User;

/** A film was taken away, with its file. */
final readonly class FilmRemoved implements Audited
{
    public function __construct(
        public Film $film,
        public Recording $recording,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'film-removed', "recording {$this->recording->public_id}", [
            'view' => $this->film->view,
            'name' => $this->film->name,
        ]);
    }
}
