<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;

/**
 * Every place of a document where one fault's rules stand, each by its way: "own", "club/wedge", "lens/loaded-top",
 * "lens/loaded-top/club/wedge", and over what stands in for the fault "sight/mat", "lens/loaded-top/sight/mat".
 *
 * @phpstan-type Pair array{supported: array<mixed>|null, contradicted: array<mixed>|null}
 */
final class FaultRules
{
    private const MEMBERS = ['supported', 'contradicted'];

    /**
     * @return array<string, Pair> by place; the fault's own first
     *
     * @throws CoreException where there is no such fault
     */
    public static function of(CodebookDocument $document, string $fault): array
    {
        $data = $document->toArray();
        $row = $data['faults'][$fault] ?? throw CodebookException::because('no-fault', key: $fault);
        $out = ['own' => self::pair($row)];
        foreach (self::rows($row['by_club'] ?? []) as $club => $rules) {
            $out["club/$club"] = self::pair($rules);
        }
        foreach (self::rows($row['sights'] ?? []) as $entry) {
            $out['sight/'.self::needs($entry)] = self::pair($entry);
        }
        foreach ($data['lenses'] as $lens => $of) {
            $rules = self::rows($of['rules'] ?? [])[$fault] ?? [];
            if (self::pair($rules) !== self::pair([])) {
                $out["lens/$lens"] = self::pair($rules);
            }
            foreach (self::rows($rules['proxies'] ?? []) as $needs => $proxy) {
                $out["lens/$lens/sight/$needs"] = self::pair($proxy);
            }
            foreach (self::rows($of['rules_by_club'] ?? []) as $club => $by) {
                $own = self::rows($by)[$fault] ?? null;
                if ($own !== null) {
                    $out["lens/$lens/club/$club"] = self::pair($own);
                }
            }
        }

        return array_filter($out, static fn (array $pair): bool => $pair !== self::pair([]));
    }

    /**
     * The document with these rules of a fault and no others; what is no rule stays.
     *
     * @param  array<string, Pair>  $rules  by place
     *
     * @throws CoreException where a place is none of the document's, or the whole would not stand
     */
    public static function put(CodebookDocument $document, string $fault, array $rules): CodebookDocument
    {
        $data = $document->toArray();
        $row = $data['faults'][$fault] ?? throw CodebookException::because('no-fault', key: $fault);
        $data['faults'][$fault] = self::clear($row);
        foreach ($data['lenses'] as $lens => $of) {
            $data['lenses'][$lens] = self::withoutRulesOf($of, $fault);
        }
        $lenses = $document->lenses();
        foreach ($rules as $place => $pair) {
            $filled = array_filter($pair, static fn (?array $rule): bool => $rule !== null && $rule !== []);
            $way = self::way($fault, $row, explode('/', (string) $place));
            if ($way[0] === 'lenses' && ! isset($lenses[$way[1]])) {
                throw CodebookException::because('rule-place', place: (string) $place);
            }
            $data = $filled === [] ? $data : self::placed($data, $way, $filled);
        }

        return CodebookDocument::fromArray($data);
    }

    /**
     * @param  array<mixed>  $row
     * @return Pair
     */
    private static function pair(array $row): array
    {
        $of = static fn (string $member): ?array => is_array($row[$member] ?? null) ? $row[$member] : null;

        return ['supported' => $of('supported'), 'contradicted' => $of('contradicted')];
    }

    /** @return array<array-key, array<mixed>> what is no row is left to the reader of the document to refuse */
    private static function rows(mixed $of): array
    {
        return is_array($of) ? array_filter($of, is_array(...)) : [];
    }

    /** @param  array<mixed>  $entry */
    private static function needs(array $entry): string
    {
        return implode('+', array_filter((array) ($entry['needs'] ?? []), is_string(...)));
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private static function clear(array $row): array
    {
        $rules = array_fill_keys(self::MEMBERS, 1);
        $row['sights'] = array_map(
            static fn (mixed $entry): mixed => is_array($entry) ? array_diff_key($entry, $rules) : $entry,
            (array) ($row['sights'] ?? []),
        );

        return array_diff_key($row, $rules, ['by_club' => 1]);
    }

    /**
     * @param  array<string, mixed>  $lens
     * @return array<string, mixed>
     */
    private static function withoutRulesOf(array $lens, string $fault): array
    {
        $rules = (array) ($lens['rules'] ?? []);
        unset($rules[$fault]);
        if (isset($lens['rules'])) {
            $lens['rules'] = $rules;
        }
        $byClub = self::rows($lens['rules_by_club'] ?? []);
        foreach ($byClub as $club => $own) {
            unset($byClub[$club][$fault]);
        }
        if (isset($lens['rules_by_club'])) {
            $lens['rules_by_club'] = array_filter($byClub, static fn (array $own): bool => $own !== []);
        }

        return $lens;
    }

    /**
     * Where in a document the rules of a place stand.
     *
     * @param  array<string, mixed>  $row  of the fault
     * @param  list<string>  $place
     * @return list<string|int>
     *
     * @throws CoreException for what is no place of the document
     */
    private static function way(string $fault, array $row, array $place): array
    {
        [$what, $of, $then, $which] = array_pad($place, 4, null);
        $sight = array_search($of, array_map(self::needs(...), array_values(self::rows($row['sights'] ?? []))), true);
        $way = match (true) {
            $place === ['own'] => ['faults', $fault],
            $what === 'club' && count($place) === 2 => ['faults', $fault, 'by_club', $of],
            $what === 'sight' && count($place) === 2 && $sight !== false => ['faults', $fault, 'sights', $sight],
            $what === 'lens' && count($place) === 2 => ['lenses', $of, 'rules', $fault],
            $what === 'lens' && $then === 'club' => ['lenses', $of, 'rules_by_club', $which, $fault],
            $what === 'lens' && $then === 'sight' => ['lenses', $of, 'rules', $fault, 'proxies', $which],
            default => [],
        };

        return $way === [] || in_array(null, $way, true)
            ? throw CodebookException::because('rule-place', place: implode('/', $place))
            : $way;
    }

    /**
     * @param  array<mixed>  $in
     * @param  list<string|int>  $way
     * @param  array<string, array<mixed>>  $pair
     * @return array<mixed>
     */
    private static function placed(array $in, array $way, array $pair): array
    {
        if ($way === []) {
            return [...$in, ...$pair];
        }
        $inner = $in[$way[0]] ?? [];
        $in[$way[0]] = self::placed(is_array($inner) ? $inner : [], array_slice($way, 1), $pair);

        return $in;
    }
}
