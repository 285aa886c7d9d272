<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Number\Median;

/** One figure of several readers as it may leave the academy: the middle one and how far they spread, nobody's own. */
final readonly class ReadersTogether
{
    private function __construct(public float $median, public float $low, public float $high, public int $readers)
    {
    }

    /**
     * @param  list<RaterResult>  $people
     * @param  int  $least  fewer readers than this are not told
     */
    public static function of(array $people, string $figure, int $least): ?self
    {
        $values = array_filter(
            array_map(static fn (RaterResult $p): ?float => ($p->figures[$figure] ?? null)?->estimate, $people),
            static fn (?float $v): bool => $v !== null,
        );
        $median = Median::of($values);

        return $median === null || $values === [] || count($values) < $least
            ? null
            : new self($median, min($values), max($values), count($values));
    }
}
