<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\CoreException;
use Core\Measurement\Difference;
use Core\Measurement\Measured;
use Core\Measurement\Spread;
use Core\Number\Distribution;
use Core\Number\RankSum;

/**
 * One measure from one series of a golfer's swings to the next: better, the same, worse, or it cannot be said.
 *
 * Better and worse are beyond Welch's interval joined with the instrument's part. The same means that all of the
 * interval lies within what the golfer's own swings differ by, twice their standard deviation. Where values are known
 * only as bounds ("later than impact") the swings are ranked instead, exactly.
 */
final readonly class SeriesChange
{
    /** With fewer warm swings in either series nothing is said. */
    public const LEAST = 3;

    private const ALPHA = 0.05;

    /** So many standard deviations each way hold a golfer's own swings. */
    private const OWN = 2.0;

    /**
     * @param  int  $before  swings with a value or a bound
     * @param  int  $after  likewise
     * @param  Difference|null  $difference  null where values are bounds, or there are too few
     * @param  float|null  $own  what the golfer's own swings differ by, half-width
     */
    private function __construct(
        public Seen $seen,
        public int $before,
        public int $after,
        public ?Spread $first,
        public ?Spread $second,
        public ?Difference $difference,
        public ?float $own,
    ) {
    }

    /**
     * @param  list<Measured>  $before  of the warm swings
     * @param  list<Measured>  $after  likewise
     * @param  int  $looks  measures that are looked at together: each is held to its part of the error
     *
     * @throws CoreException
     */
    public static function of(array $before, array $after, Wanted $wanted, int $looks = 1): self
    {
        $known = static fn (Measured $m): bool => $m->number() !== null || $m->censored !== null;
        [$before, $after] = [array_values(array_filter($before, $known)), array_values(array_filter($after, $known))];
        [$n, $m] = [count($before), count($after)];
        if (min($n, $m) < self::LEAST || ! $wanted->isKnown()) {
            return new self(
                Seen::CannotBeSaid,
                $n,
                $m,
                Spread::ofMeasured($before),
                Spread::ofMeasured($after),
                null,
                null,
            );
        }
        $isBound = array_filter([...$before, ...$after], static fn (Measured $m): bool => $m->censored !== null) !== [];

        return $isBound
            ? self::byRank($before, $after, $wanted, $looks)
            : self::byMean($before, $after, $wanted, $looks);
    }

    /**
     * @param  list<Measured>  $before
     * @param  list<Measured>  $after
     *
     * @throws CoreException
     */
    private static function byMean(array $before, array $after, Wanted $wanted, int $looks): self
    {
        $first = Spread::ofMeasured($before) ?? throw PrescriptionException::because('no-series');
        $second = Spread::ofMeasured($after) ?? throw PrescriptionException::because('no-series');
        $instrument = hypot(self::doubt($before), self::doubt($after)) / sqrt(min($first->n, $second->n));
        $t = $first->sd + $second->sd > 0.0
            ? Distribution::studentQuantile(
                1.0 - self::ALPHA / (2.0 * max(1, $looks)),
                Spread::degrees($first, $second),
            )
            : 0.0;
        $difference = Difference::ofSeries($first, $second, $t, $instrument);
        $pooled = sqrt(
            (($first->n - 1) * $first->sd ** 2 + ($second->n - 1) * $second->sd ** 2) / ($first->n + $second->n - 2),
        );
        $own = max(self::OWN * $pooled, $instrument);
        $gain = $wanted->goodness($second->mean) - $wanted->goodness($first->mean);
        $u = $difference->uncertainty;
        $seen = match (true) {
            $gain > $u => Seen::Better,
            -$gain > $u => Seen::Worse,
            abs($difference->change) + $u <= $own => Seen::Same,
            $wanted->isMetBy($second->mean - $u, $second->mean + $u)
                && $wanted->goodness($first->mean) >= 0.0 => Seen::Same,
            default => Seen::CannotBeSaid,
        };

        return new self($seen, $first->n, $second->n, $first, $second, $difference, $own);
    }

    /**
     * @param  list<Measured>  $before
     * @param  list<Measured>  $after
     */
    private static function byRank(array $before, array $after, Wanted $wanted, int $looks): self
    {
        $far = 1e9;
        $good = static fn (Measured $m): float => $wanted->goodness(match ($m->censored) {
            'below' => -$far,
            'above' => $far,
            default => (float) $m->number(),
        });
        $test = RankSum::of(array_map($good, $before), array_map($good, $after));
        $seen = match (true) {
            $test === null || $test->p > self::ALPHA / (float) max(1, $looks) => Seen::CannotBeSaid,
            $test->surplus > 0.0 => Seen::Better,
            default => Seen::Worse,
        };

        return new self(
            $seen,
            count($before),
            count($after),
            Spread::ofMeasured($before),
            Spread::ofMeasured($after),
            null,
            null,
        );
    }

    /**
     * The instrument's own doubt about one swing, on average; half-width.
     *
     * @param  list<Measured>  $of
     */
    public static function doubt(array $of): float
    {
        return $of === []
            ? 0.0
            : array_sum(array_map(static fn (Measured $m): float => (float) $m->uncertainty, $of)) / (float) count($of);
    }
}
