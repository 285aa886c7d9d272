<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Agreement\Confidence;
use Core\Agreement\Resampling\Comparison;
use Core\CoreException;

/**
 * What a round will be able to say of one fault before anybody reads it, and what it costs: by formula, for readers who
 * agree as is supposed.
 */
final readonly class Forecast
{
    /** Swings of one golfer are alike by so much. */
    private const ALIKE = 0.3;

    /**
     * @param  float|null  $agreement  width of the interval of AC1; null where two golfers or two readers are lacking
     * @param  float|null  $finding  width of the interval of one reader's sensitivity
     * @param  float|null  $change  the difference of AC1 to a round of other cases that is found four times in five
     */
    private function __construct(
        public float $prevalence,
        public float $agreed,
        public ?float $agreement,
        public ?float $finding,
        public ?float $change,
    ) {
    }

    /**
     * @param  int  $cases  ≥ 1
     * @param  int  $golfers  ≥ 1, no more than cases
     * @param  float  $prevalence  share of cases in which the fault is there, in (0, 1)
     * @param  float  $agreed  share of pairs of readers that say the same, in [0.5, 1)
     *
     * @throws CoreException when one lies elsewhere
     */
    public static function of(int $cases, int $golfers, int $readers, float $prevalence, float $agreed): self
    {
        $swings = max(1, (int) round((float) $cases / max(1, $golfers)));
        $assumed = new Assumptions($prevalence, $agreed, max(2, $readers), 0.0, min(100, $swings), self::ALIKE);
        $finite = static fn (float $width): ?float => is_finite($width) ? $width : null;
        $width = $readers < 2 ? null : $finite((new WidthFormula($assumed, 'gwet_ac1'))->width($cases));
        $t = (new Confidence())->t(max(1.0, (float) $cases / $swings - 1.0));

        return new self(
            $prevalence,
            $agreed,
            $width,
            $readers < 1 ? null : $finite((new WidthFormula($assumed, 'sensitivity'))->width($cases)),
            $width === null ? null : Comparison::detectable(sqrt(2.0) * $width / (2.0 * $t)),
        );
    }
}
