<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Remark\Remark;

/** Everything that is said of one swing: stations, measures, quality, and each fault's verdict. */
final readonly class SwingReport
{
    public Assessment $assessment;

    public SwingBasis $basis;

    /**
     * @param  array<string, Remark>  $doubts about stations, by code; '' for all of them
     *
     * @throws CoreException
     */
    public function __construct(public Evidence $evidence, public array $doubts = [])
    {
        $this->assessment = Assessment::ofEvidence($evidence);
        $this->basis = new SwingBasis(
            $this->assessment->measurements,
            Shown::fromEvidence($evidence, $this->assessment->findings),
            $evidence->stations,
            $this->assessment->findings,
        );
    }

    /**
     * @return array<string, FaultVerdict> by fault key
     *
     * @throws CoreException
     */
    public function faults(Codebook $codebook): array
    {
        return $this->basis->faults($codebook);
    }
}
