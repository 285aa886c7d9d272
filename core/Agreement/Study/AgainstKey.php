<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Figure;
use Core\Agreement\Profile\FieldValues;
use Core\Agreement\Profile\KeyBootstrap;
use Core\Agreement\Profile\KeyTable;
use Core\Agreement\Profile\PeopleInOrder;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Scale;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;

/** The raters of a set against its key. */
final readonly class AgainstKey
{
    public function __construct(
        private RatingSet $set,
        private StudyOptions $options,
        private ?ClusterBootstrap $bootstrap,
    ) {
    }

    /**
     * @param  list<string>  $items
     * @return list<RaterResult>
     */
    public function results(array $items): array
    {
        if (! $this->set->hasKey()) {
            return [];
        }
        $out = [];
        if (! $this->set->scale->isCategorical()) {
            foreach ($this->differences($items) as $rater => [$difference, $clusterOf]) {
                $figures = $this->isGrouped($items) ? $difference->clustered($clusterOf) : $difference->figures();
                if ($this->options->tolerance !== null) {
                    $figures['within_tolerance'] = $difference->within($this->options->tolerance);
                }
                $out[] = new RaterResult((string) $rater, $difference->n, $figures);
            }

            return $out;
        }
        $tables = $this->tables($items, false);
        $figures = $this->figures($items, $tables);
        if ($this->bootstrap !== null && $this->options->bootstrapKey) {
            $figures = (new KeyBootstrap($tables, $this->bootstrap))->intervals(
                $figures,
                $this->options->confidence,
            );
        }
        foreach ($figures as $rater => $list) {
            $field = $this->options->fieldPrevalence;
            $out[] = new RaterResult((string) $rater, $tables[$rater]->n(), [
                ...$list,
                ...($field === null
                    ? []
                    : (new FieldValues($list['sensitivity'], $list['specificity'], $field))->figures()),
            ]);
        }

        return $out;
    }

    /**
     * The same with abstentions counted wrong, which is never to anybody's gain; the share that was answered, and the
     * share that was right when half of an abstention counts as right. The latter is for looking: whoever guesses no
     * better than a coin gains by abstaining.
     *
     * @param  list<string>  $items
     * @return list<RaterResult>
     */
    public function countedWrong(array $items): array
    {
        if (! $this->set->hasKey() || ! $this->set->scale->isCategorical()) {
            return [];
        }
        $tables = $this->tables($items, true);
        $answered = $this->tables($items, false);
        $out = [];
        foreach ($this->figures($items, $tables) as $rater => $figures) {
            unset($figures['brier']);
            $out[] = new RaterResult((string) $rater, $tables[$rater]->n(), [
                ...$figures,
                ...$this->answered($tables[$rater], $answered[$rater] ?? new KeyTable, $this->isGrouped($items)),
            ]);
        }

        return $out;
    }

    /**
     * Everybody in the order of right calls, abstentions counted wrong.
     *
     * @param  list<string>  $items
     * @return PeopleInOrder|null null where it cannot be told
     */
    public function order(array $items): ?PeopleInOrder
    {
        if (! $this->set->hasKey() || ! $this->set->scale->isCategorical()) {
            return null;
        }
        $right = array_map(static fn (KeyTable $table): array => array_map(
            static fn (array $c): array => [$c[0] + $c[3], array_sum($c)],
            $table->cellsByCluster(),
        ), $this->tables($items, $this->options->cannotTell !== null));

        return PeopleInOrder::of($right, $this->options->seed);
    }

    /**
     * @param  list<string>  $items
     * @return KeyErrorResult|null null where nothing is known of how the panel split
     */
    public function keyError(array $items): ?KeyErrorResult
    {
        return ! $this->set->hasVotes() || ! $this->set->scale->isCategorical()
            ? null
            : (new KeyError($this->set, $items, $this->options, $this->isPositive(...)))->result($this->bootstrap);
    }

    /** @return array{answered: Figure, half_credit: Figure} */
    private function answered(KeyTable $all, KeyTable $some, bool $grouped): array
    {
        $confidence = $this->options->confidence;
        $cells = $some->cellsByCluster();
        $shares = $credits = [];
        foreach ($all->cellsByCluster() as $rank => $of) {
            [$tp, $fn, $fp, $tn] = $cells[$rank] ?? [0, 0, 0, 0];
            $n = array_sum($of);
            $told = $tp + $fn + $fp + $tn;
            $shares[] = [$told, $n];
            $credits[] = [$n, $tp + $tn + 0.5 * ($n - $told)];
        }
        $k = array_sum(array_column($shares, 0));
        $n = array_sum(array_column($shares, 1));

        return [
            'answered' => $grouped
                ? Wilson::clustered($shares, $confidence, Undefined::NothingToCompare)
                : Wilson::figure($k, $n, $confidence, Undefined::NothingToCompare),
            'half_credit' => KeyTable::mean($credits, $confidence),
        ];
    }

    /**
     * @param  list<string>  $items
     * @param  array<string, KeyTable>  $tables
     * @return array<string, array<string, Figure>> by rater
     */
    private function figures(array $items, array $tables): array
    {
        $grouped = $this->isGrouped($items);

        return array_map(
            fn (KeyTable $table): array => $grouped
                ? $table->clustered($this->options->confidence)->figures()
                : $table->figures($this->options->confidence),
            $tables,
        );
    }

    /** @param  list<string>  $items */
    private function isGrouped(array $items): bool
    {
        return count($items) > 1 || $this->set->isClustered();
    }

    /**
     * Each rater's table against the key over the given items: the positive value and the rest.
     *
     * @param  list<string>  $items
     * @param  bool  $abstaining  whether "cannot tell" counts, as what it is not: of a positive as a miss, of a
     *     negative as an over-call
     * @return array<string, KeyTable> by rater, bytewise
     */
    public function tables(array $items, bool $abstaining): array
    {
        $positive = $abstained = [];
        foreach ($this->set->valueNames() as $v => $name) {
            $abstained[$v] = $abstaining && $v !== 0 && $name === $this->options->cannotTell;
            $positive[$v] = $v === 0 || $name === $this->options->cannotTell ? null : $this->isPositive($name);
        }
        $tables = [];
        $raters = $this->set->raterNames();
        $cases = $this->set->inClusters();
        foreach ($items as $item) {
            $rows = $this->set->first($item);
            $sure = $this->set->confidence($item);
            $own = [];
            foreach ($cases as [$case, $rank]) {
                $truth = $this->set->keyFor($item, $case);
                $c = $this->set->caseIndex($case);
                if ($truth === null || $truth === $this->options->cannotTell || ! $rows->has($c)) {
                    continue;
                }
                $true = $this->isPositive($truth);
                foreach ($rows->row($c) as $r => $v) {
                    $without = $abstained[$v] ?? false;
                    $called = $without ? ! $true : $positive[$v] ?? null;
                    if ($called !== null) {
                        $own[$r] ??= new KeyTable;
                        $own[$r]->add($rank, $called, $true, $without ? null : $sure[$c][$r] ?? null);
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

        return $value === $positive ||
            ($this->set->scale !== Scale::Nominal &&
                Scale::decimal($positive) !== null &&
                (float) $value === (float) $positive);
    }

    /**
     * Each rater's numbers beside the key's.
     *
     * @param  list<string>  $items
     * @return array<string, array{BlandAltman, list<int>}> by rater, bytewise, with the cluster of each number
     */
    private function differences(array $items): array
    {
        $names = $this->set->valueNames();
        $raters = $this->set->raterNames();
        $x = $y = $clusterOf = [];
        foreach ($items as $item) {
            $rows = $this->set->first($item);
            foreach ($this->set->inClusters() as [$case, $rank]) {
                $truth = $this->set->keyFor($item, $case);
                if ($truth !== null) {
                    foreach ($rows->row($this->set->caseIndex($case)) as $r => $v) {
                        if ($v > 0) {
                            $x[$raters[$r]][] = (float) $names[$v];
                            $y[$raters[$r]][] = (float) $truth;
                            $clusterOf[$raters[$r]][] = $rank;
                        }
                    }
                }
            }
        }
        ksort($x, SORT_STRING);
        $out = [];
        foreach ($x as $rater => $values) {
            $out[$rater] = [new BlandAltman($values, $y[$rater], $this->options->confidence), $clusterOf[$rater]];
        }

        return $out;
    }
}
