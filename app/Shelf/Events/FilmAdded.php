<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Recording;
use App\Models\User;
use Core\Motion\View;

/** A film of a recording begins to arrive. */
final readonly class FilmAdded implements Audited
{
    public function __construct(
        public Recording $recording,
        public View $view,
        public string $name,
        public int $bytes,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'film', "recording {$this->recording->public_id}", [
            'view' => $this->view->value,
            'name' => $this->name,
            'bytes' => $this->bytes,
        ]);
    }
}
