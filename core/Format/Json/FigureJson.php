<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Figure;
use Core\Agreement\NewReaders;
use Core\Remark\InWords;
use Core\Remark\Remark;

/**
 * A figure as {"estimate", "se", "low", "high", "method"}, or {"estimate": null, "reason"}. Where clusters held several
 * cases also "clusters", as how many of even size they count; where it may speak for other readers "new_raters",
 * {"se", "low", "high"} or {"reason"}. A reason beside numbers is a caution.
 */
final class FigureJson
{
    /** @return array<string, mixed> */
    public static function write(Figure $f): array
    {
        return self::figure($f, static fn (Remark $r): array => ['reason' => RemarkJson::write($r)]);
    }

    /** @return array<string, mixed> with the reason in words, and its code beside it */
    public static function publish(Figure $f, InWords $words): array
    {
        return self::figure($f, static fn (Remark $r): array => [
            'reason' => $words->phrase($r),
            'reason_code' => RemarkJson::write($r),
        ]);
    }

    /**
     * @param  \Closure(Remark): array<string, mixed>  $why
     * @return array<string, mixed>
     */
    private static function figure(Figure $f, \Closure $why): array
    {
        $reason = $f->reason === null ? [] : $why($f->reason);
        if ($f->estimate === null) {
            return ['estimate' => null, ...($reason === [] ? ['reason' => null] : $reason)];
        }
        $new = $f->newReaders;

        return [
            'estimate' => $f->estimate,
            'se' => $f->se,
            'low' => $f->low,
            'high' => $f->high,
            'method' => $f->method,
            ...($f->clusters === null ? [] : ['clusters' => $f->clusters]),
            ...($new === null ? [] : ['new_raters' => [
                ...($new->low === null ? [] : ['se' => $new->se, 'low' => $new->low, 'high' => $new->high]),
                ...($new->p === null ? [] : ['p' => $new->p]),
                ...($new->reason === null ? [] : $why($new->reason)),
            ]]),
            ...$reason,
        ];
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): Figure
    {
        $o = JsonObject::from($data, 'a figure');
        $reason = $o->plain()['reason'] ?? null;
        if (! $o->has('estimate')) {
            return new Figure(null, null, null, null, '', RemarkJson::read($reason));
        }

        return new Figure(
            $o->number('estimate'),
            $o->optionalNumber('se'),
            $o->optionalNumber('low'),
            $o->optionalNumber('high'),
            $o->text('method'),
            $reason === null ? null : RemarkJson::read($reason),
            $o->optionalNumber('clusters'),
            self::readNewReaders($o->optionalObject('new_raters')),
        );
    }

    /** @throws \Core\Format\FormatException */
    private static function readNewReaders(?JsonObject $o): ?NewReaders
    {
        if ($o === null) {
            return null;
        }
        $reason = $o->plain()['reason'] ?? null;

        return new NewReaders(
            $o->optionalNumber('se'),
            $o->optionalNumber('low'),
            $o->optionalNumber('high'),
            $reason === null ? null : RemarkJson::read($reason),
            $o->optionalNumber('p'),
        );
    }
}
