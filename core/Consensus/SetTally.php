<?php

declare(strict_types=1);

namespace Core\Consensus;

/**
 * How often each part was named where an answer is a set of parts – first causes, links of a chain –, and the set that
 * has its majority: every part is named by a majority of the readers or left out by one. One part between them leaves
 * the whole set open.
 */
final readonly class SetTally
{
    /**
     * @param  array<string, int>  $counts  by part, the commonest first, then in byte order
     * @param  int  $n  how many readers
     * @param  list<string>  $named  the parts that a majority names, in byte order
     * @param  bool  $open  whether a part lies between, or too few have answered
     */
    public function __construct(public array $counts, public int $n, public array $named, public bool $open)
    {
    }

    /** @return list<string>|null the set that has its majority; null where it is open */
    public function settled(): ?array
    {
        return $this->open ? null : $this->named;
    }

    /**
     * @param  list<list<string>>  $sets  one a reader; none named is an answer too
     * @param  float  $majority  in (0.5, 1]
     * @param  int  $able  how many must have answered
     */
    public static function of(array $sets, float $majority, int $able): self
    {
        $counts = Tally::counted(array_merge(...array_map(
            static fn (array $set): array => array_values(array_unique($set)),
            $sets,
        )));
        $n = count($sets);
        $in = [];
        $open = $n < $able;
        foreach ($counts as $part => $named) {
            if ($named >= $majority * $n - 1e-9) {
                $in[] = (string) $part;
            } elseif ($n - $named < $majority * $n - 1e-9) {
                $open = true;
            }
        }
        sort($in, SORT_STRING);

        return new self($counts, $n, $n < $able ? [] : $in, $open);
    }
}
