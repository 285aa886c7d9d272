<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Consensus\Consensus;
use Core\Consensus\Grade;
use Core\Consensus\KeyEntry;
use Core\Consensus\Label;
use Core\Motion\Station;

/** One entry of a key: docs/schemas/key.schema.json. */
final class KeyEntryJson
{
    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function write(KeyEntry $entry): array
    {
        $c = $entry->consensus;

        return [
            'version' => self::VERSION,
            'item' => $entry->item,
            'label' => $c->label->value,
            'grade' => $entry->grade->value,
            'present' => $c->present,
            'absent' => $c->absent,
            'cannot_tell' => $c->cannotTell,
            'severity' => $c->severity,
            'onset' => $c->onset?->value,
            'measured' => JudgementJson::write($entry->judgement),
        ];
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): KeyEntry
    {
        $o = JsonObject::from($data, 'a key entry');
        if ($o->whole('version') !== self::VERSION) {
            throw $o->wrong('version', 'version-unknown');
        }

        return new KeyEntry(
            $o->text('item'),
            new Consensus(
                $o->one(Label::class, 'label'),
                $o->whole('present'),
                $o->whole('absent'),
                $o->whole('cannot_tell'),
                $o->optionalNumber('severity'),
                $o->optionalOne(Station::class, 'onset'),
            ),
            JudgementJson::read($o->plain()['measured'] ?? null),
            $o->one(Grade::class, 'grade'),
        );
    }
}
