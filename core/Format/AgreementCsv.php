<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Agreement\Study\ItemResult;
use Core\Format\Json\StudyJson;
use Core\Remark\InWords;

/** The figures of an agreement study as tidy rows: one figure a row, with what it is of and how sure it is. */
final class AgreementCsv
{
    public const HEADER = [
        'item',
        'kind',
        'figure',
        'a',
        'b',
        'n',
        'estimate',
        'se',
        'low',
        'high',
        'method',
        'reason',
        'clusters',
        'new_raters_se',
        'new_raters_low',
        'new_raters_high',
    ];

    /**
     * @param  ItemResult  $of  one item, or several pooled
     * @return \Generator<list<string|int|float|null>>
     */
    public static function rows(string $item, ItemResult $of, InWords $words): \Generator
    {
        $block = StudyJson::published($words)->item($of);
        $ways = ['three_way', 'abstention', 'mean_over_items'];
        foreach (['' => $block, ...array_combine(
            array_map(static fn (string $way): string => "$way ", $ways),
            array_map(static fn (string $way): array => self::list($block, $way), $ways),
        )] as $way => $part) {
            foreach (['coefficients' => 'coefficient', 'specific_agreement' => 'specific_agreement'] as $key => $kind) {
                foreach (self::list($part, $key) as $name => $f) {
                    yield self::row($item, $way.$kind, (string) $name, null, null, $block['cases'] ?? null, $f);
                }
            }
        }
        $tables = [
            'pair' => self::list($block, 'pairs'),
            'rater_vs_rest' => self::list($block, 'raters_vs_rest'),
            'self' => self::list($block, 'self'),
            'against_key' => self::list($block, 'against_key'),
            'abstention against_key' => self::list(self::list($block, 'abstention'), 'against_key'),
            'key_error' => self::list(self::list($block, 'key_error'), 'raters'),
        ];
        foreach ($tables as $kind => $rows) {
            foreach ($rows as $row) {
                $row = (array) $row;
                foreach (array_diff_key($row, ['a' => 1, 'b' => 1, 'rater' => 1, 'n' => 1]) as $name => $f) {
                    yield self::row(
                        $item,
                        $kind,
                        (string) $name,
                        $row['a'] ?? ($row['rater'] ?? null),
                        $row['b'] ?? null,
                        $row['n'] ?? null,
                        $f,
                    );
                }
            }
        }
    }

    /**
     * @param  array<int|string, mixed>  $of
     * @return array<int|string, mixed>
     */
    private static function list(array $of, string $key): array
    {
        return (array) ($of[$key] ?? []);
    }

    /** @return list<string|int|float|null> */
    private static function row(
        string $item,
        string $kind,
        string $name,
        mixed $a,
        mixed $b,
        mixed $n,
        mixed $figure,
    ): array {
        $f = is_array($figure)
            ? $figure
            : [
                'estimate' => $figure,
                'method' => $figure === null ? null : 'point',
                'reason' => $figure === null ? 'not defined here' : null,
            ];
        $plain = static fn (mixed $v): string|int|float|null => is_scalar($v) && ! is_bool($v) ? $v : null;

        return [
            $item,
            $kind,
            $name,
            $plain($a),
            $plain($b),
            $plain($n),
            ...array_map(static fn (string $k): string|int|float|null => $plain($f[$k] ?? null), [
                'estimate',
                'se',
                'low',
                'high',
                'method',
                'reason',
                'clusters',
            ]),
            ...array_map(
                static fn (string $k): string|int|float|null => $plain(self::list($f, 'new_raters')[$k] ?? null),
                ['se', 'low', 'high'],
            ),
        ];
    }
}
