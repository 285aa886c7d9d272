<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CaseBootstrap;
use Core\Agreement\Resampling\CaseError;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;

/**
 * The count-based coefficients of one item with analytic standard errors ("cases sampled, raters as they are").
 *
 * Where units are pooled over items, the influence values of one case's units are added before they are squared, so
 * that cases stay the sampled clusters (se of α after Gwet 2014).
 */
final readonly class CountFigures
{
    public function __construct(
        private ItemTable $table,
        private CountSums $sums,
        private Weights $weights,
        private Confidence $confidence = new Confidence(),
    ) {
    }

    /**
     * @param  CaseBootstrap|null  $bootstrap  for BCa intervals
     * @return array{array<string, Figure>, list<Figure>} the coefficients by CountSums::NAMES, and the specific
     *     agreement by category
     */
    public function figures(?CaseBootstrap $bootstrap): array
    {
        $values = $this->sums->estimates();
        $left = $this->sums->leaveOneOut();
        $perfect = $this->table->isPerfect();
        $specific = new SpecificAgreement();
        $figures = [];
        foreach ([...CountSums::NAMES, ...array_fill(0, $this->table->q, 'specific')] as $i => $name) {
            $figures[] = match (true) {
                ! is_nan($values[$i]) => $name === 'specific'
                    ? $specific->figure(
                        $this->table,
                        $i - count(CountSums::NAMES),
                        $values[$i],
                        array_column($left, $i),
                        $this->confidence,
                    )
                    : $this->figure($name, $values[$i], $perfect),
                $name === 'specific' => Figure::undefined(
                    $this->table->paired === 0 ? Undefined::NoPairs : Undefined::NoPairsOfCategory,
                ),
                default => Figure::undefined($this->table->whyUndefined()),
            };
        }
        if ($bootstrap !== null && ! $perfect && $this->table->cases > 1) {
            foreach ($bootstrap->intervals($this->sums, $this->confidence->level, $left) as $i => $interval) {
                if ($interval !== null && $figures[$i]->low !== null && $interval->low < $interval->high) {
                    $figures[$i] = $figures[$i]->within($interval->low, $interval->high, $interval->method);
                }
            }
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

    private function figure(string $name, float $estimate, bool $perfect): Figure
    {
        $influence = self::coefficient($name)->influence(
            $this->table,
            $this->weights,
            $estimate,
            $this->sums->proportions(),
        );
        $n = $name === 'krippendorff_alpha' ? $this->table->paired : $this->table->units;
        $figure = CaseError::clustered($estimate, $influence->byUnit, $this->table->caseOf, $n, $this->confidence);

        return $perfect && $figure->low !== null
            ? $figure->within(
                CaseError::perfectLow($this->table->paired, $influence->chance, $this->confidence),
                1.0,
                'perfect-agreement bound',
            )
            : $figure;
    }
}
