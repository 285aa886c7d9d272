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
     * @param  iterable<ItemTable>  $tables  of the items, of names; one at a time is held
     * @param  list<string>  $categories  of all of them
     */
    public static function of(iterable $tables, array $categories, Confidence $confidence): self
    {
        $values = $left = $parts = [];
        $sizes = [];
        foreach ($tables as $table) {
            $weights = Weights::identity($table->q);
            $sums = new CountSums($table, $weights);
            foreach (Clusters::sizes($table) as $g => $n) {
                $sizes[$g] = ($sizes[$g] ?? 0) + $n;
            }
            $estimates = $sums->estimates();
            $without = $sums->leaveOneOut();
            $forms = CountInfluence::forms($sums->total, $estimates, $table->q, $weights);
            foreach ([...CountSums::NAMES, ...$table->categories] as $i => $name) {
                $name = ($i < count(CountSums::NAMES) ? '' : 'on ').$name;
                if (is_nan($estimates[$i])) {
                    continue;
                }
                $values[$name][] = $estimates[$i];
                $own = $sums->times($forms[$i] ?? []);
                foreach ($sums->ranks as $at => $g) {
                    $left[$name][$g] = ($left[$name][$g] ?? 0.0) + $without[$at][$i] - $estimates[$i];
                    $parts[$name][$g] = ($parts[$name][$g] ?? 0.0) + $own[$at];
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
     * @param  list<float>  $values  by item
     * @param  array<int, float>  $left  by cluster, how much leaving it out adds to the items' sum
     * @param  array<int, float>  $parts  by cluster, what it adds to the sum's error
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
            $rest[] = $mean + ($left[$g] ?? 0.0) / $n;
            $linear[] = ($parts[$g] ?? 0.0) / $n;
        }
        $figure = ClusterError::clustered($mean, $rest, $clusters, $confidence, static fn (): array => $linear, $floor);

        return $figure->se === 0.0
            ? Figure::estimated($mean, null, null, null, 'point')->over($clusters)
            : $figure;
    }
}
