<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Resampling\Resample;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * The weekly look at one reader: whether the newest cases differ from all that were read before, in right calls or in
 * calls of "present", against the other readers of the same questions.
 *
 * Each case of each check is a unit: the sum over its questions of the reader's score less the mean of the others'.
 * Centred and divided by their standard deviation, the newest window's |sum|/√(units) is held against its distribution
 * when units change places, at an error of 0.05 in a year of looks (DriftChart judges all windows at once; a weekly
 * look the newest alone).
 */
final readonly class WeeklyWatch
{
    /** With fewer units nothing is judged. */
    public const LEAST = 24;

    /** Units in the newest window. */
    public const WINDOW = 12;

    public const LOOKS_A_YEAR = 52;

    private const FALSE_ALARM = 0.05;

    /**
     * @param  float  $right  of the newest window, in standard errors; positive is more right than before
     * @param  float  $present  likewise; positive calls more faults present than before
     * @param  float  $limit  that one unchanging reader in twenty passes once in a year
     */
    private function __construct(
        public int $units,
        public float $right,
        public float $present,
        public float $limit,
        public float $p,
    ) {
    }

    /**
     * @param  list<array{right: float, present: float}>  $units  in the order of reading
     * @return self|null null with too few
     */
    public static function of(array $units, int|string $seed = 1, int $permutations = 9999): ?self
    {
        $n = count($units);
        if ($n < self::LEAST) {
            return null;
        }
        $lines = [
            DriftChart::standardised(array_column($units, 'right')),
            DriftChart::standardised(array_column($units, 'present')),
        ];
        $order = range(0, $n - 1);
        $found = array_map(static fn (array $line): float => self::newest($line, $order), $lines);
        $greatest = max(abs($found[0]), abs($found[1]));
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', "$seed|watch", true)));
        $beyond = 0;
        $all = [];
        for ($b = 0; $b < $permutations; $b++) {
            $shuffled = $random->shuffleArray($order);
            $v = max(abs(self::newest($lines[0], $shuffled)), abs(self::newest($lines[1], $shuffled)));
            $all[] = $v;
            $beyond += $v >= $greatest - 1e-12 ? 1 : 0;
        }
        $level = self::level();

        return new self(
            $n,
            $found[0],
            $found[1],
            $all === [] ? INF : Resample::quantiles($all, [1.0 - $level, 1.0])[0],
            (1.0 + $beyond) / ($permutations + 1.0),
        );
    }

    /** Whether it has moved, by the error of one look. */
    public function isBeyond(): bool
    {
        return $this->p <= self::level();
    }

    /** How far it has moved, in limits. */
    public function reach(): float
    {
        return max(abs($this->right), abs($this->present)) / $this->limit;
    }

    /** The same, where it cannot be told whose move it was. */
    public function unsaid(): self
    {
        return new self($this->units, $this->right, $this->present, $this->limit, 1.0);
    }

    /** The part of the error that one look of a year may use. */
    private static function level(): float
    {
        return self::FALSE_ALARM / self::LOOKS_A_YEAR;
    }

    /**
     * @param  list<float>  $line
     * @param  list<int>  $order
     */
    private static function newest(array $line, array $order): float
    {
        $sum = 0.0;
        $n = count($order);
        for ($i = $n - self::WINDOW; $i < $n; $i++) {
            $sum += $line[$order[$i]];
        }

        return $sum / sqrt(self::WINDOW);
    }
}
