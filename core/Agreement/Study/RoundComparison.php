<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\AgreementException;
use Core\Agreement\Clusters;
use Core\Agreement\ItemTable;
use Core\Agreement\NewReaders;
use Core\Agreement\Profile\KeyTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\Comparison;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Resampling\WithoutReaders;
use Core\Agreement\Scale;
use Core\Agreement\Weights;
use Core\CoreException;

/**
 * Before and after: two rounds compared on anchors – cases that both have – and on the readers and items of both.
 * Different cases tell nothing of change: how hard they are and how far readers moved cannot be told apart.
 */
final readonly class RoundComparison
{
    /** @throws CoreException on a scale that has no names */
    public function __construct(
        private RatingSet $before,
        private RatingSet $after,
        private StudyOptions $options,
    ) {
        if ($before->scale !== Scale::Nominal || $after->scale !== Scale::Nominal) {
            throw AgreementException::because('compare-names');
        }
    }

    /**
     * @return ComparisonResult|null null where the rounds share no case that two readers judged in both
     *
     * @throws CoreException
     */
    public function result(): ?ComparisonResult
    {
        [$a, $b] = $this->shared();
        if ($a->isEmpty() || $b->isEmpty()) {
            return null;
        }
        $items = $a->items();
        $names = $this->options->categories ?? $this->categories($a, $b);
        [$one, $two] = [$this->table($a, $items, $names), $this->table($b, $items, $names)];
        if (count($one->raters) < 2 || $one->raters !== $two->raters || $one->clusterOf !== $two->clusterOf) {
            return null;
        }
        $changes = $this->changes($one, $two);
        $n = count(CountSums::NAMES);
        $coefficients = [];
        foreach (CountSums::NAMES as $i => $name) {
            $coefficients[$name === 'gwet_ac' ? 'gwet_ac1' : $name] = $changes[$i];
        }

        return new ComparisonResult(
            $one->cases,
            $one->clusters,
            $one->units,
            count($one->raters),
            self::adjusted($coefficients),
            self::adjusted(array_combine($names, array_slice($changes, $n))),
            self::adjusted($this->right($a, $b, $items)),
        );
    }

    /**
     * Both sets on the units, items and readers of both.
     *
     * @return array{RatingSet, RatingSet}
     *
     * @throws CoreException
     */
    private function shared(): array
    {
        $raters = array_values(array_intersect($this->before->raterNames(), $this->after->raterNames()));
        do {
            $last = count($raters);
            [$units, $raters] = $this->unitsOf($raters);
        } while (count($raters) < $last);
        $keep = array_flip($raters);
        $in = static fn (string $case, string $item, string $rater): bool => isset(
            $keep[$rater],
            $units[$item][$case],
        );
        $out = [$this->before->filtered($in), $this->after->filtered($in)];
        foreach ($out[0]->cases() as $case) {
            $cluster = $this->before->clusterOf($case) ?? $this->after->clusterOf($case);
            if ($cluster !== null) {
                $out[0]->group($case, $cluster);
                $out[1]->group($case, $cluster);
            }
        }

        return $out;
    }

    /**
     * @param  list<string>  $raters
     * @return array{array<string, array<string, true>>, list<string>} what these judged in both, by item and case, and
     *     those of them who judged any of it in both
     */
    private function unitsOf(array $raters): array
    {
        $said = [[], []];
        foreach ([$this->before, $this->after] as $which => $set) {
            $names = array_intersect($set->raterNames(), $raters);
            $values = $set->valueNames();
            foreach ($set->items() as $item) {
                $rows = $set->first($item);
                foreach ($set->cases() as $case) {
                    foreach (array_intersect_key($rows->row($set->caseIndex($case)), $names) as $r => $v) {
                        if ($v > 0 && $values[$v] !== $this->options->cannotTell) {
                            $said[$which][$item][$case][$names[$r]] = true;
                        }
                    }
                }
            }
        }
        $units = $who = [];
        foreach ($said[0] as $item => $cases) {
            foreach (array_intersect_key($cases, $said[1][$item] ?? []) as $case => $by) {
                $units[$item][$case] = true;
                $who[0] = ($who[0] ?? []) + $by;
                $who[1] = ($who[1] ?? []) + $said[1][$item][$case];
            }
        }

        return [$units, array_map(strval(...), array_keys(array_intersect_key($who[0] ?? [], $who[1] ?? [])))];
    }

    /** @return list<string> */
    private function categories(RatingSet $a, RatingSet $b): array
    {
        $values = array_unique([...$a->valueNames(), ...$b->valueNames()]);

        return RatingSet::ordered(array_values(array_diff($values, ['', $this->options->cannotTell])));
    }

    /**
     * @param  list<string>  $items
     * @param  list<string>  $categories
     *
     * @throws CoreException
     */
    private function table(RatingSet $set, array $items, array $categories): ItemTable
    {
        return ItemTable::fromRatings($set, $items, $categories, $this->options->cannotTell, grouped: true);
    }

    /** @return list<Change> by CountSums::NAMES, then by category */
    private function changes(ItemTable $one, ItemTable $two): array
    {
        $o = $this->options;
        $weights = Weights::identity($one->q);
        [$first, $second] = [new CountSums($one, $weights), new CountSums($two, $weights)];
        $sizes = Clusters::sizes($one);
        $clusters = Clusters::ofSizes($sizes);
        [$without, $crossed] = self::withoutReaders($one, $two, $weights, $first, $second, $clusters);
        $out = [];
        foreach (array_keys($first->estimates()) as $i) {
            $found = Comparison::paired(
                $first->byCluster(),
                $second->byCluster(),
                static function (array $sums) use ($first, $i): float {
                    /** @var list<float> $sums */
                    return $first->statistics($sums)[$i];
                },
                $o->confidence,
                $o->seed,
                $o->bootstrap,
                $sizes,
            );
            $d = $found->difference;
            $out[] = new Change(
                $found->first,
                $found->second,
                $d->forReadersLike(
                    NewReaders::ofDifference($d, $without[$i], $crossed[$i], $clusters, $o->confidence),
                ),
                $found->p,
                null,
                $d->se === null ? null : Comparison::detectable($d->se),
            );
        }

        return $out;
    }

    /** @return array{list<list<float>>, list<float>} differences by coefficient and reader, and V_rc by coefficient */
    private static function withoutReaders(
        ItemTable $one,
        ItemTable $two,
        Weights $weights,
        CountSums $first,
        CountSums $second,
        Clusters $clusters,
    ): array {
        $m = count($one->raters);
        $figures = count($first->estimates());
        $without = array_fill(0, $figures, []);
        $sum = $squares = array_fill(0, $figures, []);
        $before = WithoutReaders::each($one, $weights, $first);
        $after = WithoutReaders::each($two, $weights, $second);
        for ($g = 0; $g < $m; $g++) {
            [[$was, $wasParts], [$is, $isParts]] = [$before->current(), $after->current()];
            foreach ($was as $f => $value) {
                $without[$f][] = $is[$f] - $value;
                foreach ($isParts[$f] as $rank => $v) {
                    $d = $v - ($wasParts[$f][$rank] ?? 0.0);
                    $sum[$f][$rank] = ($sum[$f][$rank] ?? 0.0) + $d;
                    $squares[$f][$rank] = ($squares[$f][$rank] ?? 0.0) + $d * $d;
                }
            }
            $before->next();
            $after->next();
        }
        $crossed = [];
        foreach ($sum as $f => $of) {
            $spread = 0.0;
            foreach ($of as $rank => $v) {
                $spread += max(0.0, $squares[$f][$rank] - $v * $v / $m);
            }
            $crossed[] = WithoutReaders::scaled($spread, $m, $clusters->count);
        }

        return [$without, $crossed];
    }

    /**
     * @param  list<string>  $items
     * @return array<string, Change> by reader
     *
     * @throws CoreException
     */
    private function right(RatingSet $a, RatingSet $b, array $items): array
    {
        $o = $this->options;
        $tables = [];
        foreach ([[$a, $this->before], [$b, $this->after]] as [$set, $whole]) {
            foreach ($whole->hasKey() ? $items : [] as $item) {
                foreach ($set->cases() as $case) {
                    $truth = $whole->keyFor($item, $case);
                    if ($truth !== null) {
                        $set->addKey($case, $item, $truth);
                    }
                }
            }
            $tables[] = (new AgainstKey($set, $o, null))->tables($items, $o->cannotTell !== null);
        }
        $out = [];
        foreach (array_intersect_key($tables[0], $tables[1]) as $rater => $first) {
            $sums = array_map(static fn (KeyTable $t): array => array_map(
                static fn (array $c): array => [$c[0] + $c[3], array_sum($c)],
                $t->cellsByCluster(),
            ), [$first, $tables[1][$rater]]);
            $found = Comparison::paired(
                $sums[0],
                $sums[1],
                static fn (array $s): float => ($s[1] ?? 0.0) > 0.5 ? $s[0] / $s[1] : NAN,
                $o->confidence,
                $o->seed,
                $o->bootstrap,
                array_map(static fn (array $of): int => $of[1], $sums[0]),
            );
            $se = $found->difference->se;
            $out[$rater] = new Change(
                $found->first,
                $found->second,
                $found->difference,
                $found->p,
                null,
                $se === null ? null : Comparison::detectable($se),
            );
        }

        return $out;
    }

    /**
     * @param  array<string, Change>  $changes
     * @return array<string, Change>
     */
    private static function adjusted(array $changes): array
    {
        $p = Comparison::holm(array_filter(
            array_map(static fn (Change $c): ?float => $c->p, $changes),
            is_float(...),
        ));
        foreach ($changes as $name => $c) {
            $changes[$name] = new Change($c->first, $c->second, $c->difference, $c->p, $p[$name] ?? null,
                $c->detectable);
        }

        return $changes;
    }
}
