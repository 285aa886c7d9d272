<?php

declare(strict_types=1);

namespace Core\Consensus;

/**
 * How appropriate a panel calls a drill for a case on one rung, after the manual of the appropriateness method (Fitch
 * and others 2001): a median of 7 to 9 without disagreement helps, 1 to 3 harms, all else is uncertain; whether a panel
 * disagrees is told by its disagreement index. Unsafe is what two members call so, or what a limit of the golfer that
 * is not cleared speaks against, however few have judged.
 */
final readonly class DrillConsensus
{
    /** With fewer members it is told as agreement only. */
    public const MEMBERS = 5;

    private const UNSAFE = 2;

    /**
     * @param  int  $n  how many scored it
     * @param  float|null  $median  1 to 9; null where nobody did
     * @param  float|null  $index  of disagreement: above 1 they disagree
     * @param  int  $addsFault  how many said so
     * @param  int  $unsafe  how many said so
     * @param  bool  $refused  whether a limit of the golfer that is not cleared speaks against it
     */
    public function __construct(
        public int $n,
        public ?float $median,
        public ?float $index,
        public int $addsFault,
        public int $unsafe,
        public bool $refused,
    ) {
    }

    /**
     * @param  list<DrillScore>  $scores  one a member
     *
     * @throws ConsensusException
     */
    public static function of(array $scores, bool $refused = false): self
    {
        $said = array_count_values(array_map(static fn (DrillScore $s): string => $s->harm->value ?? '', $scores));
        $index = $scores === [] ? null : new DisagreementIndex(array_map(
            static fn (DrillScore $s): int => $s->score,
            $scores,
        ));

        return new self(
            count($scores),
            $index?->median,
            $index?->index,
            $said[Harm::AddsFault->value] ?? 0,
            $said[Harm::Unsafe->value] ?? 0,
            $refused,
        );
    }

    /** Null where nobody judged it and no limit speaks. */
    public function verdict(): ?Appropriateness
    {
        return match (true) {
            $this->refused || $this->unsafe >= self::UNSAFE => Appropriateness::Unsafe,
            $this->median === null || $this->index === null => null,
            $this->index > 1.0 => Appropriateness::Uncertain,
            $this->median >= 7.0 => Appropriateness::Helps,
            $this->median <= 3.0 => Appropriateness::Harms,
            default => Appropriateness::Uncertain,
        };
    }

    /** Whether what others chose may be held against it; else it is told as agreement only. */
    public function isSettled(): bool
    {
        return $this->n >= self::MEMBERS || $this->verdict() === Appropriateness::Unsafe;
    }
}
