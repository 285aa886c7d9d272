<?php

declare(strict_types=1);

namespace App\Codebook\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\CodebookVersion;
use App\Models\User;

/** A version of the codebook holds from now on. */
final readonly class CodebookTakenUp implements Audited
{
    public function __construct(
        public CodebookVersion $version,
        public string $note,
        public ?User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'codebook', "version {$this->version->version}", ['note' => $this->note]);
    }
}
