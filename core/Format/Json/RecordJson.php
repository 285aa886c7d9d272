<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Figure;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Profile\ScoredCall;
use Core\Remark\InWords;

/** One person's record against a key: the calls, and what follows from them (docs/schemas/record.schema.json). */
final class RecordJson
{
    public const VERSION = 1;

    /** @return array{version: int, calls: list<array<string, mixed>>} all that the rest follows from */
    public static function write(RaterProfile $profile): array
    {
        $golfers = [];
        $calls = [];
        foreach ($profile->calls as $c) {
            $golfer = $c->golfer === null ? null : $golfers[$c->golfer] ??= 'g'.(count($golfers) + 1);
            $calls[] = [...self::call($c), ...$golfer === null ? [] : ['cluster' => $golfer]];
        }

        return ['version' => self::VERSION, 'calls' => $calls];
    }

    /** @throws \Core\Format\FormatException when it is not what write() or publish() makes */
    public static function read(mixed $data): RaterProfile
    {
        $o = JsonObject::from($data, 'a record');
        if ($o->whole('version') !== self::VERSION) {
            throw $o->wrong('version', 'version-unknown');
        }

        return new RaterProfile(
            array_map(
                static fn (JsonObject $c): ScoredCall => new ScoredCall(
                    $c->text('case', 400),
                    $c->text('item', 400),
                    $c->isTrue('called'),
                    $c->isTrue('key'),
                    $c->optionalNumber('confidence'),
                    $c->optionalText('cluster', 400),
                ),
                $o->objects('calls'),
            ),
        );
    }

    /** @return array<string, mixed> */
    public static function publish(RaterProfile $profile, InWords $words): array
    {
        $items = [];
        foreach ($profile->byItem() as $item => [$tp, $fn, $fp, $tn]) {
            $items[] = [
                'item' => (string) $item,
                'found' => $tp,
                'missed' => $fn,
                'over_called' => $fp,
                'rightly_absent' => $tn,
            ];
        }

        return [
            ...self::write($profile),
            'figures' => array_map(static fn (Figure $f): array => FigureJson::publish($f, $words), $profile
                ->figures()),
            'items' => $items,
            'calibration' => $profile->calibration(),
            'surer_than_right' => $profile->swagger(),
        ];
    }

    /** @return array<string, mixed> */
    private static function call(ScoredCall $c): array
    {
        return [
            'case' => $c->case,
            'item' => $c->item,
            'called' => $c->called,
            'key' => $c->truth,
            'confidence' => $c->confidence,
        ];
    }
}
