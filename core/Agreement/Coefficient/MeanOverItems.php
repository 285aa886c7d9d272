<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Resampling\CountInfluence;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;

/**
 * Coefficients as the mean of those of single items, each item of the same importance however often it was rated;
 * beside what pooling their units gives. Of the items in which a coefficient is defined; without each cluster in turn.
 */
final readonly class MeanOverItems
{
    /**
     * For its codec.
     *
     * @param  array<string, Figure>  $coefficients  named as an item's
     * @param  array<string, Figure>  $specific  by category
     */
    public function __construct(public array $coefficients, public array $specific)
    {
    }

    /**
     * @param  list<ItemTable>  $tables  of the items, of names
     * @param  list<string>  $categories  of all of them
     */
    public static function of(array $tables, array $categories, Confidence $confidence): self
    {
        $values = $left = $parts = [];
        $sizes = [];
        foreach ($tables as $item => $table) {
            $weights = Weights::identity($table->q);
            $sums = new CountSums($table, $weights);
            foreach (Clusters::sizes($table) as $g => $n) {
                $sizes[$g] = ($sizes[$g] ?? 0) + $n;
            }
            $estimates = $sums->estimates();
            $without = array_combine($sums->ranks, $sums->leaveOneOut());
            $forms = CountInfluence::forms($sums->total, $estimates, $table->q, $weights);
            foreach ([...CountSums::NAMES, ...$table->categories] as $i => $name) {
                $name = ($i < count(CountSums::NAMES) ? '' : 'on ').$name;
                if (! is_nan($estimates[$i])) {
                    $values[$name][$item] = $estimates[$i];
                    $left[$name][$item] = array_map(static fn (array $of): float => $of[$i], $without);
                    $parts[$name][$item] = array_combine($sums->ranks, $sums->times($forms[$i] ?? []));
                }
            }
        }
        ksort($sizes);
        $figure = static fn (string $name, float $floor): Figure => self::figure(
            $values[$name] ?? [],
            $left[$name] ?? [],
            $parts[$name] ?? [],
            $sizes,
            $confidence,
            $floor,
        );
        $coefficients = $specific = [];
        foreach (CountSums::NAMES as $name) {
            $coefficients[$name === 'gwet_ac' ? 'gwet_ac1' : $name] = $figure($name, -1.0);
        }
        foreach ($categories as $category) {
            $specific[$category] = $figure("on $category", 0.0);
        }

        return new self($coefficients, $specific);
    }

    /**
     * @param  array<int, float>  $values  by item
     * @param  array<int, array<int, float>>  $left  by item and cluster
     * @param  array<int, array<int, float>>  $parts  what each cluster adds to the item's error
     * @param  array<int, int>  $sizes  units by cluster
     */
    private static function figure(
        array $values,
        array $left,
        array $parts,
        array $sizes,
        Confidence $confidence,
        float $floor,
    ): Figure {
        $n = count($values);
        if ($n === 0) {
            return Figure::undefined(Undefined::InNoItem);
        }
        $clusters = Clusters::ofSizes($sizes);
        $mean = array_sum($values) / $n;
        $rest = $linear = [];
        foreach (array_keys($sizes) as $g) {
            $sum = $part = 0.0;
            foreach ($values as $item => $value) {
                $sum += $left[$item][$g] ?? $value;
                $part += $parts[$item][$g] ?? 0.0;
            }
            $rest[] = $sum / $n;
            $linear[] = $part / $n;
        }
        $figure = ClusterError::clustered($mean, $rest, $clusters, $confidence, static fn (): array => $linear, $floor);

        return $figure->se === 0.0
            ? Figure::estimated($mean, null, null, null, 'point')->over($clusters)
            : $figure;
    }
}
