<?php

declare(strict_types=1);

namespace Core\Consensus;

/**
 * Whether a panel's ratings of appropriateness from 1 to 9 disagree (RAND/UCLA method's manual: Fitch and others 2001).
 *
 * IPR = the range between the 30th and the 70th percentile; IPRCP its middle; IPRAS = 2.35 + 1.5·|5 − IPRCP|;
 * the index is IPR/IPRAS, and above 1 the panel disagrees. Percentiles linear between order statistics at 1 + (n−1)p.
 */
final readonly class DisagreementIndex
{
    public float $median;

    public float $ipr;

    public float $ipras;

    public float $index;

    public bool $disagrees;

    /**
     * @param  list<int>  $ratings  1 to 9, at least one
     *
     * @throws ConsensusException when one lies elsewhere or there is none
     */
    public function __construct(array $ratings)
    {
        if ($ratings === [] || min($ratings) < 1 || max($ratings) > 9) {
            throw ConsensusException::because('nine-points');
        }
        sort($ratings);
        $at = static function (float $p) use ($ratings): float {
            $h = (count($ratings) - 1) * $p;
            $i = (int) floor($h);

            return $ratings[$i] + ($h - $i) * (($ratings[$i + 1] ?? $ratings[$i]) - $ratings[$i]);
        };
        $low = $at(0.3);
        $high = $at(0.7);
        $this->median = $at(0.5);
        $this->ipr = $high - $low;
        $this->ipras = 2.35 + 1.5 * abs(5 - ($low + $high) / 2);
        $this->index = $this->ipr / $this->ipras;
        $this->disagrees = $this->ipr > $this->ipras;
    }
}
