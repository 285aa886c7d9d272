<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use Core\Agreement\Figure;
use Core\Agreement\Study\ItemSummary;
use Core\Agreement\Study\RoundSummary;
use Core\Agreement\Undefined;
use Core\Codebook\Codebook;

/** Fault by fault: whether a definition makes people call the same. */
final class AgreementFaults
{
    /** What stands in the first table, and what in the one with everything. */
    private const MAIN = ['krippendorff_alpha', 'gwet_ac1', 'percent_agreement'];

    private const ALL = [
        'percent_agreement',
        'gwet_ac1',
        'fleiss_kappa',
        'conger_kappa',
        'brennan_prediger',
        'krippendorff_alpha',
        'light_kappa',
    ];

    /** @return array<string, mixed> */
    public function of(RoundSummary $r, Codebook $codebook): array
    {
        $items = array_intersect_key($r->items, $codebook->faults);
        $pooled = $r->pooled;
        $rows = [];
        foreach ($codebook->faults as $key => $fault) {
            if (isset($items[$key])) {
                $rows[] = [
                    'key' => $key,
                    'name' => $fault->name,
                    'cases' => $items[$key]->cases,
                    'main' => self::figures($items[$key]->coefficients, self::MAIN),
                    'present' => $items[$key]->specific['present'] ??
                        Figure::undefined(Undefined::NobodyCalledPresent),
                    'all' => self::figures($items[$key]->coefficients, self::ALL),
                ];
            }
        }

        return [
            'rows' => $rows,
            'main' => self::words(self::MAIN),
            'all' => self::words(self::ALL),
            'pooled' => $pooled === null ? [] : self::figures($pooled->coefficients, self::ALL),
            'mean' => self::figures($pooled?->mean->coefficients ?? [], self::ALL),
            'threeWay' => self::figures($pooled?->threeWay->coefficients ?? [], self::ALL),
        ];
    }

    /**
     * Keys of faults people surely agree least on when one of them says present: by the upper end of the interval, so
     * that a fault that was hardly ever called does not come first by chance.
     *
     * @return list<string>
     */
    public static function leastAgreed(RoundSummary $r, int $n): array
    {
        $by = array_filter(
            array_map(static fn (ItemSummary $i): ?float => ($i->specific['present'] ?? null)?->high, $r->items),
            static fn (?float $v): bool => $v !== null,
        );
        asort($by);

        return array_slice(array_map(strval(...), array_keys($by)), 0, $n);
    }

    /**
     * @param  array<string, Figure>  $figures
     * @param  list<string>  $names
     * @return list<array{figure: ?Figure, percent: bool}>
     */
    private static function figures(array $figures, array $names): array
    {
        return array_map(
            static fn (string $name): array => [
                'figure' => $figures[$name] ?? null,
                'percent' => $name === 'percent_agreement',
            ],
            $names,
        );
    }

    /**
     * @param  list<string>  $names
     * @return list<string>
     */
    private static function words(array $names): array
    {
        return array_map(static fn (string $name): string => (string) __("agreement.coefficients.$name"), $names);
    }
}
