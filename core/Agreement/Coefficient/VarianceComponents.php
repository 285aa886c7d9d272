<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Undefined;

/**
 * Where the variance of a complete cases × raters table lies, and what other numbers of raters and cases would give
 * (generalizability theory: Brennan 2001, chs. 2–4).
 *
 * σ²(case) = (B − E)/k, σ²(rater) = (J − E)/n, σ²(case × rater, error) = E, from the mean squares between cases B,
 * between raters J and of the residual E, n cases, k raters; intervals from the case bootstrap. An estimate below zero
 * counts as zero in the decision study.
 */
final readonly class VarianceComponents
{
    private function __construct(
        public Figure $case,
        public Figure $rater,
        public Figure $caseRater,
        public ?Undefined $reason,
    ) {
    }

    public static function fitted(
        ItemTable $table,
        Confidence $confidence = new Confidence(),
        ?ClusterBootstrap $bootstrap = null,
    ): self {
        $reason = CrossedDesign::objection($table);
        if ($reason !== null) {
            return new self(
                Figure::undefined($reason),
                Figure::undefined($reason),
                Figure::undefined($reason),
                $reason,
            );
        }
        $design = new CrossedDesign(
            $table,
            static fn (float $n, float $b, float $w, float $j, float $e, int $k): array => [
                ($b - $e) / $k,
                ($j - $e) / $n,
                $e,
            ],
        );
        $intervals = $bootstrap?->intervals($design, $confidence->level) ?? [null, null, null];
        $figures = [];
        foreach ($design->estimates() as $i => $v) {
            $r = $intervals[$i];
            $figures[] =
                $r === null
                    ? Figure::estimated($v, null, null, null, 'point')
                    : Figure::estimated($v, $r->se, $r->low, $r->high, $r->method);
        }

        return new self($figures[0], $figures[1], $figures[2], null);
    }

    /** @return array{float, float, float} the components, none below zero */
    private function components(): array
    {
        return [
            max(0.0, (float) $this->case->estimate),
            max(0.0, (float) $this->rater->estimate),
            max(0.0, (float) $this->caseRater->estimate),
        ];
    }

    /**
     * What a study with other numbers would give: the coefficient of generalizability Eρ² = σ²_c/(σ²_c + σ²_cr/k) for
     * comparing cases, the index of dependability Φ = σ²_c/(σ²_c + (σ²_r + σ²_cr)/k) for their values themselves, and
     * the standard error of the mean over n cases, √(σ²_c/n + σ²_r/k + σ²_cr/(nk)).
     *
     * @param  list<int>  $raters
     * @param  list<int>  $cases
     * @return list<array{raters: int, cases: int, relative: float|null, absolute: float|null, se_of_mean: float}>
     */
    public function decisionStudy(array $raters, array $cases): array
    {
        if ($this->reason !== null) {
            return [];
        }
        [$c, $r, $cr] = $this->components();
        $out = [];
        foreach ($raters as $k) {
            foreach ($cases as $n) {
                $out[] = [
                    'raters' => $k, 'cases' => $n,
                    'relative' => $c + $cr > 0.0 ? $c / ($c + $cr / $k) : null,
                    'absolute' => $c + $r + $cr > 0.0 ? $c / ($c + ($r + $cr) / $k) : null,
                    'se_of_mean' => sqrt($c / $n + $r / $k + $cr / ($n * $k)),
                ];
            }
        }

        return $out;
    }
}
