<?php

declare(strict_types=1);

namespace App\Codebook\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\CodebookExample;
use App\Models\User;

/** A recording stands in the codebook as an example. */
final readonly class ExampleAdded implements Audited
{
    public function __construct(public CodebookExample $example, public User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'example', "recording {$this->example->recording->public_id}", [
            'fault' => $this->example->fault,
            'shows' => $this->example->shows,
        ]);
    }
}
