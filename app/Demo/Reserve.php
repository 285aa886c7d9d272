<?php

declare(strict_types=1);

namespace App\Demo;

use Core\Motion\Handedness;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Trace\DeviceClass;

/**
 * Swings of Fernhollow that are kept: for tests of readiness, and for weekly checks.
 *
 * @phpstan-type Row array{number: int, golfer: string, limits: ?string, club: string, shape: string, film: bool,
 *     trace: bool, looks: array<string, int>, spec: GolferSpec, filmed: array<string, int>}
 */
final class Reserve
{
    /**
     * Swings kept out of every round for tests of readiness, one a golfer: recorded on the two plates, read by the
     * panel alone.
     *
     * @return list<Row>
     */
    public static function forTests(): array
    {
        return self::swings('reserve', [
            'Bunting' => ['hang-back' => 2], 'Linnet' => ['late-push' => 2], 'Pipit' => ['sway' => 3, 'late-load' => 2],
            'Whinchat' => [], 'Dotterel' => ['spin-out' => 3], 'Garganey' => ['late-recentre' => 3],
            'Sanderling' => ['fall-off' => 3, 'late-push' => 2], 'Turnstone' => ['early-rise' => 3],
            'Phalarope' => ['jump-off-trail' => 3], 'Bittern' => ['hang-back' => 3],
            'Crake' => ['toe-dive' => 3, 'sway' => 2],
            'Godwit' => ['slide' => 3], 'Twite' => ['late-arrival' => 3],
            'Shrike' => ['no-load' => 3, 'late-push' => 3],
        ]);
    }

    /**
     * The same for weekly checks.
     *
     * @return list<Row>
     */
    public static function forChecks(): array
    {
        return self::swings('checks', [
            'Knot' => ['hang-back' => 3], 'Ruff' => ['early-lunge' => 3], 'Pochard' => [], 'Stint' => ['sway' => 3],
            'Teal' => ['late-recentre' => 3, 'late-push' => 2], 'Gadwall' => ['spin-out' => 3], 'Scoter' => [],
            'Smew' => ['fall-off' => 3], 'Goosander' => ['late-load' => 3],
        ]);
    }

    /**
     * @param  array<string, array<string, int>>  $of  what is planted, by golfer
     * @return list<Row>
     */
    private static function swings(string $name, array $of): array
    {
        $out = [];
        foreach ($of as $golfer => $planted) {
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
                    "fernhollow|$name|$i",
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
