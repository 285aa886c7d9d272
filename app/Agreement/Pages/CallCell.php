<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\KeyEntry;
use Core\Reading\Presence;

/** One call as it stands in a table of everybody's: what was said, how surely, and how it stands to the key. */
final readonly class CallCell
{
    /**
     * @param  bool|null  $right  null where the key says nothing, or the call does not count
     * @param  string  $note  why it does not count, or that it could not have been seen
     */
    private function __construct(public string $presence, public string $sure, public ?bool $right, public string $note)
    {
    }

    /** @param  bool  $seen  whether what this reader was shown can tell it */
    public static function of(
        Presence $presence,
        ?int $confidence,
        bool $exposed,
        ?KeyEntry $entry,
        bool $seen,
        bool $panel,
    ): self {
        $label = $entry?->scoredLabel();
        $note = match (true) {
            $exposed => 'exposed',
            $panel => 'panel',
            ! $seen && $presence !== Presence::CannotTell => 'unsupported',
            default => '',
        };

        return new self(
            $presence->value,
            $confidence === null ? '' : "$confidence %",
            $label === null || $note !== '' || $presence === Presence::CannotTell
                ? null
                : $presence->value === $label,
            $note === '' ? '' : (string) __("agreement.behind.notes.$note"),
        );
    }
}
