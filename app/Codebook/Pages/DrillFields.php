<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Words\Term;
use Core\Codebook\CodebookDocument;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSide;
use Core\Codebook\Rung;
use Core\Measurement\Measure;

/**
 * What the form of a drill asks: how it is done and prescribed, what it loads, and what it does to which fault.
 *
 * @phpstan-import-type Group from RowPage
 */
final class DrillFields
{
    /**
     * @param  array<string, mixed>  $row
     * @return list<Group>
     */
    public static function of(CodebookDocument $document, string $key, array $row): array
    {
        $word = static fn (string $name): string => (string) __("draft.fields.$name");

        return [
            RowPage::group($word('done'), [
                Field::text('name', $word('name'), $row['name'] ?? ''),
                Field::text('for', $word('for'), $row['for'] ?? ''),
                Field::area('not', $word('not'), $row['not'] ?? ''),
                Field::text('set_up', $word('set_up'), $row['set_up'] ?? ''),
                Field::lines('steps', $word('steps'), $row['steps'] ?? [], $word('a-line-each')),
                Field::text('far', $word('far'), $row['far'] ?? ''),
                Field::text('caution', $word('caution'), $row['caution'] ?? ''),
                Field::check(
                    'harms',
                    $word('warning'),
                    ($row['harms'] ?? false) === true,
                    (string) __('draft.hints.warning'),
                ),
            ]),
            RowPage::group($word('does'), [
                Field::ticks(
                    'helped',
                    $word('helped'),
                    self::linked($document, 'helps', $key),
                    RowPage::faults($document),
                ),
                Field::ticks(
                    'harmed',
                    $word('harmed'),
                    self::linked($document, 'harms', $key),
                    RowPage::faults($document),
                ),
                ...self::expected($row),
            ]),
            RowPage::group($word('prescribed'), self::plan((array) ($row['plan'] ?? []))),
            RowPage::group($word('by-lens'), self::variants((array) ($row['plan'] ?? []), $document->lenses()), true),
        ];
    }

    /** @return list<string> faults that name it among what helps, or harms */
    private static function linked(CodebookDocument $document, string $member, string $drill): array
    {
        $out = [];
        foreach ($document->whole()['faults'] as $fault => $row) {
            if (in_array($drill, (array) ($row[$member] ?? []), true)) {
                $out[] = (string) $fault;
            }
        }

        return $out;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return list<Field>
     */
    private static function expected(array $row): array
    {
        $expected = (array) ($row['expected'] ?? []);
        $fields = $measures = [];
        foreach (Measure::cases() as $m) {
            if (isset($expected[$m->value])) {
                $fields[] = Field::text("expected[$m->value]", Term::measure($m), $expected[$m->value]);
            } else {
                $measures[$m->value] = Term::measure($m);
            }
        }
        asort($measures);

        return [
            ...$fields,
            Field::choose(
                'new_expected[measure]',
                (string) __('draft.fields.new-expected'),
                '',
                ['' => (string) __('draft.fields.none'), ...$measures],
            ),
            Field::text('new_expected[says]', (string) __('draft.fields.new-says'), ''),
        ];
    }

    /**
     * @param  array<mixed>  $plan
     * @return list<Field>
     */
    private static function plan(array $plan): array
    {
        $rungs = $loads = $of = [];
        foreach (Rung::cases() as $rung) {
            $rungs[$rung->value] = (string) __("codebook.rungs.$rung->value");
        }
        foreach (LimitRegion::cases() as $region) {
            $name = (string) __("limits.regions.$region->value");
            $of[$region->value] = $name;
            foreach ($region->hasSides() ? LimitSide::cases() : [] as $side) {
                $of["$region->value/$side->value"] = __("limits.sides.$side->value")." $name";
            }
        }
        foreach ((array) ($plan['loads'] ?? []) as $load) {
            $load = array_filter((array) $load, is_string(...));
            $loads[] = implode('/', array_intersect_key($load, ['region' => 1, 'side' => 1]));
        }
        $text = static fn (string $name): Field => Field::text(
            "plan[$name]",
            (string) __("codebook.drills.$name"),
            $plan[$name] ?? '',
        );

        return [
            ...array_map($text, ['dose', 'check', 'pass', 'stop']),
            Field::choose('plan[from]', (string) __('draft.fields.from'), $plan['from'] ?? '', $rungs),
            Field::choose('plan[to]', (string) __('draft.fields.to'), $plan['to'] ?? '', $rungs),
            ...array_map($text, ['ball', 'feels']),
            Field::ticks('loads', (string) __('draft.fields.loads'), $loads, $of, (string) __('draft.hints.loads')),
        ];
    }

    /**
     * @param  array<mixed>  $plan
     * @param  array<string, string>  $lenses
     * @return list<Field> by lens whether it is used, and how
     */
    private static function variants(array $plan, array $lenses): array
    {
        $fields = [];
        foreach ($lenses as $lens => $name) {
            $variant = (array) (((array) ($plan['lenses'] ?? []))[$lens] ?? []);
            $fields[] = Field::check(
                "variants[$lens][used]",
                (string) __('draft.fields.used', ['lens' => $name]),
                ($variant['used'] ?? false) === true,
            );
            $fields[] = Field::text(
                "variants[$lens][says]",
                (string) __('draft.fields.variant', ['lens' => $name]),
                $variant['says'] ?? '',
            );
        }

        return $fields;
    }
}
