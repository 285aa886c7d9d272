<?php

declare(strict_types=1);

namespace Core\Chance;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Seeded chance: the same words give the same draws on every machine. */
final class Chance
{
    private readonly Randomizer $random;

    private ?float $spare = null;

    public function __construct(string $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)));
    }

    /** Uniform on [0, 1), 53 bits. */
    public function uniform(): float
    {
        return (float) $this->random->getInt(0, (1 << 53) - 1) / (1 << 53);
    }

    /** Normal deviate (Marsaglia's polar method). */
    public function normal(float $mean = 0.0, float $sd = 1.0): float
    {
        if ($this->spare !== null) {
            $z = $this->spare;
            $this->spare = null;

            return $mean + $sd * $z;
        }
        do {
            $u = 2 * $this->uniform() - 1;
            $v = 2 * $this->uniform() - 1;
            $s = $u * $u + $v * $v;
        } while ($s >= 1.0 || $s === 0.0);
        $f = sqrt(-2 * log($s) / $s);
        $this->spare = $v * $f;

        return $mean + $sd * $u * $f;
    }

    public function between(int $low, int $high): int
    {
        return $this->random->getInt($low, $high);
    }

    /**
     * @template T
     *
     * @param  list<T>  $items
     * @return list<T>
     */
    public function shuffled(array $items): array
    {
        /** @var list<T> */
        return $this->random->shuffleArray($items);
    }
}
