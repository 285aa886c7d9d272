<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\NewReaders;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Resampling\CountInfluence;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Resampling\WithoutReaders;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;

/**
 * The count-based coefficients of one item, or of several pooled, with the errors of clusters sampled from many and
 * raters as they are, and beside them those for other readers like these.
 *
 * Where each cluster holds a unit the errors are analytic, else by leaving out each cluster in turn.
 */
final readonly class CountFigures
{
    private const ALPHA = 4;

    public function __construct(
        private ItemTable $table,
        private CountSums $sums,
        private Weights $weights,
        private Confidence $confidence = new Confidence(),
    ) {
    }

    /**
     * @param  ClusterBootstrap|null  $bootstrap  for BCa intervals
     * @return array{array<string, Figure>, list<Figure>} the coefficients by CountSums::NAMES, and the specific
     *     agreement by category
     */
    public function figures(?ClusterBootstrap $bootstrap): array
    {
        $values = $this->sums->estimates();
        $left = $this->sums->leaveOneOut();
        $forms = CountInfluence::forms($this->sums->total, $values, $this->table->q, $this->weights);
        $clusters = Clusters::ofTable($this->table);
        $paired = Clusters::ofTable($this->table, 2);
        $over = [];
        foreach (array_keys($values) as $i) {
            $category = $i - count(CountSums::NAMES);
            $over[] = match (true) {
                $category >= 0 => Clusters::ofSizes($this->sums->possible($category), $this->table->times),
                $i === self::ALPHA => $paired,
                default => $clusters,
            };
        }
        $figures = [];
        foreach ($values as $i => $value) {
            $figures[] = is_nan($value)
                ? Figure::undefined($this->why($i))
                : $this->figure($i, $value, array_column($left, $i), $forms[$i] ?? [], $over[$i]);
        }
        $figures = $this->bounded($figures, $clusters, $paired);
        if (
            $bootstrap !== null &&
            ! $this->table->isPerfect() &&
            $this->table->clusters > 1 &&
            (! $this->table->grouped || $clusters->canResample())
        ) {
            foreach ($bootstrap->intervals($this->sums, $this->confidence->level, $left) as $i => $interval) {
                if ($interval !== null && $figures[$i]->low !== null && $interval->low < $interval->high) {
                    $figures[$i] = $figures[$i]->within($interval->low, $interval->high, $interval->method);
                }
            }
        }
        $readers = WithoutReaders::ofTable($this->table, $this->weights, $this->sums, count($figures));
        foreach ($figures as $i => $figure) {
            $figures[$i] = $figure->forReadersLike(NewReaders::of(
                $figure,
                $readers->values[$i],
                $readers->crossed[$i],
                $over[$i],
                $this->confidence,
                $i < count(CountSums::NAMES) ? -1.0 : 0.0,
            ));
        }
        $n = count(CountSums::NAMES);

        return [array_combine(CountSums::NAMES, array_slice($figures, 0, $n)), array_slice($figures, $n)];
    }

    /** @param  string  $name  one of CountSums::NAMES */
    public static function coefficient(string $name): Coefficient
    {
        return match ($name) {
            'percent_agreement' => new PercentAgreement(),
            'fleiss_kappa' => new FleissKappa(),
            'gwet_ac' => new GwetAc(),
            'brennan_prediger' => new BrennanPrediger(),
            default => new NominalAlpha(),
        };
    }

    private function why(int $i): Undefined
    {
        return match (true) {
            $i < count(CountSums::NAMES) => $this->table->whyUndefined(),
            $this->table->paired === 0 => Undefined::NoPairs,
            default => Undefined::NoPairsOfCategory,
        };
    }

    /**
     * @param  list<float>  $left  the value without each cluster
     * @param  list<float>  $form  what a cluster's sums are multiplied by to get its influence
     */
    private function figure(int $i, float $value, array $left, array $form, Clusters $clusters): Figure
    {
        $specific = $i >= count(CountSums::NAMES);
        if ($this->table->grouped) {
            return ClusterError::clustered(
                $value,
                $left,
                $clusters,
                $this->confidence,
                fn (): array => $this->sums->times($form),
                $specific ? 0.0 : -1.0,
            );
        }
        if ($specific) {
            return ClusterError::jackknifed($value, $left, $this->confidence, 0.0, $this->table->times);
        }
        $n = $i === self::ALPHA ? $this->table->paired : $this->table->units;

        return ClusterError::linear(
            $value,
            $this->sums->times(array_map(static fn (float $v): float => $v * $n, $form)),
            $n,
            $this->confidence,
            $this->table->times,
        );
    }

    /**
     * No interval without a width where nobody ever differs: Wilson's bound in its place.
     *
     * @param  list<Figure>  $figures
     * @return list<Figure>
     */
    private function bounded(array $figures, Clusters $clusters, Clusters $paired): array
    {
        $perfect = $this->table->paired > 0 && $this->table->isPerfect();
        $chance = $perfect ? CountInfluence::chance($this->sums->total, $this->table->q, $this->weights) : [];
        foreach ($figures as $i => $figure) {
            $category = $i - count(CountSums::NAMES);
            if ($category >= 0) {
                $figures[$i] = (new SpecificAgreement())->bounded($figure, $this->table, $category, $this->confidence);
            } elseif ($perfect && $figure->low !== null) {
                $n = match (true) {
                    ! $this->table->grouped => $this->table->paired,
                    $i === self::ALPHA => $paired->count,
                    default => $clusters->count,
                };
                $figures[$i] = $figure->within(
                    ClusterError::perfectLow($n, $chance[$i], $this->confidence),
                    1.0,
                    'perfect-agreement bound',
                );
            }
        }

        return $figures;
    }
}
