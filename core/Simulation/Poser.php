<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;

/** The synthetic golfer that drills are drawn with, at any moment of the swing, without a fault or with some. */
final class Poser
{
    private const SEED = 'drawn';

    private const STANCE_MM = 480.0;

    /** @var array<string, array{Score, Body}> by what is planted: balancing a body takes its time */
    private array $golfers = [];

    /**
     * @param  string  $from  a station's code
     * @param  string  $to  another
     * @param  float  $part  how far from the one to the other
     *
     * @throws CoreException
     */
    public function between(string $from, string $to, float $part, Plant $plant = new Plant): Pose
    {
        [$score, $body] = $this->golfers[implode(' ', array_keys($plant->faults))] ??= self::golfer($plant);
        [$a, $b] = [$score->stations[$from], $score->stations[$to]];

        return new Pose($body->pose($a + $part * ($b - $a)));
    }

    /**
     * At a station.
     *
     * @throws CoreException
     */
    public function at(string $station, Plant $plant = new Plant): Pose
    {
        return $this->between($station, $station, 0.0, $plant);
    }

    /**
     * @return array{Score, Body}
     *
     * @throws CoreException
     */
    private static function golfer(Plant $plant): array
    {
        $spec = new GolferSpec(self::SEED, $plant, stanceMm: self::STANCE_MM);
        $score = new Score($spec);

        return [$score, Balance::body($spec, $score)];
    }
}
