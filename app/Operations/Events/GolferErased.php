<?php

declare(strict_types=1);

namespace App\Operations\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Erasure;
use App\Models\User;

/** A golfer was erased on request. */
final readonly class GolferErased implements Audited
{
    public function __construct(public int $golfer, public Erasure $receipt, public User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'golfer-erased', "golfer $this->golfer", [
            'receipt' => $this->receipt->public_id,
            'swings' => $this->receipt->counts['swings'] ?? 0,
        ]);
    }
}
