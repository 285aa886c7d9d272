<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/** Computes everything that is published of a set of nominal ratings, item by item and pooled. */
final class Study
{
    private const NOT_YET = ['light_kappa'];

    /** @var list<string> */
    private readonly array $cases;

    /** @var array<string, int> */
    private readonly array $caseIndex;

    private readonly ?CaseBootstrap $bootstrap;

    public function __construct(private readonly RatingSet $set, private readonly StudyOptions $options = new StudyOptions)
    {
        $this->cases = $set->cases();
        $this->caseIndex = array_flip($this->cases);
        $this->bootstrap = $options->bootstrap > 0 && $this->cases !== [] ? new CaseBootstrap(count($this->cases), $options->bootstrap, $options->seed) : null;
    }

    /** @return array<string, mixed> the published result */
    public function result(): array
    {
        $o = $this->options;
        $items = $this->set->items();

        return [
            'scale' => 'nominal',
            'confidence' => $o->confidence,
            'bootstrap' => $o->bootstrap,
            'seed' => $o->seed,
            'items' => array_map(fn (string $item): array => ['item' => $item, ...$this->block([$item])], $items),
            'pooled' => $this->block($items),
        ];
    }

    /**
     * @param  list<string>  $items  one, or several to be pooled
     * @return array<string, mixed>
     */
    public function block(array $items): array
    {
        $o = $this->options;
        $main = new ItemRatings($this->set, $items, $this->caseIndex, $o->categories, $o->cannotTell);
        $out = [
            'cases' => $main->units()->cases,
            'raters' => count($main->raters),
            'ratings' => $main->units()->ratings(),
            'categories' => $main->categories,
            ...$this->coefficients($main),
            'pairs' => $o->pairs ? $this->pairs($main) : [],
            'raters_vs_rest' => $o->pairs ? $this->ratersVersusRest($main) : [],
            'self' => $this->self($items, $main),
            'against_key' => $this->set->hasKey() ? $this->againstKey($items, $main) : [],
        ];
        if ($o->cannotTell !== null) {
            $three = new ItemRatings($this->set, $items, $this->caseIndex, $o->categories === null ? null : [...$o->categories, $o->cannotTell], null);
            $out['three_way'] = ['categories' => $three->categories, ...$this->coefficients($three)];
        }

        return $out;
    }

    /** @return array{specific_agreement: \stdClass, coefficients: array<string, mixed>} */
    private function coefficients(ItemRatings $ratings): array
    {
        $units = $ratings->units();
        $sums = new CountSums($units);
        $coefficients = new Coefficients($units, $sums, $this->options->confidence);
        $figures = [...array_values($coefficients->figures()), ...$coefficients->specific()];
        if ($this->bootstrap !== null && $units->units > 0 && ! $coefficients->isPerfect()) {
            $intervals = $this->bootstrap->intervals($sums->byCase, $sums->statistics(...), array_map(static fn (Figure $f): ?float => $f->estimate, $figures), $this->options->confidence);
            foreach ($intervals as $i => $interval) {
                if ($interval !== null && ! $this->isBare($figures[$i])) {
                    $figures[$i] = $figures[$i]->within(...$interval);
                }
            }
        }
        $names = Coefficients::NAMES;
        $named = [];
        foreach ($names as $i => $name) {
            $named[$name] = $figures[$i]->toArray();
        }
        $named['conger_kappa'] = CongerKappa::figure($ratings->byRater(), $units->caseOf, count($ratings->raters), $units->q, $this->options->confidence)->toArray();
        foreach (self::NOT_YET as $name) {
            $named[$name] = Figure::undefined('not yet')->toArray();
        }
        $specific = new \stdClass;
        foreach ($ratings->categories as $k => $category) {
            $specific->{$category} = $figures[count($names) + $k]->toArray();
        }

        return ['specific_agreement' => $specific, 'coefficients' => $named];
    }

    /** A point without any interval says by itself that there are too few cases to resample. */
    private function isBare(Figure $figure): bool
    {
        return $figure->low === null;
    }

    /** @return list<array<string, mixed>> */
    private function pairs(ItemRatings $ratings): array
    {
        $positive = array_search($this->options->positive, $ratings->categories, true);
        $out = [];
        foreach ($ratings->pairTables() as [$a, $b, $table]) {
            $cohen = new CohenKappa($table, $this->options->confidence);
            $out[] = [
                'a' => $a, 'b' => $b, 'n' => $cohen->n(),
                'percent_agreement' => $cohen->agreement(),
                'cohen_kappa' => $cohen->kappa()->toArray(),
                'pabak' => $cohen->pabak()->toArray(),
                'prevalence_index' => $cohen->prevalenceIndex($positive === false ? 0 : $positive),
                'bias_index' => $cohen->biasIndex($positive === false ? 0 : $positive),
            ];
        }

        return $out;
    }

    /** @return list<array{rater: string, mean_kappa: array<string, float|string|null>}> */
    private function ratersVersusRest(ItemRatings $ratings): array
    {
        $sums = [];
        foreach ($ratings->pairTables() as [$a, $b, $table]) {
            $kappa = (new CohenKappa($table))->kappa()->estimate;
            if ($kappa !== null) {
                foreach ([$a, $b] as $rater) {
                    $sums[$rater][] = $kappa;
                }
            }
        }
        $out = [];
        foreach ($ratings->raters as $rater) {
            $kappas = $sums[$rater] ?? [];
            $out[] = ['rater' => $rater, 'mean_kappa' => ($kappas === []
                ? Figure::undefined('no pair with this rater has a defined kappa')
                : Figure::of(array_sum($kappas) / count($kappas), null, null, null, 'point'))->toArray()];
        }

        return $out;
    }

    /**
     * @param  list<string>  $items
     * @return list<array<string, mixed>>
     */
    private function self(array $items, ItemRatings $ratings): array
    {
        $pairs = [];
        foreach ($items as $item) {
            foreach ($this->set->repeats($item, $this->options->cannotTell) as $rater => $list) {
                $pairs[$rater] = [...($pairs[$rater] ?? []), ...$list];
            }
        }
        ksort($pairs, SORT_STRING);
        $out = [];
        foreach ($pairs as $rater => $list) {
            $categories = RatingSet::ordered(array_values(array_unique([...$ratings->categories, ...array_merge(...$list)])));
            $index = array_flip($categories);
            $table = array_fill(0, count($categories), array_fill(0, count($categories), 0));
            foreach ($list as [$one, $two]) {
                $table[$index[$one]][$index[$two]]++;
            }
            $cohen = new CohenKappa(array_values(array_map(array_values(...), $table)), $this->options->confidence);
            $out[] = ['rater' => (string) $rater, 'n' => $cohen->n(), 'cohen_kappa' => $cohen->kappa()->toArray(), 'percent_agreement' => $cohen->agreement()];
        }

        return $out;
    }

    /**
     * @param  list<string>  $items
     * @return list<array<string, mixed>>
     */
    private function againstKey(array $items, ItemRatings $ratings): array
    {
        $out = [];
        foreach ($this->keyTables($items) as $rater => $table) {
            $row = ['rater' => (string) $rater, 'n' => $table->n()];
            foreach ($table->figures($this->options->confidence, $this->bootstrap, count($items) > 1) as $name => $figure) {
                $row[$name] = $figure->toArray();
            }
            $out[] = $row;
        }

        return $out;
    }

    /**
     * Each rater's table against the key over the given items.
     *
     * @param  list<string>  $items
     * @return array<string, KeyTable>
     */
    public function keyTables(array $items): array
    {
        $tables = [];
        foreach ($items as $item) {
            foreach ($this->set->first($item, $this->options->cannotTell) as $case => $byRater) {
                $truth = $this->set->keyFor($item, (string) $case);
                if ($truth === null || $truth === $this->options->cannotTell) {
                    continue;
                }
                foreach ($byRater as $rater => [$value, $confidence]) {
                    $tables[$rater] ??= new KeyTable;
                    $tables[$rater]->add($this->caseIndex[$case], $value === $this->options->positive, $truth === $this->options->positive, $confidence);
                }
            }
        }
        ksort($tables, SORT_STRING);

        return $tables;
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
