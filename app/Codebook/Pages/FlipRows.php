<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Models\Recording;
use Core\Codebook\Said;
use Core\Number\Written;

/**
 * Verdicts that a draft would turn, in words: by fault, what turns over before what only leans.
 *
 * @phpstan-type Turned array{recording: Recording, lens: string, fault: string, was: ?Said, is: ?Said,
 *     was_margin: ?float, is_margin: ?float}
 * @phpstan-type FlipRow array{name: string, url: string, lenses: string, was: string, is: string}
 */
final class FlipRows
{
    /** How far a verdict goes when it turns: the order of Said, what cannot be said apart. */
    private const FAR = [
        'supported' => 2, 'leans-supported' => 1, 'borderline' => 0, 'leans-contradicted' => -1, 'contradicted' => -2,
    ];

    /**
     * @param  list<Turned>  $turned
     * @param  array<string, string>  $faults  names by key
     * @param  array<string, string>  $lenses  names by key
     * @return list<array{fault: string, key: string, says: string, rows: list<FlipRow>}>
     */
    public static function byFault(array $turned, array $faults, array $lenses): array
    {
        $by = [];
        foreach ($turned as $flip) {
            $by[$flip['fault']][] = $flip;
        }
        $out = [];
        foreach (array_intersect_key($faults, $by) + array_map(strval(...), array_combine(
            array_keys($by),
            array_keys($by),
        )) as $key => $name) {
            $out[] = [
                'fault' => ucfirst($name),
                'key' => (string) $key,
                'says' => self::summary($by[$key]),
                'rows' => self::rows($by[$key], $lenses),
            ];
        }

        return $out;
    }

    /** @param  list<Turned>  $turned  of one fault */
    private static function summary(array $turned): string
    {
        $swings = $to = [];
        foreach ($turned as $flip) {
            $swings[$flip['recording']->id] = true;
            $to[$flip['is']->value ?? 'gone'][$flip['recording']->id] = true;
        }
        $to = array_map(count(...), $to);
        arsort($to);

        return trans_choice('draft.flips.of-fault', count($swings), [
            'count' => (string) count($swings),
            'to' => implode(', ', array_map(
                static fn (string $is, int $n): string => $is === 'gone'
                    ? "$n ".__('draft.flips.gone')
                    : (string) __('draft.flips.to', ['count' => (string) $n, 'verdict' => __("verdicts.$is")]),
                array_keys($to),
                array_values($to),
            )),
        ]);
    }

    /**
     * @param  list<Turned>  $turned
     * @param  array<string, string>  $lenses
     * @return list<FlipRow> the same turn under several lenses told once
     */
    private static function rows(array $turned, array $lenses): array
    {
        usort($turned, static fn (array $a, array $b): int => self::far($b) <=> self::far($a)
            ?: $a['recording']->id <=> $b['recording']->id);
        $out = [];
        foreach ($turned as $flip) {
            $was = self::said($flip['was'], $flip['was_margin']);
            $is = self::said($flip['is'], $flip['is_margin']);
            $id = $flip['recording']->id."|$was|$is";
            $out[$id] ??= [
                'name' => $flip['recording']->called(),
                'url' => route('bench', $flip['recording']),
                'lenses' => [],
                'was' => $was,
                'is' => $is,
            ];
            $out[$id]['lenses'][] = $lenses[$flip['lens']] ?? $flip['lens'];
        }

        return array_values(array_map(
            static fn (array $row): array => [...$row, 'lenses' => count($row['lenses']) === count($lenses)
                ? (string) __('draft.flips.every-lens')
                : implode(', ', $row['lenses'])],
            $out,
        ));
    }

    /** @param  Turned  $flip */
    private static function far(array $flip): int
    {
        [$was, $is] = [self::FAR[$flip['was']->value ?? ''] ?? null, self::FAR[$flip['is']->value ?? ''] ?? null];

        return $was === null || $is === null ? 0 : abs($is - $was);
    }

    private static function said(?Said $said, ?float $margin): string
    {
        return match (true) {
            $said === null => (string) __('draft.flips.no-fault'),
            $margin === null => (string) __("verdicts.$said->value"),
            default => (string) __('draft.flips.by', [
                'verdict' => __("verdicts.$said->value"),
                'margin' => $margin > 9.9 ? '> 10' : Written::fixed($margin, 1),
            ]),
        };
    }
}
