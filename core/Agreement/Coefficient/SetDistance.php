<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Undefined;
use Core\CoreException;

/**
 * How far two sets of labels are apart: which faults were named at all, or a chain of causes.
 *
 * Jaccard's index J = |A ∩ B|/|A ∪ B| (two empty sets are alike); MASI's distance 1 − J·M with M = 1 for equal sets,
 * 2/3
 * where one holds the other, 1/3 where they overlap, 0 where they do not (Passonneau 2006). As distance in α by sets.
 */
final class SetDistance
{
    /**
     * @param  array<int, string>  $a
     * @param  array<int, string>  $b
     */
    public static function jaccard(array $a, array $b): float
    {
        [$a, $b] = [array_unique($a), array_unique($b)];
        $both = count(array_intersect($a, $b));
        $any = count($a) + count($b) - $both;

        return $any === 0 ? 1.0 : (float) $both / $any;
    }

    /**
     * @param  list<string>  $a
     * @param  list<string>  $b
     */
    public static function masi(array $a, array $b): float
    {
        [$a, $b] = [array_unique($a), array_unique($b)];
        $both = count(array_intersect($a, $b));
        $monotone = match (true) {
            $both === count($a) && $both === count($b) => 1.0,
            $both === 0 => 0.0,
            $both === count($a) || $both === count($b) => 2.0 / 3,
            default => 1.0 / 3,
        };

        return 1.0 - self::jaccard($a, $b) * $monotone;
    }

    /**
     * Krippendorff's α of sets with MASI's distance.
     *
     * @param  list<list<list<string>>>  $cases  the sets given to each case, one a rater
     * @param  list<string>|null  $clusterOf  whose case each is, where several may be alike
     *
     * @throws CoreException
     */
    public static function alpha(
        array $cases,
        Confidence $confidence = new Confidence(),
        ?ClusterBootstrap $bootstrap = null,
        ?array $clusterOf = null,
    ): Figure {
        $units = $sizes = $sets = $number = [];
        $ranks = array_flip(array_values(array_unique($clusterOf ?? [])));
        foreach ($cases as $rank => $given) {
            if (count($given) < 2) {
                continue;
            }
            // Sets are few: each is a category by number, and pairs of them are compared once.
            $unit = [];
            foreach ($given as $set) {
                $set = array_values(array_unique($set));
                sort($set, SORT_STRING);
                $at = $number[json_encode($set, JSON_THROW_ON_ERROR)] ??= count($number);
                $sets[$at] = $set;
                $unit[] = $at;
            }
            $cluster = $clusterOf === null ? $rank : $ranks[$clusterOf[$rank]];
            $units[$cluster][] = $unit;
            $sizes[$cluster] = ($sizes[$cluster] ?? 0) + 1;
        }
        if ($units === []) {
            return Figure::undefined(Undefined::NoPairs);
        }
        $all = array_merge(...array_values($units));
        $counts = array_count_values(array_merge(...$all));
        if (count($counts) < 2) {
            return Figure::undefined(Undefined::SetsSame);
        }
        $perfect = true;
        foreach ($all as $unit) {
            $perfect = $perfect && count(array_count_values($unit)) === 1;
        }
        $apart = [];
        $delta = static function (int $a, int $b) use ($sets, &$apart): float {
            return $apart[$a][$b] ??= $apart[$b][$a] = self::masi($sets[$a], $sets[$b]);
        };

        return Alpha::worked(
            DistanceAlpha::ofCategories($units, $delta),
            $confidence,
            $bootstrap,
            $perfect ? [count($units), array_values($counts)] : null,
            $clusterOf === null ? null : Clusters::ofSizes($sizes),
        );
    }

    /**
     * Mean Jaccard index over all pairs of raters and cases.
     *
     * @param  list<list<list<string>>>  $cases
     */
    public static function meanJaccard(array $cases, Confidence $confidence = new Confidence): Figure
    {
        $means = [];
        foreach ($cases as $given) {
            $sum = $n = 0;
            foreach ($given as $i => $a) {
                for ($j = $i + 1; $j < count($given); $j++) {
                    $sum += self::jaccard($a, $given[$j]);
                    $n++;
                }
            }
            if ($n > 0) {
                $means[] = $sum / $n;
            }
        }
        $n = count($means);
        if ($n === 0) {
            return Figure::undefined(Undefined::NoPairs);
        }
        $mean = array_sum($means) / $n;
        if ($n === 1) {
            return Figure::estimated($mean, null, null, null, 'point');
        }
        $squares = array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $means));

        return Figure::around($mean, sqrt($squares / ($n * ($n - 1))), $confidence->t($n - 1), 'analytic', 0.0);
    }
}
