<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Figure;
use Core\Remark\InWords;

/** A figure as {"estimate", "se", "low", "high", "method"}, or {"estimate": null, "reason"}. */
final class FigureJson
{
    /** @return array<string, mixed> */
    public static function write(Figure $f): array
    {
        return $f->estimate === null
            ? ['estimate' => null, 'reason' => RemarkJson::orNull($f->reason)]
            : self::defined($f);
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): Figure
    {
        $o = JsonObject::from($data, 'a figure');
        if (! $o->has('estimate')) {
            return new Figure(null, null, null, null, '', RemarkJson::read($o->plain()['reason'] ?? null));
        }

        return new Figure(
            $o->number('estimate'),
            $o->optionalNumber('se'),
            $o->optionalNumber('low'),
            $o->optionalNumber('high'),
            $o->text('method'),
            null,
        );
    }

    /** @return array<string, mixed> with the reason in words, and its code beside it */
    public static function publish(Figure $f, InWords $words): array
    {
        return $f->reason === null
            ? self::defined($f)
            : [
                'estimate' => null,
                'reason' => $words->phrase($f->reason),
                'reason_code' => RemarkJson::write($f->reason),
            ];
    }

    /** @return array<string, mixed> */
    private static function defined(Figure $f): array
    {
        return [
            'estimate' => $f->estimate,
            'se' => $f->se,
            'low' => $f->low,
            'high' => $f->high,
            'method' => $f->method,
        ];
    }
}
