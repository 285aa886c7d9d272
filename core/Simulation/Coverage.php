<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Agreement\Figure;

/** Counts how often the intervals of many simulated studies hold the truth. */
final class Coverage
{
    /**
     * @param  array<string, float>  $truth  by figure
     * @param  \Closure(int): array<string, Figure>  $study  the figures of the study of this number, from 1
     * @param  \Closure(int): void|null  $progress
     * @return array<string, array{truth: float, covered: float, below: float, above: float, width: float,
     *     without: int}> shares of intervals that hold the truth, that lie below it and above it, by figure
     */
    public static function counted(array $truth, int $studies, \Closure $study, ?\Closure $progress = null): array
    {
        $none = array_fill_keys(array_keys($truth), 0);
        [$in, $below, $above, $without] = [$none, $none, $none, $none];
        $width = array_map(floatval(...), $none);
        for ($s = 1; $s <= $studies; $s++) {
            foreach ($study($s) as $name => $f) {
                if ($f->low === null || $f->high === null) {
                    $without[$name]++;

                    continue;
                }
                match (true) {
                    $truth[$name] < $f->low => $above[$name]++,
                    $truth[$name] > $f->high => $below[$name]++,
                    default => $in[$name]++,
                };
                $width[$name] += $f->high - $f->low;
            }
            if ($progress !== null) {
                $progress($s);
            }
        }

        $out = [];
        foreach ($truth as $name => $v) {
            $n = max(1, $in[$name] + $below[$name] + $above[$name]);
            $out[$name] = [
                'truth' => $v,
                'covered' => (float) $in[$name] / $n,
                'below' => (float) $below[$name] / $n,
                'above' => (float) $above[$name] / $n,
                'width' => (float) $width[$name] / $n,
                'without' => $without[$name],
            ];
        }

        return $out;
    }
}
