<?php

declare(strict_types=1);

namespace Core\Consensus;

/** How appropriate one member calls a drill for a case on one rung: 1 not at all, 9 wholly. */
final readonly class DrillScore
{
    /** Up to here a score says what the drill would do. */
    public const LOW = 3;

    /**
     * @param  int  $score  1 to 9
     * @param  Harm|null  $harm  of a score of 3 or less, and of no other
     *
     * @throws ConsensusException
     */
    public function __construct(public int $score, public ?Harm $harm = null)
    {
        if ($score < 1 || $score > 9) {
            throw ConsensusException::because('nine-points');
        }
        if (($score <= self::LOW) !== ($harm !== null)) {
            throw ConsensusException::because('harm-of-low');
        }
    }
}
