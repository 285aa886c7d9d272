<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Chance\Chance;
use Core\CoreException;

/**
 * In which order one reader is dealt the cases of a sitting, of which some are asked about again, unannounced.
 *
 * A repeat stands anywhere at least ten others after its first, mixed with cases that are new. Where days are to lie
 * between, the sitting has two parts: the first readings in the one, the repeats and at least as many new cases in the
 * other. What leaves so little room that a repeat's place could be guessed is refused.
 */
final readonly class Deal
{
    /** Others between a case and its repeat, at the least. */
    public const BETWEEN = 10;

    private const TRIES = 4000;

    /**
     * How many of so many cases can be asked about again.
     *
     * One part: beyond the ten, ten more and one for each repeat, so that at least as many new cases as repeats stand
     * where repeats can. Two parts: the first keeps twelve, the second has as many new cases as repeats and a third at
     * least.
     */
    public static function room(int $cases, bool $parts): int
    {
        if (! $parts) {
            return max(0, min($cases - 2 * self::BETWEEN, intdiv($cases, 2)));
        }
        for ($repeats = intdiv($cases, 2); $repeats > 0; $repeats--) {
            if ($cases - self::fresh($cases, $repeats) >= self::BETWEEN + 2) {
                return $repeats;
            }
        }

        return 0;
    }

    /** How many cases that are asked about once stand in the second part. */
    public static function fresh(int $cases, int $repeats): int
    {
        return max($repeats, (int) ceil((float) $cases / 3));
    }

    /**
     * Places 0 … of all cases, for one reader.
     *
     * @template T of array-key
     *
     * @param  list<T>  $first  cases of the first part, or of the only one
     * @param  list<T>  $second  new cases of the second part
     * @param  array<T, T>  $again  repeats, by the name of the repeat the case it repeats, which stands in the first
     *     part
     * @param  bool  $parts  whether the repeats stand in a second part
     * @return list<T>
     *
     * @throws CoreException where they cannot be kept apart
     */
    public static function order(array $first, array $second, array $again, bool $parts, Chance $chance): array
    {
        $n = count($first) + count($second) + count($again);
        $border = $parts ? count($first) : $n;
        for ($try = 0; $try < self::TRIES; $try++) {
            $order = self::pairs($again, $n, $border, $parts, $chance);
            if ($order !== null) {
                $once = $chance->shuffled(array_values(array_diff($first, $again)));
                $new = $chance->shuffled($second);
                for ($i = 0; $i < $n; $i++) {
                    if (! isset($order[$i])) {
                        $order[$i] =
                            ($i < $border ? array_pop($once) : array_pop($new)) ??
                            throw PlanningException::because('parts');
                    }
                }
                ksort($order);

                return array_values($order);
            }
        }

        throw PlanningException::because('repeats-too-near', again: count($again), n: $n);
    }

    /**
     * Repeats and what they repeat on places drawn one pair after the other; null where the last ones found no room.
     *
     * @template T of array-key
     *
     * @param  array<T, T>  $again
     * @return array<int, T>|null by place
     */
    private static function pairs(array $again, int $n, int $border, bool $parts, Chance $chance): ?array
    {
        $taken = [];
        foreach ($chance->shuffled(array_keys($again)) as $repeat) {
            $free = [];
            for ($i = 0; $i < ($parts ? $border : $n); $i++) {
                for ($j = max($parts ? $border : 0, $i + self::BETWEEN + 1); $j < $n && ! isset($taken[$i]); $j++) {
                    if (! isset($taken[$j])) {
                        $free[] = [$i, $j];
                    }
                }
            }
            if ($free === []) {
                return null;
            }
            [$i, $j] = $free[$chance->between(0, count($free) - 1)];
            $taken[$i] = $again[$repeat];
            $taken[$j] = $repeat;
        }

        return $taken;
    }
}
