<?php

declare(strict_types=1);

namespace Core\Measurement;

/** The academy's own distribution of measures: mean and standard deviation by measure key. */
final readonly class Norms
{
    /** Fewer swings than this say nothing of a distribution. */
    public const LEAST = 8;

    /** @param  array<string, array{mean: float, sd: float, n: int}>  $of */
    public function __construct(private array $of)
    {
    }

    /**
     * @param  array<string, list<float>>  $values by measure key
     */
    public static function from(array $values): self
    {
        $of = [];
        foreach ($values as $key => $all) {
            $n = count($all);
            if ($n < self::LEAST) {
                continue;
            }
            $mean = array_sum($all) / $n;
            $sd = sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $all)) / ($n - 1));
            if ($sd > 0.0) {
                $of[$key] = ['mean' => $mean, 'sd' => $sd, 'n' => $n];
            }
        }

        return new self($of);
    }

    /** @return array<string, array{mean: float, sd: float, n: int}> by measure key */
    public function toArray(): array
    {
        return $this->of;
    }

    /** How many standard deviations above the academy's mean a value lies; null where no distribution is held. */
    public function z(Measure $measure, float $value): ?float
    {
        $d = $this->of[$measure->value] ?? null;

        return $d === null ? null : ($value - $d['mean']) / $d['sd'];
    }
}
