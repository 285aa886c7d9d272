<?php

declare(strict_types=1);

namespace App\Panel\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\KeyVersion;
use App\Models\Sitting;

/** A published panel has a key of a further version. */
final readonly class KeyMadeAnew implements Audited
{
    public function __construct(
        public Sitting $panel,
        public KeyVersion $key,
        public KeyVersion $before,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry(null, 'key-again', "round {$this->panel->name}", [
            'key_version' => $this->key->number,
            'before' => $this->before->number,
        ]);
    }
}
