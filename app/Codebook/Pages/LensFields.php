<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Words\Term;
use Core\Codebook\ClubGroup;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Lens;
use Core\Measurement\Measure;
use Core\Motion\Station;

/**
 * What the form of a lens asks: what it teaches, the faults that do not count under it, its bands.
 *
 * @phpstan-import-type Group from RowPage
 */
final class LensFields
{
    /**
     * @param  array<string, mixed>  $row
     * @return list<Group>
     */
    public static function of(CodebookDocument $document, string $key, array $row): array
    {
        $word = static fn (string $name): string => (string) __("draft.fields.$name");

        return [
            RowPage::group($word('teaches'), [
                Field::text('name', $word('name'), $row['name'] ?? ''),
                Field::text('version', $word('version'), $row['version'] ?? '1'),
                Field::area('says', $word('says'), $row['says'] ?? ''),
                ...array_map(static fn (string $foot): Field => Field::text(
                    $foot,
                    (string) __("codebook.feet.$foot"),
                    $row[$foot] ?? '',
                ), Lens::FOOTWORK),
                Field::ticks('off', $word('not-counting'), $row['off'] ?? [], RowPage::faults($document)),
            ]),
        ];
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array{tables: list<array{title: string, rows: list<array{name: string, unit: string, field: string,
     *     low: string, high: string}>}>, measures: array<string, string>, clubs: array<string, string>}
     */
    public static function bands(array $row): array
    {
        $tables = [[
            'title' => (string) __('draft.bands.every'),
            'rows' => self::rows((array) ($row['bands'] ?? []), 'bands'),
        ]];
        $clubs = [];
        foreach (ClubGroup::cases() as $club) {
            $clubs[$club->value] = (string) __("draft.clubs.$club->value");
            $own = self::rows((array) (((array) ($row['by_club'] ?? []))[$club->value] ?? []), "by_club[$club->value]");
            if ($own !== []) {
                $tables[] = [
                    'title' => (string) __('draft.bands.club', ['club' => $clubs[$club->value]]),
                    'rows' => $own,
                ];
            }
        }
        $measures = [];
        foreach (Measure::cases() as $m) {
            foreach ($m->words() !== [] || ! $m->canBeAsked() ? [] : ($m->isByStation() ? Station::cases() : [null]) as $at) {
                $measures[$m->value.($at === null ? '' : "@$at->value")] = Term::measure($m, $at?->value);
            }
        }
        asort($measures);

        return ['tables' => $tables, 'measures' => $measures, 'clubs' => $clubs];
    }

    /**
     * @param  array<mixed>  $bands
     * @return list<array{name: string, unit: string, field: string, low: string, high: string}>
     */
    private static function rows(array $bands, string $field): array
    {
        $out = [];
        foreach ($bands as $name => $ends) {
            [$key, $station] = array_pad(explode('@', (string) $name), 2, null);
            $measure = Measure::from((string) $key);
            $end = static fn (int $i): string => is_scalar($v = ((array) $ends)[$i] ?? null) ? (string) $v : '';
            $out[] = [
                'name' => Term::measure($measure, $station),
                'unit' => $measure->unit(),
                'field' => $field."[$name]",
                'low' => $end(0),
                'high' => $end(1),
            ];
        }
        usort($out, static fn (array $a, array $b): int => strcasecmp($a['name'], $b['name']));

        return $out;
    }
}
