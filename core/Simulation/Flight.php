<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\CoreException;
use Core\Reading\BallFlight;

/**
 * The ball of a synthetic golfer: it tends to what the planted faults tend to give, and often enough does not, as
 * in life; so that a second look with the ball can be led astray by it.
 */
final readonly class Flight
{
    /**
     * @param  array<string, int|float>  $planted  severity by fault
     *
     * @throws CoreException
     */
    public static function simulated(string $seed, string $shape, array $planted): BallFlight
    {
        $chance = new Chance("flight|$seed");
        $start = $chance->normal(0.0, 1.4);
        $curve = $chance->normal(match ($shape) {
            'draw' => -4.0, 'fade' => 4.0, default => 0.0,
        }, 2.0);
        $low = $chance->normal(5.0, 2.0);
        $height = 'normal';
        $strike = 'centre';
        foreach ($planted as $fault => $severity) {
            foreach (Codebook::standard()->fault($fault)->misses as $miss) {
                if ($chance->uniform() > 0.25 + 0.15 * $severity) {
                    continue;
                }
                match ($miss) {
                    'push' => $start += 2.0 * $severity,
                    'pull' => $start -= 2.0 * $severity,
                    'hook' => $curve -= 3.5 * $severity,
                    'slice' => $curve += 3.5 * $severity,
                    'high weak' => $height = 'high',
                    'fat' => [$strike, $low] = ['fat', -2.0 * $severity],
                    'thin', 'top', 'toe' => $strike = $miss,
                    default => null,
                };
            }
        }

        return new BallFlight(
            round(max(-20.0, min(20.0, $start)), 1),
            round(max(-30.0, min(30.0, $curve)), 1),
            $height,
            $strike,
            round($low, 0),
        );
    }
}
