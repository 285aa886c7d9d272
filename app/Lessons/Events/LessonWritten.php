<?php

declare(strict_types=1);

namespace App\Lessons\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Golfer;
use App\Models\User;

/** Something was prescribed to a golfer, handed over, or followed up. */
final readonly class LessonWritten implements Audited
{
    /**
     * @param  'prescription-begun'|'prescription-dropped'|'prescription-handed-over'|'follow-up-begun'|'follow-up-felt'  $what
     * @param  array<string, int|string>  $with  ids and codes
     */
    public function __construct(public string $what, public Golfer $golfer, public array $with, public User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, $this->what, "golfer {$this->golfer->id}", $this->with);
    }
}
