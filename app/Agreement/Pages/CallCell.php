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
     * @param  list<string>  $later  what the same reader called otherwise of the same case, when it came back or with
     *     the ball in view
     */
    private function __construct(
        public string $presence,
        public string $sure,
        public ?bool $right,
        public string $note,
        public array $later,
    ) {
    }

    /**
     * @param  bool  $seen  whether what this reader was shown can tell it
     * @param  array<'again'|'second', Presence>  $later
     */
    public static function of(
        Presence $presence,
        ?int $confidence,
        bool $exposed,
        ?KeyEntry $entry,
        bool $seen,
        bool $panel,
        array $later = [],
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
            self::later($presence, $later),
        );
    }

    /**
     * @param  array<'again'|'second', Presence>  $later
     * @return list<string>
     */
    private static function later(Presence $presence, array $later): array
    {
        $out = [];
        foreach ($later as $when => $said) {
            if ($said !== $presence) {
                $out[] = (string) __("agreement.behind.later.$when", ['said' => (string) __("calls.$said->value")]);
            }
        }

        return $out;
    }
}
