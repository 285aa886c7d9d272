<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\CoreException;
use Core\Measurement\Difference;
use Core\Measurement\Spread;
use Core\Number\Distribution;
use Core\Number\RankSum;
use Core\Reading\BallFlight;

/**
 * What the balls did before and after: start line and curve by their means, strikes off the middle by their counts.
 * A change is one beyond doubt; what is meant to change and what is a side effect, the prescription says.
 */
final readonly class BallsChange
{
    public const LEAST = 3;

    private const ALPHA = 0.05;

    /**
     * @param  Difference|null  $start  degrees, positive to the push side; null with fewer than LEAST balls
     * @param  Difference|null  $curve  degrees
     * @param  array{int, int}  $mishits  before and after
     * @param  bool|null  $strikesDiffer  beyond chance; null with fewer than LEAST balls
     */
    private function __construct(
        public int $before,
        public int $after,
        public ?Difference $start,
        public ?Difference $curve,
        public array $mishits,
        public ?bool $strikesDiffer,
    ) {
    }

    /**
     * @param  list<BallFlight>  $before
     * @param  list<BallFlight>  $after
     *
     * @throws CoreException
     */
    public static function of(array $before, array $after): self
    {
        $off = static fn (BallFlight $b): float => $b->strike === 'centre' ? 0.0 : 1.0;
        [$was, $is] = [array_map($off, $before), array_map($off, $after)];
        $enough = min(count($before), count($after)) >= self::LEAST;
        $test = $enough ? RankSum::of($was, $is) : null;

        return new self(
            count($before),
            count($after),
            self::difference(array_column($before, 'startDeg'), array_column($after, 'startDeg')),
            self::difference(array_column($before, 'curveDeg'), array_column($after, 'curveDeg')),
            [(int) array_sum($was), (int) array_sum($is)],
            $test === null ? null : $test->p <= self::ALPHA,
        );
    }

    /**
     * @param  array<float>  $before
     * @param  array<float>  $after
     *
     * @throws CoreException
     */
    private static function difference(array $before, array $after): ?Difference
    {
        $first = Spread::ofValues(array_values($before));
        $second = Spread::ofValues(array_values($after));
        if ($first === null || $second === null || min($first->n, $second->n) < self::LEAST
            || $first->sd + $second->sd <= 0.0) {
            return null;
        }

        return Difference::ofSeries(
            $first,
            $second,
            Distribution::studentQuantile(0.975, Spread::degrees($first, $second)),
            0.0,
        );
    }
}
