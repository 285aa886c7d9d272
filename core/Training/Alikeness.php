<?php

declare(strict_types=1);

namespace Core\Training;

use Core\Number\Distribution;

/**
 * How alike the calls of one case are in being right: the intraclass correlation of right or wrong within case and
 * reader, by analysis of variance (Ridout, Demétrio & Firth 1999), and the upper end of its one-sided 80 % interval by
 * a jackknife over the golfers.
 */
final readonly class Alikeness
{
    /** Taken where the data are too few to say. */
    public const UNKNOWN = 0.3;

    private const GOLFERS = 8;

    private function __construct(
        public float $estimate,
        public float $upper,
        public float $callsACase,
        public int $cases,
    ) {
    }

    /**
     * @param  list<array{string, int, int}>  $cases  of every reader: whose swing, right calls, calls
     */
    public static function of(array $cases): self
    {
        $cases = array_values(array_filter($cases, static fn (array $c): bool => $c[2] > 0));
        $calls = array_sum(array_column($cases, 2));
        $each = $cases === [] ? 1.0 : (float) $calls / count($cases);
        $golfers = array_values(array_unique(array_column($cases, 0)));
        $all = self::correlation($cases);
        if (count($golfers) < self::GOLFERS || $all === null) {
            return new self(self::UNKNOWN, self::UNKNOWN, max(1.0, $each), count($cases));
        }
        $without = [];
        foreach ($golfers as $golfer) {
            $without[] = self::correlation(array_values(array_filter(
                $cases,
                static fn (array $c): bool => $c[0] !== $golfer,
            ))) ?? $all;
        }
        $mean = array_sum($without) / count($without);
        $squares = array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $without));
        $se = sqrt((count($without) - 1.0) / count($without) * $squares);

        return new self(
            $all,
            max(0.0, min(1.0, $all + Distribution::normalQuantile(0.8) * $se)),
            max(1.0, $each),
            count($cases),
        );
    }

    /**
     * The same for cases that have unlike numbers of calls, as a test takes it whose cases all have their mean: large
     * cases weigh more (Kish 1965), 1 + (Σk²/Σk − 1)ρ.
     *
     * @param  list<int>  $calls  of each case that has any
     */
    public function over(array $calls): float
    {
        $sum = (float) array_sum($calls);
        if ($sum <= count($calls)) {
            return $this->upper;
        }
        $squares = array_sum(array_map(static fn (int $k): int => $k * $k, $calls));

        return min(1.0, $this->upper * ($squares / $sum - 1.0) / ($sum / count($calls) - 1.0));
    }

    /** @param  list<array{string, int, int}>  $cases */
    private static function correlation(array $cases): ?float
    {
        $groups = count($cases);
        $n = array_sum(array_column($cases, 2));
        if ($groups < 2 || $n <= $groups) {
            return null;
        }
        $p = (float) array_sum(array_column($cases, 1)) / $n;
        $between = $within = $squares = 0.0;
        foreach ($cases as [, $right, $of]) {
            $own = (float) $right / $of;
            $between += $of * ($own - $p) ** 2;
            $within += $of * $own * (1.0 - $own);
            $squares += $of ** 2;
        }
        $size = ($n - $squares / $n) / ($groups - 1.0);
        $between /= $groups - 1.0;
        $within /= $n - $groups;
        $total = $between + ($size - 1.0) * $within;

        return $total <= 0.0 ? null : ($between - $within) / $total;
    }
}
