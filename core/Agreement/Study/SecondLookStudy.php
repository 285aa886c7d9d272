<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;

/**
 * Calls made blind beside those the same reader made of the same case with the ball and the numbers before him: how
 * many changed, and whether toward the key or away from it. “Cannot tell” is not right. Golfers are what is sampled.
 *
 * @phpstan-type Pair array{golfer: string, rater: string, item: string, blind: string, after: string, truth: string,
 *     n: int}
 */
final readonly class SecondLookStudy
{
    /** @param  list<Pair>  $pairs  so many calls alike; truth '' where the key settles nothing */
    public function __construct(
        private array $pairs,
        private Confidence $confidence = new Confidence,
    ) {
    }

    public function all(): SecondLook
    {
        return $this->of('', $this->pairs);
    }

    /**
     * @param  'rater'|'item'  $by
     * @return list<SecondLook> those with the most changes first
     */
    public function by(string $by): array
    {
        $parts = [];
        foreach ($this->pairs as $pair) {
            $parts[$pair[$by]][] = $pair;
        }
        $out = array_map(
            fn (int|string $name): SecondLook => $this->of((string) $name, $parts[$name]),
            array_keys($parts),
        );
        usort($out, static fn (SecondLook $a, SecondLook $b): int => [$b->changed->estimate, $a->name]
            <=> [$a->changed->estimate, $b->name]);

        return $out;
    }

    /** @param  list<Pair>  $pairs */
    private function of(string $name, array $pairs): SecondLook
    {
        $changed = $gained = [];
        $calls = $scored = $toward = $away = 0;
        foreach ($pairs as $pair) {
            $n = $pair['n'];
            [$k, $of] = $changed[$pair['golfer']] ?? [0, 0];
            $changed[$pair['golfer']] = [$k + ($pair['blind'] === $pair['after'] ? 0 : $n), $of + $n];
            $calls += $n;
            if ($pair['truth'] !== '') {
                $by = ($pair['after'] === $pair['truth'] ? 1 : 0) - ($pair['blind'] === $pair['truth'] ? 1 : 0);
                [$sum, $of] = $gained[$pair['golfer']] ?? [0, 0];
                $gained[$pair['golfer']] = [$sum + $by * $n, $of + $n];
                $scored += $n;
                $toward += $by > 0 ? $n : 0;
                $away += $by < 0 ? $n : 0;
            }
        }

        return new SecondLook(
            $name,
            $calls,
            Wilson::clustered(array_values($changed), $this->confidence, Undefined::NothingTwice),
            $scored,
            $toward,
            $away,
            $this->gain(array_values($gained)),
        );
    }

    /** @param  list<array{int, int}>  $clusters  what was gained, of how many, by golfer */
    private function gain(array $clusters): Figure
    {
        $sum = array_sum(array_column($clusters, 0));
        $n = array_sum(array_column($clusters, 1));
        if ($n === 0) {
            return Figure::undefined(Undefined::NothingScored);
        }
        $value = (float) $sum / $n;
        $sizes = Clusters::ofSizes(array_column($clusters, 1));
        // Where every call is as it was, or golfers all gain alike, nothing tells how far chance reaches.
        foreach ($clusters as [$own, $of]) {
            if (abs($own - $value * $of) > 1e-9) {
                return ClusterError::clustered(
                    $value,
                    array_map(
                        static fn (array $c): float => $n === $c[1] ? NAN : (float) ($sum - $c[0]) / ($n - $c[1]),
                        $clusters,
                    ),
                    $sizes,
                    $this->confidence,
                    static fn (): array => array_map(
                        static fn (array $c): float => ($c[0] - $value * $c[1]) / $n,
                        $clusters,
                    ),
                );
            }
        }

        return Figure::estimated($value, null, null, null, 'point')->over($sizes);
    }
}
