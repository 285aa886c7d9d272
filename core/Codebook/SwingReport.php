<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Occasion;
use Core\Remark\Remark;

/** Everything that is said of one swing: stations, measures, quality, and each fault's verdict. */
final readonly class SwingReport
{
    public Assessment $assessment;

    private Shown $held;

    /**
     * @param  array<string, Remark>  $doubts about stations, by code; '' for all of them
     *
     * @throws CoreException
     */
    public function __construct(public Evidence $evidence, public array $doubts = [])
    {
        $this->assessment = Assessment::ofEvidence($evidence);
        $this->held = Shown::fromEvidence($evidence, $this->assessment->findings);
    }

    /**
     * @return array<string, FaultVerdict> by fault key
     *
     * @throws CoreException
     */
    public function faults(Codebook $codebook): array
    {
        $refused = match (Occasion::refused($this->assessment->findings)) {
            null => null,
            Occasion::NONE => Ground::NoSwing,
            Occasion::SEVERAL => Ground::SeveralSwings,
            Occasion::SLOW => Ground::TooSlow,
        };

        $scale = $codebook->scale($this->evidence->stations);

        return array_map(
            fn (Fault $fault): FaultVerdict => new FaultVerdict(
                $fault->observability($this->held),
                $fault->proxy($this->held),
                $refused === null
                    ? $codebook->judge($fault->key, $this->assessment->measurements, $this->held, $scale)
                    : Judgement::refused($refused),
            ),
            $codebook->faults,
        );
    }
}
