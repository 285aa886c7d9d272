<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Models\Prescription;
use Core\Codebook\Codebook;
use Core\Motion\Station;

/** The station at which a prescription's stills are shown: that of what is worked on. */
final class StillStation
{
    public static function of(Prescription $of, Codebook $codebook): Station
    {
        $now = array_keys(array_filter($of->faults, static fn (string $d): bool => $d === 'now'));
        foreach ([...$of->causes, ...$now, ...array_keys($of->faults)] as $key) {
            $fault = $codebook->faults[$key] ?? null;
            if ($fault !== null) {
                return $fault->station;
            }
        }

        return Station::Impact;
    }
}
