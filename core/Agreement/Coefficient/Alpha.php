<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\NewReaders;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Resampling\Resampled;
use Core\Agreement\Scale;
use Core\Agreement\Undefined;
use Core\CoreException;
use Core\Remark\Remark;

/** Krippendorff's α on ranks and numbers: interval and error from the case bootstrap, without one from a jackknife. */
final class Alpha
{
    public static function figure(ItemTable $table, Confidence $confidence, ?ClusterBootstrap $bootstrap): Figure
    {
        if ($table->paired === 0) {
            return Figure::undefined(Undefined::NoPairs);
        }
        $seen = self::pairable($table);
        if (count($seen) < 2) {
            return Figure::undefined($table->q === 1 ? Undefined::OneValue : Undefined::PairableSame);
        }
        try {
            $alpha = self::of($table);
            $clusters = $table->grouped ? Clusters::ofTable($table, 2) : null;
            $perfect = $table->isPerfect() ? [$clusters->count ?? $table->paired, $seen] : null;
            $figure = self::worked($alpha, $confidence, $bootstrap, $perfect, $clusters);

            return $figure->forReadersLike(self::newReaders($table, $figure, $confidence));
        } catch (CoreException) {
            return Figure::undefined(Remark::of(Undefined::TooManyValues, most: DistanceAlpha::MOST_VALUES));
        }
    }

    /** @throws CoreException when there are too many values for the scale */
    private static function of(ItemTable $table): DistanceAlpha|IntervalAlpha|OrdinalAlpha
    {
        return match ($table->scale) {
            Scale::Ordinal => new OrdinalAlpha($table),
            Scale::Ratio => DistanceAlpha::of(
                self::units($table),
                static fn (float $a, float $b): float => $a === $b ? 0.0 : (($a - $b) / ($a + $b)) ** 2,
            ),
            default => new IntervalAlpha($table),
        };
    }

    /** @throws CoreException never: fewer values than the whole had */
    private static function newReaders(ItemTable $table, Figure $figure, Confidence $confidence): NewReaders
    {
        $m = count($table->raters);
        // Each reader that is left out asks for every value against every other again.
        $most = (int) (DistanceAlpha::MOST_VALUES / sqrt($m));
        if ($table->scale === Scale::Ratio && $m >= NewReaders::LEAST && $table->ratings > $most) {
            return NewReaders::unknown(Remark::of(Undefined::TooManyValues, most: $most));
        }
        $values = $one = $two = [];
        for ($g = 0; $g < $m && $m >= NewReaders::LEAST; $g++) {
            $left = $table->without($g);
            $rest = self::of($left);
            $values[] = $rest->estimates()[0];
            foreach ($rest->influences() ?? [] as $c => $v) {
                // Each is divided by the units that are left; the whole's are meant.
                $v *= (float) $left->paired / $table->paired;
                $one[$c] = ($one[$c] ?? 0.0) + $v;
                $two[$c] = ($two[$c] ?? 0.0) + $v * $v;
            }
        }
        $spread = 0.0;
        foreach ($one as $c => $v) {
            $spread += max(0.0, $two[$c] - $v * $v / $m);
        }
        $clusters = Clusters::ofTable($table, 2);
        $g = $clusters->count;
        $crossed = $g < 2 ? 0.0 : $spread * (($m - 1.0) / $m) * ($g / ($g - 1.0));

        return NewReaders::of($figure, $values === [] ? array_fill(0, $m, NAN) : $values, $crossed, $clusters,
            $confidence);
    }

    /**
     * @param  array{int, array<int, int>}|null  $perfect  where all ratings agree: the paired units, or the clusters
     *     that hold them, and how often each value occurs in them
     * @param  Clusters|null  $clusters  where they may hold several units
     */
    public static function worked(
        Resampled $alpha,
        Confidence $confidence,
        ?ClusterBootstrap $bootstrap,
        ?array $perfect = null,
        ?Clusters $clusters = null,
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

            $low = ClusterError::perfectLow($perfect[0], $pe, $confidence);
            $figure = Figure::estimated(1.0, 0.0, $low, 1.0, 'perfect-agreement bound');

            return $clusters === null ? $figure : $figure->over($clusters);
        }
        if ($clusters !== null) {
            $figure = ClusterError::clustered(
                $value,
                array_column($left, 0),
                $clusters,
                $confidence,
                static fn (): ?array => $alpha instanceof DistanceAlpha || $alpha instanceof IntervalAlpha
                    ? $alpha->influences()
                    : null,
            );
            $resample = $clusters->canResample() ? $bootstrap?->intervals($alpha, $confidence->level, $left)[0] : null;

            return $resample === null
                ? $figure
                : $figure->within($resample->low, $resample->high, $resample->method);
        }
        $resample = $bootstrap?->intervals($alpha, $confidence->level, $left)[0];

        return $resample === null
            ? ClusterError::jackknifed($value, array_column($left, 0), $confidence)
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
        foreach ($table->clusterOf as $u => $case) {
            $out[$case][] = $units[$u] ?? [];
        }

        return $out;
    }
}
