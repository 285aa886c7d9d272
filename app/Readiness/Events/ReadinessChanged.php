<?php

declare(strict_types=1);

namespace App\Readiness\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\User;

/** Something was decided, asked for or begun about somebody's readiness, or a rule was made. */
final readonly class ReadinessChanged implements Audited
{
    /**
     * @param  'rule'|'retired'|'asked'|'declined'|'begun'|'ended'|'stopped'|'decided'|'checks-started'|'checks-stopped'|'check-opened'  $what
     * @param  array<string, int|string>  $with  ids and codes
     */
    public function __construct(public string $what, public array $with, public ?User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, "readiness-$this->what", 'readiness', $this->with);
    }
}
