<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Motion;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;
use Core\Trace\Stance;
use Core\Trace\Trace;

/**
 * One recorded swing of a synthetic golfer, as a laboratory would hand it over: points in the laboratory's
 * frame named by left and right, the instrument's trace in the stance's frame, and the true station times.
 */
final readonly class Swing
{
    /** Half-width of the 95 % interval of a station marked on 240 Hz motion by crossing or reversal, s. */
    private const STATION_UNCERTAINTY = 0.003;

    /** @param  array<string, array{list<float>, list<float>, list<float>}>  $laboratoryPoints */
    private function __construct(
        public GolferSpec $spec,
        public float $motionRateHz,
        public array $laboratoryPoints,
        public Trace $trace,
        public Stance $stance,
        public StationTimes $stations,
    ) {
    }

    /** @throws CoreException */
    public static function simulated(GolferSpec $spec, float $motionRateHz = 120.0): self
    {
        $score = new Score($spec);
        $body = new Body($spec, $score);
        $trace = Instrument::record(
            $spec->device,
            Ground::forces($spec, $score, $body),
            $body->stance,
            $spec->massKg,
            $spec->seed,
        );

        return new self(
            $spec,
            $motionRateHz,
            $body->motion($motionRateHz)->toLaboratory($spec->hand),
            $trace,
            $body->stance,
            StationTimes::fromSeconds($score->stations, self::STATION_UNCERTAINTY, StationSource::Motion),
        );
    }

    /** @throws CoreException */
    public function motion(): Motion
    {
        return Motion::fromLaboratory($this->motionRateHz, $this->laboratoryPoints, $this->spec->hand);
    }
}
