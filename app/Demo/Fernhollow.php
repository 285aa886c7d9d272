<?php

declare(strict_types=1);

namespace App\Demo;

use Core\Motion\Handedness;
use Core\Sight\Role;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Rater;
use Core\Trace\DeviceClass;

/** The invented scenario: a winter indoor calibration programme. Every person, place and number is made up. */
final class Fernhollow
{
    public const ACADEMY = 'Fernhollow Golf Academy';

    /** Kind, name and whose first names. */
    public const GROUPS = [
        ['site', 'North bays', ['tam', 'ines', 'dov', 'hanne']],
        ['site', 'Lake range', ['kit', 'bea', 'arlo', 'vesna']],
        ['seniority', 'First winter', ['ines', 'bea', 'arlo']],
    ];

    public const LESSON = [
        'complaint' => 'balls start right and fall short',
        'aim' => 'a fade that lands soft',
        'explanation' => 'I think I stay back to help it up',
        'traits' => 'drifts off the ball going back',
        'tried' => 'a chair beside the trail hip, six rehearsals to a ball',
        'feel' => 'late, and heavy on the lead side only at the end',
    ];

    /** What went wrong with the instrument, by session and swing; a code of Mishap. */
    public const MISHAPS = ['fourth evening 4' => 'heel-and-toe-exchanged'];

    public const BALLS = [
        ['start_deg' => 4.0, 'curve_deg' => 3.0, 'height' => 'normal', 'strike' => 'thin', 'low_point_cm' => -3.0],
        ['start_deg' => 2.5, 'curve_deg' => 4.5, 'height' => 'high', 'strike' => 'centre', 'low_point_cm' => 1.0],
        ['start_deg' => -1.0, 'curve_deg' => 6.0, 'height' => 'normal', 'strike' => 'heel', 'low_point_cm' => 2.0],
    ];

    /** Coded, by what the rows below say. */
    public const LIMITS = [
        'healed lead ankle' => ['region' => 'ankle', 'side' => 'lead', 'severity' => 'careful', 'is_cleared' => true],
        'senior, balance limit' => ['region' => 'balance', 'side' => null, 'severity' => 'avoid',
            'is_cleared' => false],
    ];

    /** Who is ready to be left alone, and is tested. */
    public const READY = ['dov', 'hanne'];

    public const PASSWORD = 'fernhollow-winter';

    /** Where a film's first picture stands in its recording: the camera was switched on a little later. */
    public const FILM_STARTS_S = 0.1;

    /** When the made swings stand at address, s. */
    private const ADDRESS_S = 0.8;

    /** Recordings that were filmed, by their place in the list: frames a second of each view. */
    private const FILMED = [
        0 => ['face-on' => 120, 'down-the-line' => 120],
        1 => ['face-on' => 120, 'down-the-line' => 60],
        2 => ['face-on' => 120, 'down-the-line' => 120],
        5 => ['face-on' => 120],
        7 => ['face-on' => 120, 'down-the-line' => 120],
        14 => ['face-on' => 120, 'down-the-line' => 60],
        16 => ['face-on' => 120, 'down-the-line' => 120],
        17 => ['face-on' => 120, 'down-the-line' => 120],
        18 => ['face-on' => 60, 'down-the-line' => 60],
        20 => ['face-on' => 120, 'down-the-line' => 120],
        22 => ['face-on' => 120, 'down-the-line' => 120],
    ];

    /** File name of a shipped film, in demo/films. */
    public static function film(int $recording, string $view): string
    {
        return sprintf('%02d-%s.mp4', $recording, $view);
    }

    /** @return list<array{string, string, Role, Rater|null}> name, address, role, how this person sees */
    public static function people(): array
    {
        return [
            ['Maren Ashdown', 'maren@fernhollow.example', Role::HeadCoach, null],
            ['Odile Marrow', 'odile@fernhollow.example', Role::Panel, new Rater(4.4, 0.1, 0.0, 0.95, 2)],
            ['Piet Lindqvale', 'piet@fernhollow.example', Role::Panel, new Rater(4.2, -0.1, 0.0, 0.95, 0)],
            ['Ros Tennerly', 'ros@fernhollow.example', Role::Panel, new Rater(4.6, 0.2, 0.0, 0.9, 4)],
            ['Gwil Harrowby', 'gwil@fernhollow.example', Role::Panel, new Rater(4.0, 0.0, 0.01, 0.9, 0)],
            ['Suvi Calder', 'suvi@fernhollow.example', Role::Panel, new Rater(4.3, -0.2, 0.0, 0.95, -2)],
            ['Tam Brackley', 'tam@fernhollow.example', Role::Instructor, new Rater(3.3, 0.1, 0.0, 0.8, 0)],
            ['Ines Foxcroft', 'ines@fernhollow.example', Role::Instructor, new Rater(2.8, -0.6, 0.0, 0.4, 12)],
            ['Dov Wrenfield', 'dov@fernhollow.example', Role::Instructor, new Rater(2.6, 0.7, 0.0, 0.7, -6)],
            ['Hanne Oldacre', 'hanne@fernhollow.example', Role::Instructor, new Rater(2.9, 0.0, 0.05, 0.6, 0)],
            [
                'Kit Marlpit',
                'kit@fernhollow.example',
                Role::Instructor,
                new Rater(1.8, 0.0, 0.0, 0.2, 16, ['late-recentre', 'late-load']),
            ],
            [
                'Bea Thornley',
                'bea@fernhollow.example',
                Role::Instructor,
                new Rater(3.1, -0.1, -0.02, 0.9, 0, ['late-push']),
            ],
            [
                'Arlo Quench',
                'arlo@fernhollow.example',
                Role::Instructor,
                new Rater(2.2, -0.3, 0.0, 0.5, 6, ['spin-out']),
            ],
            ['Vesna Pell', 'vesna@fernhollow.example', Role::Instructor, new Rater(2.7, 0.3, 0.0, 0.9, -4)],
        ];
    }

    /** What a reader would say first, by first cause; eight words at most. */
    public const CUES = [
        'sway' => 'Turn over a quiet trail foot',
        'no-load' => 'Feel the trail heel before you turn back',
        'late-recentre' => 'Lead foot down before the arms',
        'hang-back' => 'Finish tall over the lead leg',
        'early-lunge' => 'Wait, then step into the lead foot',
        'spin-out' => 'Lead heel heavy before the hips open',
        'late-push' => 'Push the ground away through the strike',
        'locked-feet' => 'Let the knees breathe at address',
        'setup-bias' => 'Stand even, heel to toe',
        'chest-first' => 'Chest waits for the lead foot',
        'jump-off-trail' => 'Trail foot stays until the strike',
        'outer-edge' => 'Keep the inside of the trail foot',
    ];

    /**
     * What two of the readers draw over a film at address: the hips' box, and a plumb line through the trail foot.
     *
     * @return list<array{kind: string, view: string, points: list<array{x: float, y: float, t: float}>}>
     */
    public static function drawnBy(string $email, string $hand): array
    {
        $at = static fn (float $x, float $y): array => [
            'x' => $hand === 'left' ? round(1.0 - $x, 4) : $x,
            'y' => $y,
            't' => self::ADDRESS_S,
        ];
        $hips = ['kind' => 'hips', 'view' => 'face-on', 'points' => [$at(0.35, 0.38), $at(0.58, 0.56)]];

        return match (strstr($email, '@', true)) {
            'tam' => [$hips, ['kind' => 'plumb', 'view' => 'face-on', 'points' => [$at(0.38, 0.9)]]],
            'ines' => [$hips],
            default => [],
        };
    }

    /**
     * The recordings in the order they were made.
     *
     * @return list<array{number: int, golfer: string, limits: ?string, club: string, shape: string, film: bool,
     *     trace: bool, looks: array<string, int>, spec: GolferSpec, filmed: array<string, int>}>
     */
    public static function recordings(): array
    {
        $clubs = ['hybrid' => [1000.0, 460.0], 'fairway wood' => [1065.0, 500.0], 'pitching wedge' => [910.0, 340.0]];
        $out = [];
        foreach (self::rows() as $i => $row) {
            [$golfer, $hand, $height, $mass, $limits, $club, $shape, $device, $planted, $shown] = $row;
            $out[] = [
                'number' => $i,
                'golfer' => $golfer,
                'limits' => $limits,
                'club' => $club,
                'shape' => $shape,
                'film' => $shown !== 'trace',
                'trace' => $shown !== 'film',
                'looks' => $row[10] ?? [],
                'filmed' => self::FILMED[$i] ?? [],
                'spec' => new GolferSpec(
                    "fernhollow|$i",
                    new Plant($planted),
                    Handedness::from($hand),
                    $device,
                    $height,
                    $mass,
                    $clubs[$club][0],
                    $clubs[$club][1],
                ),
            ];
        }

        return $out;
    }

    /**
     * Golfers who came for several swings at a time: the first of each evening is cold.
     *
     * @return list<array{golfer: string, limits: ?string, club: string, shape: string, series: string,
     *     specs: list<GolferSpec>}>
     */
    public static function series(): array
    {
        $out = [];
        foreach (
            [
                [
                    'Wheatear',
                    'right',
                    1750.0,
                    78.0,
                    'hybrid',
                    [1000.0, 460.0],
                    DeviceClass::DualPlate,
                    'first evening',
                    ['hang-back' => 2],
                ],
                [
                    'Wheatear',
                    'right',
                    1750.0,
                    78.0,
                    'hybrid',
                    [1000.0, 460.0],
                    DeviceClass::DualPlate,
                    'fourth evening',
                    ['hang-back' => 1],
                ],
                [
                    'Treecreeper',
                    'left',
                    1700.0,
                    70.0,
                    'fairway wood',
                    [1065.0, 500.0],
                    DeviceClass::Mat,
                    'second evening',
                    ['late-load' => 2],
                ],
            ] as $k => [$golfer, $hand, $height, $mass, $club, $lengths, $device, $series, $planted]
        ) {
            $out[] = [
                'golfer' => $golfer,
                'limits' => null,
                'club' => $club,
                'shape' => 'straight',
                'series' => $series,
                'specs' => array_map(
                    static fn (int $n): GolferSpec => new GolferSpec(
                        "fernhollow|series|$k|$n",
                        new Plant($planted),
                        Handedness::from($hand),
                        $device,
                        $height,
                        $mass,
                        $lengths[0],
                        $lengths[1],
                    ),
                    [0, 1, 2, 3],
                ),
            ];
        }

        return $out;
    }

    /**
     * @return list<array{0: string, 1: string, 2: float, 3: float, 4: ?string,
     *     5: 'hybrid'|'fairway wood'|'pitching wedge', 6: string, 7: DeviceClass, 8: array<string, int>,
     *     9: string, 10?: array<string, int>}>
     */
    private static function rows(): array
    {
        $mat = DeviceClass::Mat;
        $plate = DeviceClass::Plate;
        $dual = DeviceClass::DualPlate;

        return [
            // golfer, hand, height, mass, limits, club, shape, device, planted, shown as[, what it looks like without
            // being so]
            ['Wren', 'right', 1710.0, 68.0, null, 'hybrid', 'straight', $dual, [], 'both'],
            ['Heron', 'right', 1860.0, 92.0, null, 'hybrid', 'draw', $mat, ['hang-back' => 2], 'both'],
            ['Lapwing', 'left', 1740.0, 74.0, null, 'hybrid', 'straight', $dual, ['late-recentre' => 2], 'both'],
            [
                'Dunnock',
                'right',
                1690.0,
                81.0,
                'healed lead ankle',
                'fairway wood',
                'fade',
                $plate,
                ['sway' => 3],
                'both',
            ],
            ['Siskin', 'right', 1650.0, 60.0, null, 'pitching wedge', 'straight', $dual, ['late-push' => 2], 'both'],
            ['Curlew', 'right', 1780.0, 85.0, null, 'fairway wood', 'fade', $dual, ['spin-out' => 3], 'both'],
            ['Plover', 'left', 1820.0, 88.0, null, 'hybrid', 'draw', $mat, ['no-load' => 2], 'both'],
            [
                'Fieldfare',
                'right',
                1720.0,
                76.0,
                'senior, balance limit',
                'hybrid',
                'straight',
                $mat,
                ['fall-off' => 2],
                'film',
            ],
            [
                'Wren',
                'right',
                1710.0,
                68.0,
                null,
                'fairway wood',
                'straight',
                $dual,
                ['late-load' => 2],
                'both',
                ['late-arrival' => 2],
            ],
            ['Goldcrest', 'right', 1680.0, 63.0, null, 'hybrid', 'draw', $plate, ['early-lunge' => 2], 'both'],
            ['Heron', 'right', 1860.0, 92.0, null, 'fairway wood', 'draw', $dual, ['late-arrival' => 3], 'both'],
            ['Nuthatch', 'right', 1760.0, 79.0, null, 'pitching wedge', 'straight', $mat, ['hang-back' => 1], 'trace'],
            [
                'Lapwing',
                'left',
                1740.0,
                74.0,
                null,
                'fairway wood',
                'straight',
                $dual,
                ['sway' => 2, 'late-recentre' => 3],
                'both',
            ],
            [
                'Stonechat',
                'right',
                1800.0,
                95.0,
                null,
                'hybrid',
                'fade',
                $dual,
                ['spin-out' => 2, 'late-push' => 2],
                'both',
            ],
            ['Siskin', 'right', 1650.0, 60.0, null, 'hybrid', 'straight', $mat, [], 'film'],
            ['Curlew', 'right', 1780.0, 85.0, null, 'hybrid', 'fade', $dual, ['late-recentre' => 2], 'trace'],
            ['Redstart', 'right', 1730.0, 71.0, null, 'fairway wood', 'straight', $plate, ['hang-back' => 3], 'both'],
            ['Plover', 'left', 1820.0, 88.0, null, 'fairway wood', 'draw', $dual, ['fall-off' => 3], 'both'],
            [
                'Dunnock',
                'right',
                1690.0,
                81.0,
                'healed lead ankle',
                'hybrid',
                'fade',
                $dual,
                ['late-push' => 3],
                'both',
            ],
            ['Goldcrest', 'right', 1680.0, 63.0, null, 'fairway wood', 'draw', $mat, ['late-load' => 3], 'both'],
            ['Nuthatch', 'right', 1760.0, 79.0, null, 'hybrid', 'straight', $dual, ['spin-out' => 2], 'both'],
            [
                'Fieldfare',
                'right',
                1720.0,
                76.0,
                'senior, balance limit',
                'pitching wedge',
                'straight',
                $plate,
                ['no-load' => 3],
                'both',
            ],
            [
                'Redstart',
                'right',
                1730.0,
                71.0,
                null,
                'hybrid',
                'straight',
                $dual,
                ['sway' => 2],
                'both',
                ['hang-back' => 2],
            ],
            ['Stonechat', 'right', 1800.0, 95.0, null, 'fairway wood', 'fade', $mat, ['early-lunge' => 3], 'both'],
        ];
    }
}
