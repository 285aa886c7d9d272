<?php

declare(strict_types=1);

namespace Core\Consensus;

/** How often each answer was given to a question with one answer, and the one that has its majority. */
final readonly class Tally
{
    /**
     * @param  array<string, int>  $counts  by answer, the commonest first, then in byte order
     * @param  int  $n  how many answered
     * @param  string|null  $settled  the answer that has its majority; null where none has
     */
    public function __construct(public array $counts, public int $n, public ?string $settled)
    {
    }

    /**
     * @param  list<string>  $answers  one a reader who gave one
     * @param  float  $majority  in (0.5, 1]
     * @param  int  $able  how many must have answered
     */
    public static function of(array $answers, float $majority, int $able): self
    {
        $counts = self::counted($answers);
        $n = count($answers);
        $first = array_key_first($counts);

        return new self(
            $counts,
            $n,
            // As whole votes, so that three of four are three quarters whatever the machine.
            $first !== null && $n >= $able && $counts[$first] >= $majority * $n - 1e-9 ? (string) $first : null,
        );
    }

    /**
     * @param  list<string>  $answers
     * @return array<string, int>
     */
    public static function counted(array $answers): array
    {
        $counts = [];
        foreach ($answers as $answer) {
            $counts[$answer] = ($counts[$answer] ?? 0) + 1;
        }
        uksort($counts, static fn (int|string $a, int|string $b): int => [$counts[$b], (string) $a]
            <=> [$counts[$a], (string) $b]);

        return $counts;
    }
}
