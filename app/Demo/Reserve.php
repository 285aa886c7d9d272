<?php

declare(strict_types=1);

namespace App\Demo;

use Core\Motion\Handedness;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Trace\DeviceClass;

/** Swings of Fernhollow that are kept for tests of readiness. */
final class Reserve
{
    /**
     * Swings kept out of every round for tests of readiness, one a golfer: recorded on the two plates, read by the panel
     * alone.
     *
     * @return list<array{number: int, golfer: string, limits: ?string, club: string, shape: string, film: bool,
     *     trace: bool, looks: array<string, int>, spec: GolferSpec, filmed: array<string, int>}>
     */
    public static function swings(): array
    {
        $out = [];
        foreach ([
            'Bunting' => ['hang-back' => 2], 'Linnet' => ['late-push' => 2], 'Pipit' => ['sway' => 3, 'late-load' => 2],
            'Whinchat' => [], 'Dotterel' => ['spin-out' => 3], 'Garganey' => ['late-recentre' => 3],
            'Sanderling' => ['fall-off' => 3, 'late-push' => 2], 'Turnstone' => ['early-rise' => 3],
            'Phalarope' => ['jump-off-trail' => 3], 'Bittern' => ['hang-back' => 3], 'Crake' => ['toe-dive' => 3, 'sway' => 2],
            'Godwit' => ['slide' => 3], 'Twite' => ['late-arrival' => 3], 'Shrike' => ['no-load' => 3, 'late-push' => 3],
        ] as $golfer => $planted) {
            $i = count($out);
            $out[] = [
                'number' => -1,
                'golfer' => $golfer,
                'limits' => null,
                'club' => 'hybrid',
                'shape' => ['straight', 'draw', 'fade'][$i % 3],
                'film' => true,
                'trace' => true,
                'looks' => [],
                'filmed' => [],
                'spec' => new GolferSpec(
                    "fernhollow|reserve|$i",
                    new Plant($planted),
                    $i % 5 === 3 ? Handedness::Left : Handedness::Right,
                    DeviceClass::DualPlate,
                    1660.0 + 15.0 * $i,
                    62.0 + 2.4 * $i,
                    1000.0,
                    460.0,
                ),
            ];
        }

        return $out;
    }
}
