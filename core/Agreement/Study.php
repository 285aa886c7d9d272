<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/** Computes everything that is published of a set of ratings, item by item and pooled. */
final class Study
{
    private readonly ?CaseBootstrap $bootstrap;

    /** @throws CoreException when weights are asked for on names */
    public function __construct(private readonly RatingSet $set, private readonly StudyOptions $options = new StudyOptions)
    {
        if ($options->weights !== null && $set->scale === Scale::Nominal) {
            throw new CoreException('--weights has no meaning on a nominal scale');
        }
        $cases = count($set->cases());
        $this->bootstrap = $options->bootstrap > 0 && $cases > 0 ? new CaseBootstrap($cases, $options->bootstrap, $options->seed) : null;
    }

    /** @return array<string, mixed> the published result */
    public function result(): array
    {
        $items = $this->set->items();

        return [
            ...$this->heading(),
            'items' => array_map(fn (string $item): array => ['item' => $item, ...$this->block([$item])], $items),
            'pooled' => $this->block($items),
        ];
    }

    /** @return array{scale: string, confidence: float, bootstrap: int, seed: int} what was asked for */
    public function heading(): array
    {
        $o = $this->options;

        return ['scale' => $this->set->scale->value, 'confidence' => $o->confidence->level, 'bootstrap' => $o->bootstrap, 'seed' => $o->seed];
    }

    /**
     * @param  list<string>  $items  one, or several to be pooled
     * @return array<string, mixed>
     */
    public function block(array $items): array
    {
        $o = $this->options;
        $table = ItemTable::of($this->set, $items, $o->categories, $o->cannotTell);
        $weights = Weights::asked($table, $o->weights);
        $pairs = $table->scale->isCategorical() ? new PairTables($table, $weights, $o->confidence) : null;
        $out = [
            'cases' => $table->cases,
            'raters' => count($table->raters),
            'ratings' => $table->ratings,
            'categories' => $table->categories,
            ...$this->coefficients($table, $weights, $pairs),
            'pairs' => match (true) {
                ! $o->pairs => [],
                $pairs !== null => $pairs->published($table->code($o->positive)),
                default => $this->numericPairs($table),
            },
            'undefined_pairs' => $pairs?->undefined() ?? 0,
            'raters_vs_rest' => match (true) {
                ! $o->pairs => [],
                $pairs !== null => $pairs->ratersVersusRest(),
                default => array_map(static fn (string $rater): array => ['rater' => $rater, 'mean_kappa' => self::categorical($table->scale)->toArray()], $table->raters),
            },
            'self' => $this->self($items, $table),
            'against_key' => $this->againstKey($items),
        ];
        if ($o->cannotTell !== null && $table->scale->isCategorical()) {
            $three = ItemTable::of($this->set, $items, $o->categories === null ? null : [...$table->categories, $o->cannotTell], null, $table->scale !== Scale::Nominal);
            $out['three_way'] = ['categories' => $three->categories, ...$this->coefficients($three, Weights::identity($three->q), null)];
        }

        return $out;
    }

    /** @return array{specific_agreement: \stdClass, coefficients: array<string, mixed>} */
    private function coefficients(ItemTable $table, Weights $weights, ?PairTables $pairs): array
    {
        $nominal = $table->scale === Scale::Nominal;
        $specific = new \stdClass;
        if ($table->scale->isCategorical()) {
            [$figures, $byCategory] = (new Coefficients($table, new CountSums($table, $weights, $this->bootstrap->cases ?? 0), $weights, $this->options->confidence))->figures($this->bootstrap);
            $light = ($pairs ?? new PairTables($table, $weights, $this->options->confidence))->light();
            $figures = [
                'percent_agreement' => $figures['percent_agreement'],
                'fleiss_kappa' => $figures['fleiss_kappa'],
                $nominal ? 'gwet_ac1' : 'gwet_ac2' => $figures['gwet_ac'],
                'brennan_prediger' => $figures['brennan_prediger'],
                'krippendorff_alpha' => $nominal ? $figures['krippendorff_alpha'] : Alpha::figure($table, $this->options->confidence, $this->bootstrap),
                'conger_kappa' => CongerKappa::figure($table, $weights, $this->options->confidence),
                'light_kappa' => $light,
            ];
            foreach ($table->categories as $k => $category) {
                $specific->{$category} = $byCategory[$k]->toArray();
            }
        } else {
            $none = self::categorical($table->scale);
            $figures = [
                ...array_fill_keys(['percent_agreement', 'fleiss_kappa', 'gwet_ac2', 'brennan_prediger', 'conger_kappa', 'light_kappa'], $none),
                'krippendorff_alpha' => Alpha::figure($table, $this->options->confidence, $this->bootstrap),
                ...(new IntraclassCorrelation($table))->figures($this->options->confidence, $this->bootstrap),
            ];
        }

        return ['specific_agreement' => $specific, 'coefficients' => array_map(static fn (Figure $f): array => $f->toArray(), $figures)];
    }

    private static function categorical(Scale $scale): Figure
    {
        return Figure::undefined("is for categories; this scale is {$scale->value}");
    }

    /** @return list<array<string, mixed>> each pair of raters' bias, limits of agreement and concordance */
    private function numericPairs(ItemTable $table): array
    {
        $none = self::categorical($table->scale)->toArray();
        $out = [];
        foreach ($table->raters as $g => $a) {
            for ($h = $g + 1; $h < count($table->raters); $h++) {
                $x = $y = [];
                foreach ($table->columns[$g] as $u => $k) {
                    $l = $table->columns[$h][$u];
                    if ($k >= 0 && $l >= 0) {
                        $x[] = $table->numbers[$k];
                        $y[] = $table->numbers[$l];
                    }
                }
                $both = new BlandAltman($x, $y, $this->options->confidence);
                $out[] = [
                    'a' => $a, 'b' => $table->raters[$h], 'n' => $both->n, 'percent_agreement' => null, 'cohen_kappa' => $none, 'pabak' => $none, 'prevalence_index' => null, 'bias_index' => null,
                    ...array_map(static fn (Figure $f): array => $f->toArray(), $both->figures()),
                ];
            }
        }

        return $out;
    }

    /**
     * Agreement with oneself over hidden repeats.
     *
     * @param  list<string>  $items
     * @return list<array<string, mixed>>
     */
    private function self(array $items, ItemTable $all): array
    {
        $names = $this->set->valueNames();
        $raters = $this->set->raterNames();
        $pairs = [];
        foreach ($items as $item) {
            foreach ($this->set->repeats($item) as $r => $list) {
                foreach ($list as [, $one, $two]) {
                    if ($names[$one] !== $this->options->cannotTell && $names[$two] !== $this->options->cannotTell) {
                        $pairs[$raters[$r]][] = [$names[$one], $names[$two]];
                    }
                }
            }
        }
        ksort($pairs, SORT_STRING);
        $out = [];
        foreach ($pairs as $rater => $list) {
            // As two raters: what was said first and what was said later.
            $twice = new RatingSet($this->set->scale);
            foreach ($list as $i => [$one, $two]) {
                $twice->add((string) $i, '', '1', $one);
                $twice->add((string) $i, '', '2', $two);
            }
            // Over the item's categories, as weights depend on how many there are.
            $table = ItemTable::of($twice, [''], $this->options->categories ?? array_values(array_unique([...$all->categories, ...array_merge(...$list)])));
            $row = ['rater' => (string) $rater, 'n' => count($list)];
            if ($table->scale->isCategorical()) {
                $cells = array_fill(0, $table->q * $table->q, 0);
                foreach ($table->columns[0] as $u => $a) {
                    $cells[$a * $table->q + $table->columns[1][$u]]++;
                }
                $cohen = new CohenKappa(array_values($cells), $this->options->confidence, Weights::asked($table, $this->options->weights));
                $out[] = [...$row, 'cohen_kappa' => $cohen->kappa()->toArray(), 'percent_agreement' => Wilson::figure((int) round($cohen->n * ($cohen->agreement() ?? 0.0)), $cohen->n, $this->options->confidence, 'nothing was rated twice')->toArray()];
            } else {
                $none = self::categorical($table->scale)->toArray();
                $x = array_map(static fn (int $k): float => $table->numbers[$k], $table->columns[0]);
                $y = array_map(static fn (int $k): float => $table->numbers[$k], $table->columns[1]);
                $out[] = [...$row, 'cohen_kappa' => $none, 'percent_agreement' => $none, ...array_map(static fn (Figure $f): array => $f->toArray(), (new BlandAltman($x, $y, $this->options->confidence))->figures())];
            }
        }

        return $out;
    }

    /**
     * @param  list<string>  $items
     * @return list<array<string, mixed>>
     */
    public function againstKey(array $items): array
    {
        if (! $this->set->hasKey()) {
            return [];
        }
        $out = [];
        if (! $this->set->scale->isCategorical()) {
            foreach ($this->keyDifferences($items) as $rater => $difference) {
                $figures = $difference->figures();
                if ($this->options->tolerance !== null) {
                    $figures['within_tolerance'] = $difference->within($this->options->tolerance);
                }
                $out[] = ['rater' => (string) $rater, 'n' => $difference->n, ...array_map(static fn (Figure $f): array => $f->toArray(), $figures)];
            }

            return $out;
        }
        $tables = $this->keyTables($items);
        $figures = array_map(fn (KeyTable $table): array => $table->figures($this->options->confidence), $tables);
        if ($this->bootstrap !== null && $this->options->bootstrapKey) {
            $figures = (new KeyBootstrap($tables, count($items) > 1, $this->bootstrap))->intervals($figures, $this->options->confidence);
        }
        foreach ($figures as $rater => $list) {
            $out[] = ['rater' => (string) $rater, 'n' => $tables[$rater]->n(), ...array_map(static fn (Figure $f): array => $f->toArray(), $list)];
        }

        return $out;
    }

    /**
     * Each rater's table against the key over the given items: the positive value and the rest.
     *
     * @param  list<string>  $items
     * @return array<string, KeyTable> by rater, bytewise
     */
    public function keyTables(array $items): array
    {
        $positive = [];
        foreach ($this->set->valueNames() as $v => $name) {
            $positive[$v] = $v === 0 || $name === $this->options->cannotTell ? null : $this->isPositive($name);
        }
        $tables = [];
        $raters = $this->set->raterNames();
        $cases = $this->set->cases();
        foreach ($items as $item) {
            $rows = $this->set->first($item);
            $sure = $this->set->confidence($item);
            $own = [];
            foreach ($cases as $rank => $case) {
                $truth = $this->set->keyFor($item, $case);
                $c = $this->set->caseIndex($case);
                if ($truth === null || $truth === $this->options->cannotTell || ! isset($rows[$c])) {
                    continue;
                }
                $true = $this->isPositive($truth);
                foreach ($rows[$c] as $r => $v) {
                    $called = $positive[$v] ?? null;
                    if ($called !== null) {
                        $own[$r] ??= new KeyTable;
                        $own[$r]->add($rank, $called, $true, $sure[$c][$r] ?? null);
                    }
                }
            }
            foreach ($own as $r => $table) {
                isset($tables[$raters[$r]]) ? $tables[$raters[$r]]->merge($table) : $tables[$raters[$r]] = $table;
            }
        }
        ksort($tables, SORT_STRING);

        return $tables;
    }

    private function isPositive(string $value): bool
    {
        $positive = $this->options->positive;

        return $value === $positive || ($this->set->scale !== Scale::Nominal && Scale::decimal($positive) !== null && (float) $value === (float) $positive);
    }

    /**
     * Each rater's numbers beside the key's.
     *
     * @param  list<string>  $items
     * @return array<string, BlandAltman> by rater, bytewise
     */
    private function keyDifferences(array $items): array
    {
        $names = $this->set->valueNames();
        $raters = $this->set->raterNames();
        $x = $y = [];
        foreach ($items as $item) {
            $rows = $this->set->first($item);
            foreach ($this->set->cases() as $case) {
                $truth = $this->set->keyFor($item, $case);
                if ($truth !== null) {
                    foreach ($rows[$this->set->caseIndex($case)] ?? [] as $r => $v) {
                        if ($v > 0) {
                            $x[$raters[$r]][] = (float) $names[$v];
                            $y[$raters[$r]][] = (float) $truth;
                        }
                    }
                }
            }
        }
        ksort($x, SORT_STRING);
        $out = [];
        foreach ($x as $rater => $values) {
            $out[$rater] = new BlandAltman($values, $y[$rater], $this->options->confidence);
        }

        return $out;
    }

    /**
     * The categories of a comma-separated list, in byte order.
     *
     * @return list<string>
     *
     * @throws CoreException when one of them is empty
     */
    public static function declared(string $list): array
    {
        $categories = array_values(array_unique(array_map(trim(...), explode(',', $list))));
        if (in_array('', $categories, true)) {
            throw new CoreException('--categories has an empty name in it');
        }

        return RatingSet::ordered($categories);
    }
}
