<?php

declare(strict_types=1);

namespace App\Undo\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\User;

/** What somebody had taken away they put back within the minute. */
final readonly class PutBack implements Audited
{
    /** @param  list<string>  $what  tables */
    public function __construct(public string $subject, public array $what, public User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'put-back', $this->subject, ['what' => implode(', ', $this->what)]);
    }
}
