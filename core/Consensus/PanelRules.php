<?php

declare(strict_types=1);

namespace Core\Consensus;

/** What a panel study calls a consensus, said before it is read. */
final readonly class PanelRules
{
    /**
     * @param  float  $majority  share of those who can tell that makes a label, in (0.5, 1]
     * @param  int  $able  how many must have been able to tell, ≥ 2
     * @param  int  $rounds  following rounds at the most, 0 to 5
     * @param  float  $stability  share of answers that stayed in a following round from which on the panel has settled
     *     and is not asked again, in (0.5, 1]
     *
     * @throws ConsensusException when one lies elsewhere
     */
    public function __construct(
        public float $majority,
        public int $able,
        public int $rounds,
        public float $stability,
    ) {
        match (true) {
            is_nan($majority) || $majority <= 0.5 || $majority > 1.0 => throw ConsensusException::because('majority'),
            $able < 2 || $able > 50 => throw ConsensusException::because('able'),
            $rounds < 0 || $rounds > 5 => throw ConsensusException::because('rounds'),
            is_nan($stability) || $stability <= 0.5
                || $stability > 1.0 => throw ConsensusException::because('stability'),
            default => null,
        };
    }

    /** Whether a panel that held so many following rounds may be asked once more. */
    public function mayFollow(int $held): bool
    {
        return $held < $this->rounds;
    }

    /** Whether the last following round moved so little that another would move nothing. */
    public function hasSettled(int $answers, int $moved): bool
    {
        return $answers > 0 && (float) ($answers - $moved) / $answers >= $this->stability - 1e-9;
    }
}
