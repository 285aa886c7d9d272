<?php

declare(strict_types=1);

namespace Core\Sight;

/**
 * A count by category that leaves the academy: nobody is to be found in it. Categories of fewer than five are told
 * together only, and with them the smallest of the others for as long as the total less what is told would give a
 * group of fewer than five away.
 */
final readonly class SmallCells
{
    public const LEAST = 5;

    /**
     * @param  array<string, int>  $told  in the order given; none is between nought and five
     * @param  int  $together  in the categories that are told as one; 0 where none is
     * @param  list<string>  $merged  which those are
     */
    private function __construct(public array $told, public int $together, public array $merged)
    {
    }

    /** @param  array<string, int>  $counts  by category; none below nought */
    public static function of(array $counts, int $least = self::LEAST): self
    {
        $counts = array_filter($counts, static fn (int $n): bool => $n > 0);
        $small = array_filter($counts, static fn (int $n): bool => $n < $least);
        $rest = array_diff_key($counts, $small);
        asort($rest);
        while ($small !== [] && (count($small) < 2 || array_sum($small) < $least) && $rest !== []) {
            $next = (string) array_key_first($rest);
            $small[$next] = $rest[$next];
            unset($rest[$next]);
        }

        return new self(
            array_diff_key($counts, $small),
            array_sum($small),
            array_values(array_map(strval(...), array_keys(array_intersect_key($counts, $small)))),
        );
    }
}
