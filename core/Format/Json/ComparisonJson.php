<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Study\Change;
use Core\Agreement\Study\ComparisonResult;
use Core\Remark\InWords;

/** What moved between two rounds (docs/schemas/compare.schema.json). */
final class ComparisonJson
{
    /** @return array<string, mixed> */
    public static function publish(ComparisonResult $of, InWords $words): array
    {
        $change = static fn (Change $c): array => [
            'first' => $c->first,
            'second' => $c->second,
            'difference' => FigureJson::publish($c->difference, $words),
            'p' => $c->p,
            'p_adjusted' => $c->adjusted,
            'smallest_difference' => $c->detectable,
        ];

        return [
            'anchors' => $of->anchors,
            'clusters' => $of->clusters,
            'units' => $of->units,
            'raters' => $of->readers,
            'coefficients' => array_map($change, $of->coefficients),
            'specific_agreement' => (object) array_map($change, $of->specific),
            'right' => array_map(
                static fn (int|string $rater, Change $c): array => ['rater' => (string) $rater, ...$change($c)],
                array_keys($of->right),
                array_values($of->right),
            ),
        ];
    }
}
