<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Format\FormatException;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Remark\InWords;
use Core\Remark\Remark;
use Core\Trace\Signal;

/** What was measured: kept whole and unrounded, published with sentences beside the codes. */
final class MeasuredJson
{
    /** Of measures, findings and verdicts as rows keep them; stands beside them in the row. */
    public const VERSION = 1;

    /** @return array<string, mixed> by measure key; of one taken at several stations by their codes */
    public static function write(Measurements $measurements): array
    {
        return array_map(
            static fn (Measured|array $m): array => $m instanceof Measured
                ? self::one($m)
                : array_map(self::one(...), $m),
            $measurements->all(),
        );
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): Measurements
    {
        $out = [];
        foreach (JsonObject::from($data, 'the measurements')->members() as $key => $found) {
            if (Measure::tryFrom($key) === null) {
                throw $found->wrong($key, 'no-measure');
            }
            $out[$key] = self::isSingle($found)
                ? self::measured($found)
                : array_map(self::measured(...), $found->members());
        }

        return new Measurements($out);
    }

    /** @return array<string, mixed> as trace:measure prints it */
    public static function publish(Measurements $measurements, InWords $words): array
    {
        $one = static fn (Measured $m): array => self::published($m, $words);

        return array_map(
            static fn (Measured|array $m): array => $m instanceof Measured ? $one($m) : [
                'value' => array_map($one, $m),
            ],
            $measurements->all(),
        );
    }

    private static function isSingle(JsonObject $found): bool
    {
        return in_array('value', $found->names(), true);
    }

    /** @return array<string, mixed> */
    private static function one(Measured $m): array
    {
        return ['value' => $m->value, 'unit' => $m->unit] +
            self::without([
                'uncertainty' => $m->uncertainty,
                'reason' => RemarkJson::orNull($m->reason),
                'censored' => $m->censored,
                'stations' => $m->stations === [] ? null : $m->stations,
                'derived' => $m->derived ? true : null,
                'window_s' => $m->window,
                'indirect' => RemarkJson::orNull($m->proxy),
                'also' => $m->also,
                'station' => $m->near,
                'widened' => RemarkJson::orNull($m->widened),
                'signals' => $m->signals === null ? null : array_map(
                    static fn (Signal $s): string => $s->value,
                    $m->signals,
                ),
                'moments_s' => $m->moments,
            ]);
    }

    /** @throws FormatException */
    private static function measured(JsonObject $o): Measured
    {
        $value = $o->plain()['value'] ?? null;
        $also = $o->optionalObject('also');
        $window = $o->has('window_s') ? $o->numbers('window_s', 2) : null;
        $censored = $o->optionalText('censored');

        return new Measured(
            $o->text('unit'),
            match (true) {
                is_int($value) => (float) $value,
                is_array($value) => $o->texts('value'),
                $value === null, is_string($value), is_float($value) => $value,
                default => throw $o->wrong('value', 'no-value'),
            },
            $o->optionalNumber('uncertainty'),
            RemarkJson::readOrNull($o->plain()['reason'] ?? null),
            $censored === null || $censored === 'below' || $censored === 'above'
                ? $censored
                : throw $o->wrong('censored', 'below-or-above'),
            $o->texts('stations'),
            $o->isTrue('derived'),
            $window === null
                ? null
                : [
                    $window[0] ?? throw $o->wrong('window_s', 'two-times'),
                    $window[1] ?? throw $o->wrong('window_s', 'two-times'),
                ],
            RemarkJson::readOrNull($o->plain()['indirect'] ?? null),
            $also === null ? null : ['value' => $also->number('value'), 'unit' => $also->text('unit')],
            $o->optionalText('station'),
            RemarkJson::readOrNull($o->plain()['widened'] ?? null),
            $o->has('signals')
                ? array_map(
                    static fn (string $s): Signal => Signal::tryFrom($s) ??
                        throw $o->wrong('signals', 'unknown-name'),
                    $o->texts('signals'),
                )
                : null,
            $o->has('moments_s') ? $o->numbers('moments_s', 8) : null,
        );
    }

    /** @return array<string, mixed> */
    private static function published(Measured $m, InWords $words): array
    {
        if ($m->value === null) {
            return ['value' => null, ...self::said('reason', $m->reason, $words)];
        }

        return [
            'value' => is_float($m->value) ? round($m->value, 4) : $m->value,
            'unit' => $m->unit,
            'uncertainty' => $m->uncertainty === null ? null : round($m->uncertainty, 4),
            ...self::without(['censored' => $m->censored]),
            ...self::said('reason', $m->reason, $words),
            ...self::without([
                'also' => $m->also === null ? null : [
                    'value' => round($m->also['value'], 3),
                    'unit' => $m->also['unit'],
                ],
                'station' => $m->near,
                'derived' => $m->derived ? true : null,
            ]),
            ...self::said('indirect', $m->proxy, $words),
            ...self::said('widened', $m->widened, $words),
            ...self::without([
                'stations' => $m->stations === [] ? null : $m->stations,
                'window_s' => $m->window === null ? null : [round($m->window[0], 4), round($m->window[1], 4)],
            ]),
        ];
    }

    /** @return array<string, mixed> the sentence, and the code beside it */
    private static function said(string $name, ?Remark $remark, InWords $words): array
    {
        return $remark === null ? [] : [$name => $words->phrase($remark), "{$name}_code" => RemarkJson::write($remark)];
    }

    /**
     * @param  array<string, mixed>  $members
     * @return array<string, mixed>
     */
    private static function without(array $members): array
    {
        return array_filter($members, static fn (mixed $v): bool => $v !== null);
    }
}
