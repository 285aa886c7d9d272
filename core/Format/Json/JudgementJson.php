<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Codebook\Condition;
use Core\Codebook\Judgement;
use Core\Codebook\Verdict;
use Core\Format\FormatException;
use Core\Measurement\Measure;

/**
 * A verdict with what it came from. The margin is kept as it was found: what is decided from it later is not decided
 * from a rounded one.
 */
final class JudgementJson
{
    /** Frozen keys keep theirs for good, so each says by which version it was written. */
    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function write(Judgement $judgement): array
    {
        return [
            'version' => self::VERSION,
            'verdict' => $judgement->verdict->value,
            'margin' => $judgement->margin,
            'why' => RemarkJson::write($judgement->why),
            'by_proxy' => RemarkJson::orNull($judgement->proxy),
            'deciding' => array_map(self::condition(...), $judgement->deciding),
        ];
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): Judgement
    {
        $o = JsonObject::from($data, 'a verdict');
        if ($o->whole('version') > self::VERSION) {
            throw $o->wrong('version', 'version-unknown');
        }

        return new Judgement(
            $o->one(Verdict::class, 'verdict'),
            $o->optionalNumber('margin'),
            RemarkJson::read($o->plain()['why'] ?? null),
            RemarkJson::readOrNull($o->plain()['by_proxy'] ?? null),
            array_map(self::readCondition(...), $o->objects('deciding')),
        );
    }

    /** @return array{measure: string, station: string|null, op: string, threshold: float|string} */
    public static function condition(Condition $c): array
    {
        return [
            'measure' => $c->measure->value,
            'station' => $c->station,
            'op' => $c->op,
            'threshold' => $c->threshold,
        ];
    }

    /** @throws FormatException */
    private static function readCondition(JsonObject $o): Condition
    {
        $op = $o->text('op');

        return new Condition(
            $o->one(Measure::class, 'measure'), $o->optionalText('station'),
            in_array($op, ['<', '<=', '>', '>=', 'is', 'not'], true) ? $op : throw $o->wrong('op', 'no-operator'),
            in_array($op, ['is', 'not'], true) ? $o->text('threshold') : $o->number('threshold'),
        );
    }
}
