<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\User;

/** A line of the record: who did what to what. */
final readonly class Entry
{
    /**
     * @param  ?User  $by  null: a command did
     * @param  string  $action  one of the codes worded in lang/en/record.php
     * @param  array<string, mixed>  $details
     * @param  array<string, mixed>  $personal  values of a person: kept under the subject's own key
     */
    public function __construct(
        public ?User $by,
        public string $action,
        public string $subject,
        public array $details = [],
        public array $personal = [],
    ) {
    }
}
