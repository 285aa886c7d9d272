<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** How much there is to talk about in one case, over all that was asked of it. */
final readonly class CaseTalk
{
    /**
     * @param  int  $case  a number that names it
     * @param  float  $weight  sum of the questions' weights, as Contention has them
     * @param  string|null  $item  the question with the most; null where nothing is apart
     */
    public function __construct(public int $case, public float $weight, public ?string $item)
    {
    }

    /** @param  array<string, Contention>  $questions  by item */
    public static function ofQuestions(int $case, array $questions): self
    {
        $weights = array_map(static fn (Contention $c): float => $c->weight(), $questions);
        arsort($weights, SORT_NUMERIC);
        $first = array_key_first($weights);

        return new self(
            $case,
            round(array_sum($weights), 6),
            $first === null || $weights[$first] <= 0.0 ? null : (string) $first,
        );
    }
}
