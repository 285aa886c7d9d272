<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CaseBootstrap;
use Core\Agreement\Resampling\CaseError;
use Core\Agreement\Resampling\Resampled;
use Core\Agreement\Scale;
use Core\Agreement\Undefined;
use Core\CoreException;
use Core\Remark\Remark;

/** Krippendorff's α on ranks and numbers: interval and error from the case bootstrap, without one from a jackknife. */
final class Alpha
{
    public static function figure(ItemTable $table, Confidence $confidence, ?CaseBootstrap $bootstrap): Figure
    {
        if ($table->paired === 0) {
            return Figure::undefined(Undefined::NoPairs);
        }
        $seen = self::pairable($table);
        if (count($seen) < 2) {
            return Figure::undefined($table->q === 1 ? Undefined::OneValue : Undefined::PairableSame);
        }
        try {
            $alpha = match ($table->scale) {
                Scale::Ordinal => new OrdinalAlpha($table),
                Scale::Ratio => new DistanceAlpha(
                    self::units($table),
                    static fn (float $a, float $b): float => $a === $b ? 0.0 : (($a - $b) / ($a + $b)) ** 2,
                ),
                default => new IntervalAlpha($table),
            };
        } catch (CoreException) {
            return Figure::undefined(Remark::of(Undefined::TooManyValues, most: DistanceAlpha::MOST_VALUES));
        }

        return self::worked($alpha, $confidence, $bootstrap, $table->isPerfect() ? [$table->paired, $seen] : null);
    }

    /**
     * @param  array{int, array<int, int>}|null  $perfect  where all ratings agree: the paired units, and how often each
     *     value occurs in them
     */
    public static function worked(
        Resampled $alpha,
        Confidence $confidence,
        ?CaseBootstrap $bootstrap,
        ?array $perfect = null,
    ): Figure {
        $value = $alpha->estimates()[0];
        $left = $alpha->leaveOneOut();
        if (is_nan($value)) {
            return Figure::undefined(Undefined::NoDisagreement);
        }
        if (count($left) < 2) {
            return Figure::estimated($value, null, null, null, 'point');
        }
        if ($perfect !== null) {
            $n = array_sum($perfect[1]);
            $pe = array_sum(array_map(static fn (int $c): float => ((float) $c / $n) ** 2, $perfect[1]));

            return Figure::estimated(
                1.0,
                0.0,
                CaseError::perfectLow($perfect[0], $pe, $confidence),
                1.0,
                'perfect-agreement bound',
            );
        }
        $resample = $bootstrap?->intervals($alpha, $confidence->level, $left)[0];

        return $resample === null
            ? CaseError::jackknifed($value, array_column($left, 0), $confidence)
            : Figure::estimated($value, $resample->se, $resample->low, $resample->high, $resample->method);
    }

    /** @return array<int, int> how often each category occurs in units with two ratings or more */
    private static function pairable(ItemTable $table): array
    {
        $seen = [];
        foreach ($table->columns as $column) {
            foreach ($column as $u => $k) {
                if ($k >= 0 && $table->r[$u] >= 2) {
                    $seen[$k] = ($seen[$k] ?? 0) + 1;
                }
            }
        }

        return $seen;
    }

    /** @return array<int, list<list<float>>> */
    private static function units(ItemTable $table): array
    {
        $units = [];
        foreach ($table->columns as $column) {
            foreach ($column as $u => $k) {
                if ($k >= 0) {
                    $units[$u][] = $table->numbers[$k];
                }
            }
        }
        $out = [];
        foreach ($table->caseOf as $u => $case) {
            $out[$case][] = $units[$u];
        }

        return $out;
    }
}
