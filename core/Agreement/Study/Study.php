<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\AgreementException;
use Core\Agreement\AlikeUnits;
use Core\Agreement\Coefficient\Alpha;
use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Coefficient\IntraclassCorrelation;
use Core\Agreement\Coefficient\MeanOverItems;
use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Coefficient\WithAbstentions;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\KeyTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;
use Core\CoreException;
use Core\Remark\Remark;

/** Computes everything that is published of a set of ratings, item by item and pooled. */
final class Study
{
    private readonly ?ClusterBootstrap $bootstrap;

    private readonly AgainstKey $key;

    /** @var array{list<string>, ItemResult}|null the items asked for last: of a single item the pooled is the same */
    private ?array $last = null;

    /** @throws CoreException when weights are asked for on names */
    public function __construct(
        private readonly RatingSet $set,
        private readonly StudyOptions $options = new StudyOptions(),
    ) {
        if ($options->weights !== null && $set->scale === Scale::Nominal) {
            throw AgreementException::because('nominal-weights');
        }
        $clusters = $options->bootstrap > 0 ? $set->clusterCount() : 0;
        $this->bootstrap = $clusters > 0 ? new ClusterBootstrap($clusters, $options->bootstrap, $options->seed) : null;
        $this->key = new AgainstKey($set, $options, $this->bootstrap);
    }

    /** @throws CoreException */
    public function result(): StudyResult
    {
        $items = $this->set->items();
        $o = $this->options;

        return new StudyResult(
            $this->set->scale,
            $o->confidence->level,
            $o->bootstrap,
            $o->seed,
            array_combine($items, array_map(fn (string $item): ItemResult => $this->item([$item]), $items)),
            $this->item($items),
        );
    }

    /**
     * @param  list<string>  $items  one, or several to be pooled
     * @return list<TwoWays> what is worked out twice; nothing on a scale that has no categories
     *
     * @throws CoreException
     */
    public function twoWays(array $items): array
    {
        $table = ItemTable::fromRatings($this->set, $items, $this->options->categories, $this->options->cannotTell);

        return $table->scale->isCategorical()
            ? TwoWays::compared($table, Weights::asked($table, $this->options->weights))
            : [];
    }

    /**
     * @param  list<string>  $items  one, or several to be pooled
     *
     * @throws CoreException
     */
    public function item(array $items): ItemResult
    {
        if ($this->last === null || $this->last[0] !== $items) {
            $this->last = [$items, $this->compute($items)];
        }

        return $this->last[1];
    }

    /**
     * @param  list<string>  $items
     *
     * @throws CoreException
     */
    private function compute(array $items): ItemResult
    {
        $o = $this->options;
        $table = $this->table($items);
        $weights = Weights::asked($table, $o->weights);
        $pairs = $table->scale->isCategorical() ? new PairTables($table, $weights, $o->confidence) : null;
        [$coefficients, $specific] = $this->coefficients($table, $weights, $pairs);
        $three = $abstention = null;
        if ($o->cannotTell !== null && $table->scale->isCategorical()) {
            $all = ItemTable::fromRatings(
                $this->set,
                $items,
                $o->categories === null ? null : [...$table->categories, $o->cannotTell],
                null,
                $table->scale !== Scale::Nominal,
            );
            $three = new ThreeWayResult(
                $all->categories,
                ...$this->coefficients($all, Weights::identity($all->q), null),
            );
            $abstention = $this->abstention($items, $all);
        }

        return new ItemResult(
            $table->cases, count($table->raters), $table->ratings, $table->categories, $coefficients, $specific,
            match (true) {
                ! $o->pairs => [],
                $pairs !== null => $pairs->results($table->code($o->positive)),
                default => $this->numericPairs($table),
            },
            $pairs?->undefined() ?? 0,
            match (true) {
                ! $o->pairs => [],
                $pairs !== null => $pairs->ratersVersusRest(),
                default => array_fill_keys($table->raters, self::categorical($table->scale)),
            },
            (new SelfAgreement($this->set, $this->options))->results($items, $table),
            $this->againstKey($items),
            $three,
            $abstention,
            $this->mean($items, $table),
            $o->order && count($items) === count($this->set->items()) ? $this->key->order($items) : null,
            $this->key->keyError($items),
        );
    }

    /**
     * Where nothing is drawn and every case is its own cluster, what is alike is held once.
     *
     * @param  list<string>  $items
     *
     * @throws CoreException
     */
    private function table(array $items): ItemTable
    {
        $o = $this->options;
        $plain = $this->bootstrap !== null ||
            $this->set->scale !== Scale::Nominal || count($items) !== 1 || $this->set->isClustered();

        return ($plain ? null : AlikeUnits::ofNames($this->set, $items[0], $o->categories, $o->cannotTell))
            ?? ItemTable::fromRatings($this->set, $items, $o->categories, $o->cannotTell);
    }

    /**
     * @param  list<string>  $items
     *
     * @throws CoreException
     */
    private function mean(array $items, ItemTable $pooled): ?MeanOverItems
    {
        if (count($items) < 2 || $this->set->scale !== Scale::Nominal) {
            return null;
        }
        $tables = function () use ($items): \Generator {
            foreach ($items as $item) {
                yield ItemTable::fromRatings(
                    $this->set,
                    [$item],
                    $this->options->categories,
                    $this->options->cannotTell,
                );
            }
        };

        return MeanOverItems::of($tables(), $pooled->categories, $this->options->confidence);
    }

    /**
     * @param  list<string>  $items
     * @param  ItemTable  $all  with the abstention as a category
     */
    private function abstention(array $items, ItemTable $all): AbstentionResult
    {
        $without = (string) $this->options->cannotTell;
        [$coefficients, $specific] = (new WithAbstentions($all, $all->code($without)))->figures(
            $this->options->confidence,
            $this->bootstrap,
        );

        return new AbstentionResult(
            $coefficients,
            array_combine(array_values(array_diff($all->categories, [$without])), $specific),
            $this->key->countedWrong($items),
        );
    }

    /**
     * @return array{array<string, Figure>, array<string, Figure>} the coefficients, and the specific agreement by
     * category
     */
    private function coefficients(ItemTable $table, Weights $weights, ?PairTables $pairs): array
    {
        $nominal = $table->scale === Scale::Nominal;
        if (! $table->scale->isCategorical()) {
            $none = self::categorical($table->scale);

            return [
                [
                    ...array_fill_keys(
                        [
                            'percent_agreement',
                            'fleiss_kappa',
                            'gwet_ac2',
                            'brennan_prediger',
                            'conger_kappa',
                            'light_kappa',
                        ],
                        $none,
                    ),
                    'krippendorff_alpha' => Alpha::figure($table, $this->options->confidence, $this->bootstrap),
                    ...(new IntraclassCorrelation($table))->figures($this->options->confidence, $this->bootstrap),
                ],
                [],
            ];
        }
        [$figures, $byCategory] = (new CountFigures(
            $table,
            new CountSums($table, $weights, $this->bootstrap->clusters ?? 0),
            $weights,
            $this->options->confidence,
        ))->figures($this->bootstrap);

        return [
            [
                'percent_agreement' => $figures['percent_agreement'],
                'fleiss_kappa' => $figures['fleiss_kappa'],
                $nominal ? 'gwet_ac1' : 'gwet_ac2' => $figures['gwet_ac'],
                'brennan_prediger' => $figures['brennan_prediger'],
                'krippendorff_alpha' => $nominal
                    ? $figures['krippendorff_alpha']
                    : Alpha::figure($table, $this->options->confidence, $this->bootstrap),
                'conger_kappa' => CongerKappa::figure($table, $weights, $this->options->confidence),
                'light_kappa' => ($pairs ?? new PairTables($table, $weights, $this->options->confidence))->light(),
            ],
            array_combine($table->categories, $byCategory),
        ];
    }

    private static function categorical(Scale $scale): Figure
    {
        return Figure::undefined(Remark::of(Undefined::NotForScale, scale: $scale->value));
    }

    /** @return list<PairResult> each pair of raters' bias, limits of agreement and concordance */
    private function numericPairs(ItemTable $table): array
    {
        $none = self::categorical($table->scale);
        $out = [];
        foreach ($table->raters as $g => $a) {
            for ($h = $g + 1; $h < count($table->raters); $h++) {
                $x = $y = $clusterOf = [];
                foreach ($table->columns[$g] as $u => $k) {
                    $l = $table->columns[$h][$u];
                    if ($k >= 0 && $l >= 0) {
                        $x[] = $table->numbers[$k];
                        $y[] = $table->numbers[$l];
                        $clusterOf[] = $table->clusterOf[$u];
                    }
                }
                $both = new BlandAltman($x, $y, $this->options->confidence);
                $out[] = new PairResult(
                    $a,
                    $table->raters[$h],
                    $both->n,
                    null,
                    $none,
                    $none,
                    null,
                    null,
                    $table->grouped ? $both->clustered($clusterOf) : $both->figures(),
                );
            }
        }

        return $out;
    }

    /**
     * @param  list<string>  $items
     * @return list<RaterResult>
     */
    public function againstKey(array $items): array
    {
        return $this->key->results($items);
    }

    /** Everything against the key beside its plain figures. */
    public function key(): AgainstKey
    {
        return $this->key;
    }

    /**
     * @param  list<string>  $items
     * @return array<string, KeyTable> each rater's table against the key, bytewise
     */
    public function keyTables(array $items): array
    {
        return $this->key->tables($items, false);
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
            throw AgreementException::because('empty-category');
        }

        return RatingSet::ordered($categories);
    }
}
