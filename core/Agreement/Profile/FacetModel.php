<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Number\NelderMead;

/**
 * Many facets on one scale (Linacre 1989): the logit of a call's being right is a mean plus what its reader, its case,
 * its fault and, if asked, its round add. Each facet's effects are drawn from a normal distribution of their own; modes
 * and mean by penalised likelihood, the spreads where the Laplace approximation of the marginal likelihood is highest
 * (Bates and others 2015, as a logistic mixed model with crossed effects whose mean is found with the modes).
 *
 * The facet with the most levels is eliminated first: its part of the Hessian is diagonal, as a call has one level of
 * each.
 */
final readonly class FacetModel
{
    private const LEAST_SD = 1e-3;

    /** With more calls the spreads are found a little less exactly. */
    private const MANY = 20_000;

    private const MOST_SD = 20.0;

    /**
     * For its codec.
     *
     * @param  float  $mean  in logits
     * @param  array<string, float>  $sd  spread of each facet
     * @param  array<string, array<string, FacetEffect>>  $facets  by facet and level, in byte order
     * @param  int  $parts  in how many parts the design falls that share no level: across them nothing is compared but
     *     by the prior
     */
    public function __construct(
        public float $mean,
        public float $meanSe,
        public array $sd,
        public array $facets,
        public float $deviance,
        public int $parts,
    ) {
    }

    /**
     * @param  iterable<array{bool, list<string>}>  $calls  whether right, and the level of each facet
     * @param  non-empty-list<string>  $names  of the facets
     * @param  non-empty-list<float>|null  $sd  fixed spreads; found where null
     * @param  list<string>  $links  the facets that must link the design; all where empty
     * @return self|null null without calls, or where all of them are right or none is
     */
    public static function fit(iterable $calls, array $names, ?array $sd = null, array $links = []): ?self
    {
        $design = new FacetDesign($calls, $names);
        if (in_array($design->rightCalls(), [0, $design->calls()], true)) {
            return null;
        }
        $fit = new FacetFit($design);
        if ($sd === null) {
            $logs = NelderMead::lowest(
                static fn (array $logs): float => $fit->deviance(self::spreads($logs)),
                array_map(static fn (): float => log(0.7), $names),
                0.5,
                most: $design->calls() > self::MANY ? 60 : 400,
            );
            $sd = self::spreads($logs);
        }
        $deviance = $fit->deviance($sd);
        $effects = $fit->effects($sd);

        return new self(
            $effects['mean'],
            $effects['se'],
            array_combine($names, $sd),
            $effects['facets'],
            $deviance,
            $design->parts(array_keys($links === [] ? $names : array_intersect($names, $links))),
        );
    }

    /**
     * The share of right calls to be expected of one level where everything else is middling, with its 95 % interval.
     *
     * @return array{float, float, float}
     */
    public function share(FacetEffect $of): array
    {
        $at = static fn (float $logit): float => 1.0 / (1.0 + exp(-$logit));
        $middle = $this->mean + $of->estimate;

        return [$at($middle), $at($middle - 1.96 * $of->seWithMean), $at($middle + 1.96 * $of->seWithMean)];
    }

    /**
     * @param  non-empty-list<float>  $logs
     * @return non-empty-list<float>
     */
    private static function spreads(array $logs): array
    {
        return array_map(static fn (float $v): float => min(self::MOST_SD, max(self::LEAST_SD, exp($v))), $logs);
    }
}
