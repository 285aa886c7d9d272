<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Number\Median;

/** One figure of several readers as it may leave the academy: the middle one and how far they spread, nobody's own. */
final readonly class ReadersTogether
{
    /**
     * @param  float  $lower  and $upper: between them lies the middle half, by linear interpolation (type 7)
     */
    private function __construct(
        public float $median,
        public float $low,
        public float $high,
        public float $lower,
        public float $upper,
        public int $readers,
    ) {
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
        if ($median === null || $values === [] || count($values) < $least) {
            return null;
        }
        sort($values);

        return new self(
            $median,
            min($values),
            max($values),
            self::at($values, 0.25),
            self::at($values, 0.75),
            count($values),
        );
    }

    /** @param  non-empty-list<float>  $sorted */
    private static function at(array $sorted, float $share): float
    {
        $place = $share * (count($sorted) - 1);
        $below = (int) floor($place);
        $above = min($below + 1, count($sorted) - 1);

        return $sorted[$below] + ($place - $below) * ($sorted[$above] - $sorted[$below]);
    }
}
