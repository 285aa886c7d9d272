<?php

declare(strict_types=1);

namespace Core\Training;

/**
 * Whether what was practised between two rounds is read better in the second than what was not: on cases that both
 * rounds asked, by the difference of the two changes within each golfer, tested by exchanging its sign golfer by
 * golfer. It is paired, so that an easier case or a better reader in general tells nothing.
 */
final readonly class PracticeEffect
{
    /** Fewer golfers settle nothing at any level worth having. */
    public const GOLFERS = 6;

    /** All exchanges are gone through, of so many golfers at most: the first. */
    private const ALL = 14;

    private function __construct(public ?float $effect, public ?float $p, public int $golfers, public int $calls)
    {
    }

    /**
     * @param  list<array{golfer: string, practised: bool, before: bool, after: bool}>  $calls  right or not, of one
     *     call in both rounds
     */
    public static function of(array $calls): self
    {
        $by = [];
        foreach ($calls as $call) {
            $by[$call['golfer']][(int) $call['practised']][] = (int) $call['after'] - (int) $call['before'];
        }
        $differences = [];
        foreach ($by as $of) {
            if (isset($of[0], $of[1])) {
                $differences[] = (float) array_sum($of[1]) / count($of[1]) - (float) array_sum($of[0]) / count($of[0]);
            }
        }
        $differences = array_slice($differences, 0, self::ALL);
        $n = count($differences);

        return $n < self::GOLFERS
            ? new self(null, null, $n, count($calls))
            : new self((float) array_sum($differences) / $n, self::exchanged($differences), $n, count($calls));
    }

    /** @param  list<float>  $differences */
    private static function exchanged(array $differences): float
    {
        $n = count($differences);
        $seen = abs(array_sum($differences)) - 1e-12;
        $as = 0;
        for ($signs = 0; $signs < 1 << $n; $signs++) {
            $sum = 0.0;
            foreach ($differences as $i => $d) {
                $sum += ($signs >> $i & 1) === 1 ? $d : -$d;
            }
            $as += abs($sum) >= $seen ? 1 : 0;
        }

        return (float) $as / (1 << $n);
    }
}
