<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measurements;
use Core\Measurement\Occasion;
use Core\Motion\StationTimes;
use Core\Trace\QualityFinding;

/**
 * All that the verdicts on one swing rest on, apart from the codebook that gives them: measured once, it is judged by
 * any codebook, under any lens.
 */
final readonly class SwingBasis
{
    /** @param  list<QualityFinding>  $findings  about the instrument, and whether it recorded one swing */
    public function __construct(
        public Measurements $measurements,
        public Shown $held,
        public ?StationTimes $stations,
        private array $findings,
    ) {
    }

    /**
     * @param  Codebook  $codebook  for the club, the kind and the size of this swing
     * @param  string|null  $only  key of the one fault that is asked about
     * @return array<string, FaultVerdict> by fault key
     *
     * @throws CoreException
     */
    public function faults(Codebook $codebook, ?string $only = null): array
    {
        $scale = $codebook->scale($this->stations);
        $refused = $this->refused();
        $out = [];
        $asked = $only === null ? $codebook->faults : array_intersect_key($codebook->faults, [$only => 1]);
        foreach ($asked as $key => $fault) {
            $out[$key] = new FaultVerdict(
                $fault->observability($this->held),
                $fault->proxy($this->held),
                $refused === null
                    ? $codebook->judge($key, $this->measurements, $this->held, $scale)
                    : Judgement::refused($refused),
            );
        }

        return $out;
    }

    private function refused(): ?Ground
    {
        return match (Occasion::refused($this->findings)) {
            null => null,
            Occasion::NONE => Ground::NoSwing,
            Occasion::SEVERAL => Ground::SeveralSwings,
            Occasion::SLOW => Ground::TooSlow,
        };
    }
}
