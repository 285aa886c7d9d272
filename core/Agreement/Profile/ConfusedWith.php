<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Number\SpecialFunction;

/**
 * Another fault that is called, and is not there, where one was missed: more often than where it was not.
 *
 * One-sided exact test of the two-by-two table (Fisher 1935: given its margins the corner is hypergeometric), over all
 * other faults by Holm (1979). Calls of one person, and of one golfer's swings, hang together: it points, and proves
 * nothing.
 */
final readonly class ConfusedWith
{
    private const LEVEL = 0.05;

    /** Fewer misses with it than these are no pattern. */
    private const LEAST = 3;

    /**
     * @param  string  $fault  the one that is called instead
     * @param  int  $together  readings that missed the one and called the other wrongly
     * @param  int  $missed  readings that missed the one, and could have called the other wrongly
     * @param  int  $otherwise  readings that called the other wrongly without missing the one
     * @param  int  $others  readings that did not miss the one, and could have called the other wrongly
     * @param  float  $p  adjusted over all others
     */
    private function __construct(
        public string $fault,
        public int $together,
        public int $missed,
        public int $otherwise,
        public int $others,
        public float $p,
    ) {
    }

    /**
     * @param  array<string, array{int, int, int, int}>  $counts  by other fault: together, missed, otherwise, others,
     *     as of the constructor
     * @return list<self> the surest first
     */
    public static function among(array $counts): array
    {
        $p = array_map(static fn (array $c): float => self::tail(...$c), $counts);
        asort($p);
        $left = count($p);
        $worst = 0.0;
        $out = [];
        foreach ($p as $fault => $value) {
            $worst = max($worst, min(1.0, $left-- * $value));
            [$together, $missed, $otherwise, $others] = $counts[$fault];
            if ($worst < self::LEVEL && $together >= self::LEAST) {
                $out[] = new self((string) $fault, $together, $missed, $otherwise, $others, $worst);
            }
        }

        return $out;
    }

    /** P(at least so many together), the margins given. */
    public static function tail(int $together, int $missed, int $otherwise, int $others): float
    {
        $all = $missed + $others;
        $called = $together + $otherwise;
        $sum = 0.0;
        for ($k = $together; $k <= min($missed, $called); $k++) {
            if ($called - $k <= $others) {
                $sum += exp(
                    self::logChoose($missed, $k) + self::logChoose($others, $called - $k) - self::logChoose(
                        $all,
                        $called,
                    ),
                );
            }
        }

        return min(1.0, $sum);
    }

    private static function logChoose(int $n, int $k): float
    {
        return SpecialFunction::logGamma($n + 1.0) - SpecialFunction::logGamma($k + 1.0)
            - SpecialFunction::logGamma($n - $k + 1.0);
    }
}
