<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;
use Core\Agreement\Wilson;
use Core\CoreException;
use Core\Remark\Remark;

/** Agreement with oneself over hidden repeats. */
final readonly class SelfAgreement
{
    public function __construct(private RatingSet $set, private StudyOptions $options)
    {
    }

    /**
     * @param  list<string>  $items
     * @param  ItemTable  $all  of these items
     * @return list<RaterResult> of who said something twice, bytewise
     *
     * @throws CoreException
     */
    public function results(array $items, ItemTable $all): array
    {
        $out = [];
        foreach ($this->pairs($items) as $rater => $list) {
            // As two raters: what was said first and what was said later.
            $twice = new RatingSet($this->set->scale);
            $values = [];
            foreach ($list as $i => [$rank, $one, $two]) {
                $case = sprintf('%09d', $i);
                $twice->add($case, '', '1', $one);
                $twice->add($case, '', '2', $two);
                $twice->group($case, sprintf('%09d', $rank));
                array_push($values, $one, $two);
            }
            // Over the item's categories, as weights depend on how many there are.
            $table = ItemTable::fromRatings(
                $twice,
                [''],
                $this->options->categories ?? array_values(array_unique([...$all->categories, ...$values])),
                grouped: $all->grouped,
            );
            $out[] = new RaterResult(
                (string) $rater,
                count($list),
                $table->scale->isCategorical() ? $this->categorical($table) : $this->numeric($table),
            );
        }

        return $out;
    }

    /**
     * @param  list<string>  $items
     * @return array<string, list<array{int, string, string}>> rank of the cluster, first and second value by rater,
     *     neither missing
     */
    private function pairs(array $items): array
    {
        $names = $this->set->valueNames();
        $raters = $this->set->raterNames();
        $repeats = array_filter(array_map($this->set->repeats(...), $items));
        $rank = [];
        foreach ($repeats === [] ? [] : $this->set->inClusters() as [$case, $r]) {
            $rank[$this->set->caseIndex($case)] = $r;
        }
        $pairs = [];
        foreach ($repeats as $byRater) {
            foreach ($byRater as $r => $list) {
                foreach ($list as [$case, $one, $two]) {
                    if ($names[$one] !== $this->options->cannotTell && $names[$two] !== $this->options->cannotTell) {
                        $pairs[$raters[$r]][] = [$rank[$case], $names[$one], $names[$two]];
                    }
                }
            }
        }
        ksort($pairs, SORT_STRING);

        return $pairs;
    }

    /** @return array<string, Figure> */
    private function categorical(ItemTable $table): array
    {
        $weights = Weights::asked($table, $this->options->weights);
        if ($table->grouped) {
            return (new PairTables($table, $weights, $this->options->confidence))->first();
        }
        $cells = array_fill(0, $table->q * $table->q, 0);
        foreach ($table->columns[0] as $u => $a) {
            $cells[$a * $table->q + $table->columns[1][$u]]++;
        }
        $cohen = new CohenKappa(array_values($cells), $this->options->confidence, $weights);

        return [
            'cohen_kappa' => $cohen->kappa(),
            'percent_agreement' => Wilson::figure(
                (int) round($cohen->n * ($cohen->agreement() ?? 0.0)),
                $cohen->n,
                $this->options->confidence,
                Undefined::NothingTwice,
            ),
        ];
    }

    /** @return array<string, Figure> */
    private function numeric(ItemTable $table): array
    {
        $none = Figure::undefined(Remark::of(Undefined::NotForScale, scale: $table->scale->value));
        $both = new BlandAltman(
            array_map(static fn (int $k): float => $table->numbers[$k], $table->columns[0]),
            array_map(static fn (int $k): float => $table->numbers[$k], $table->columns[1]),
            $this->options->confidence,
        );

        return [
            'cohen_kappa' => $none,
            'percent_agreement' => $none,
            ...($table->grouped ? $both->clustered($table->clusterOf) : $both->figures()),
        ];
    }
}
