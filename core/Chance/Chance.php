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

    /** Gamma deviate of shape > 0 and scale 1 (Marsaglia & Tsang 2000). */
    public function gamma(float $shape): float
    {
        if ($shape < 1.0) {
            return $this->gamma($shape + 1.0) * (1.0 - $this->uniform()) ** (1.0 / $shape);
        }
        $d = $shape - 1.0 / 3.0;
        $c = 1.0 / sqrt(9.0 * $d);
        while (true) {
            $x = $this->normal();
            $v = (1.0 + $c * $x) ** 3;
            if ($v > 0.0 && log(1.0 - $this->uniform()) < 0.5 * $x * $x + $d * (1.0 - $v + log($v))) {
                return $d * $v;
            }
        }
    }

    /** Beta deviate, $a and $b > 0. */
    public function beta(float $a, float $b): float
    {
        $x = $this->gamma($a);

        return $x / ($x + $this->gamma($b));
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
