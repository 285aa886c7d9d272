<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Words\Term;
use Core\Codebook\ClubGroup;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultRules;
use Core\Codebook\Observability;
use Core\Measurement\Measure;
use Core\Motion\Station;
use Core\Reading\Miss;

/**
 * What the form of a fault asks: what it is, how it can be seen, and its rules at every place they stand.
 *
 * @phpstan-import-type Group from RowPage
 */
final class FaultFields
{
    /**
     * @param  array<string, mixed>  $row
     * @return list<Group>
     */
    public static function of(CodebookDocument $document, string $key, array $row): array
    {
        $word = static fn (string $name): string => (string) __("draft.fields.$name");
        $area = static fn (string $name): Field => Field::area($name, $word($name), $row[$name] ?? '');
        $drills = array_map(static fn ($d): string => $d->name, $document->drills());
        $stations = $misses = [];
        foreach (Station::cases() as $station) {
            $stations[$station->value] = "$station->value – ".Term::station($station);
        }
        foreach (Miss::cases() as $miss) {
            $misses[$miss->value] = (string) __("reading.misses.$miss->value");
        }

        return [
            RowPage::group($word('is'), [
                Field::text('name', $word('name'), $row['name'] ?? ''),
                Field::choose('station', $word('station'), $row['station'] ?? '', $stations),
                $area('look_for'),
                $area('in_the_trace'),
                Field::lines(
                    'confused_with',
                    $word('confused_with'),
                    $row['confused_with'] ?? [],
                    $word('a-line-each'),
                ),
                $area('counter_example'),
                $area('disagreement'),
            ]),
            RowPage::group($word('follows'), [
                Field::ticks('misses', $word('misses'), $row['misses'] ?? [], $misses),
                Field::text('cause', $word('cause'), $row['cause'] ?? ''),
                Field::text('consequence', $word('consequence'), $row['consequence'] ?? ''),
                Field::ticks('helps', $word('helps'), $row['helps'] ?? [], $drills),
                Field::ticks('harms', $word('harms'), $row['harms'] ?? [], $drills),
            ]),
            RowPage::group($word('where'), [
                Field::ticks('off', $word('off'), self::off($document, $key), $document->lenses()),
                Field::check('not_of_pitches', $word('not_of_pitches'), ($row['not_of_pitches'] ?? false) === true),
            ]),
        ];
    }

    /** @return list<string> lenses under which it does not count */
    private static function off(CodebookDocument $document, string $key): array
    {
        $out = [];
        foreach ($document->whole()['lenses'] as $lens => $row) {
            if (in_array($key, (array) ($row['off'] ?? []), true)) {
                $out[] = (string) $lens;
            }
        }

        return $out;
    }

    /**
     * On what it can be seen, in the order in which it is asked, and a line more for another.
     *
     * @param  array<string, mixed>  $row
     * @return array{rows: list<array{i: int, title: string, fields: list<Field>}>}
     */
    public static function sights(array $row): array
    {
        $rows = [];
        $sight = [];
        foreach (Observability::cases() as $case) {
            $sight[$case->value] = (string) __("codebook.observability.$case->value");
        }
        foreach ([...array_values((array) ($row['sights'] ?? [])), []] as $i => $entry) {
            $entry = (array) $entry;
            $word = static fn (string $name): string => (string) __("draft.fields.$name");
            $needs = array_filter((array) ($entry['needs'] ?? []), is_string(...));
            $rows[] = [
                'i' => $i,
                'title' => $needs === []
                    ? $word('another-sight')
                    : implode(' + ', array_map(static fn (string $k): string => (string) __("draft.kinds.$k"), $needs))
                        .' – '.($sight[is_string($entry['sight'] ?? null) ? $entry['sight'] : ''] ?? ''),
                'fields' => [
                    Field::ticks("sights[$i][needs]", $word('needs'), $needs, RowPage::kinds()),
                    Field::choose(
                        "sights[$i][sight]",
                        $word('sight'),
                        $entry['sight'] ?? Observability::Indirect->value,
                        $sight,
                    ),
                    Field::text("sights[$i][proxy]", $word('proxy'), $entry['proxy'] ?? ''),
                    Field::text("sights[$i][rate_hz]", $word('rate_hz'), $entry['rate_hz'] ?? ''),
                ],
            ];
        }

        return ['rows' => $rows];
    }

    /**
     * What the builder of rules begins with: the rules by place, the places where one may stand, and what can be asked.
     *
     * @return array{places: list<array{place: string, name: string, supported: string, contradicted: string}>,
     *     more: array<string, string>, vocabulary: array<string, mixed>}
     */
    public static function rules(CodebookDocument $document, string $key): array
    {
        $rules = FaultRules::of($document, $key);
        $json = static fn (?array $rule): string => $rule === null
            ? ''
            : json_encode($rule, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        $names = self::places($document, $key);
        $places = [];
        foreach ($rules as $place => $pair) {
            $places[] = [
                'place' => $place,
                'name' => $names[$place] ?? $place,
                'supported' => $json($pair['supported']),
                'contradicted' => $json($pair['contradicted']),
            ];
        }

        return [
            'places' => $places,
            'more' => array_diff_key($names, $rules),
            'vocabulary' => self::vocabulary(),
        ];
    }

    /** @return array<string, string> every place where a rule of it may stand, in words */
    private static function places(CodebookDocument $document, string $key): array
    {
        $out = ['own' => (string) __('draft.places.own')];
        $clubs = $sights = [];
        foreach (ClubGroup::cases() as $club) {
            $clubs[$club->value] = (string) __("draft.clubs.$club->value");
            $out["club/$club->value"] = (string) __('draft.places.club', ['club' => $clubs[$club->value]]);
        }
        foreach ((array) ($document->whole()['faults'][$key]['sights'] ?? []) as $entry) {
            $needs = array_filter((array) (((array) $entry)['needs'] ?? []), is_string(...));
            if ($needs !== [] && (((array) $entry)['sight'] ?? '') === Observability::Indirect->value) {
                $sights[implode('+', $needs)] = implode(' + ', array_map(
                    static fn (string $kind): string => (string) __("draft.kinds.$kind"),
                    $needs,
                ));
            }
        }
        foreach ($sights as $needs => $name) {
            $out["sight/$needs"] = (string) __('draft.places.sight', ['sight' => $name]);
        }
        foreach ($document->lenses() as $lens => $name) {
            $out["lens/$lens"] = (string) __('draft.places.lens', ['lens' => $name]);
            foreach ($clubs as $club => $of) {
                $out["lens/$lens/club/$club"] = (string) __('draft.places.lens-club', ['lens' => $name, 'club' => $of]);
            }
            foreach ($sights as $needs => $of) {
                $out["lens/$lens/sight/$needs"] = (string) __('draft.places.lens-sight', ['lens' => $name, 'sight' => $of]);
            }
        }

        return $out;
    }

    /** @return array{measures: list<array{key: string, name: string, unit: string, stations: bool, words: list<string>}>,
     *     stations: list<string>} */
    private static function vocabulary(): array
    {
        $measures = [];
        foreach (Measure::cases() as $m) {
            if ($m->canBeAsked()) {
                $measures[] = [
                    'key' => $m->value,
                    'name' => Term::measure($m),
                    'unit' => $m->words() === [] ? $m->unit() : '',
                    'stations' => $m->isByStation(),
                    'words' => $m->words(),
                ];
            }
        }
        usort($measures, static fn (array $a, array $b): int => strcasecmp($a['name'], $b['name']));

        return [
            'measures' => $measures,
            'stations' => array_map(static fn (Station $s): string => $s->value, Station::cases()),
        ];
    }
}
