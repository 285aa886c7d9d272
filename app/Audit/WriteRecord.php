<?php

declare(strict_types=1);

namespace App\Audit;

use Illuminate\Support\Facades\DB;

/** Writes what happened into the record at once, within the transaction in which it happened. */
final readonly class WriteRecord
{
    public function __construct(private SubjectKeys $keys)
    {
    }

    public function handle(Audited $event): void
    {
        $entry = $event->entry();
        DB::table('audit_entries')->insert(RecordChain::row(
            $entry->by?->id,
            $entry->action,
            $entry->subject,
            $entry->details,
            $entry->personal === [] ? null : $this->keys->seal($entry->subject, $entry->personal),
        ));
    }
}
