<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Drawing\Aid;
use Core\Motion\Vec3;
use Core\Motion\View;

/** The scenes of the shipped drills, as their instructions go: what is drawn beside them in codebook and notes. */
final class DrillScenes
{
    /** Where the ball lies. */
    private const BALL = [40.0, 620.0];

    /**
     * @return array<string, DrillScene> by drill
     *
     * @throws CoreException
     */
    public static function all(): array
    {
        $of = new Poser;

        return [...self::pressure($of), ...self::swings($of), ...self::feet($of), ...self::warnings($of)];
    }

    /**
     * @return array<string, DrillScene>
     *
     * @throws CoreException
     */
    private static function pressure(Poser $of): array
    {
        $front = View::FaceOn;
        $ball = Aid::ball(self::at(...self::BALL));
        $top = $of->at('TP');

        return [
            'step-in' => new DrillScene($front, [
                $of->at('AD')->foot('lead', -300.0)->body(-120.0),
                $of->between('LB', 'TP', 0.45)->foot('lead', -180.0, 0.0, 70.0)->body(-70.0),
                $of->between('TP', 'LD', 0.7),
                $of->between('ST', 'FI', 0.35),
            ], [
                [$ball],
                [Aid::arrow(self::at(110.0, 150.0, 60.0), self::at(330.0, 150.0, 60.0))],
                [Aid::arrow(self::at(-90.0, 0.0, 900.0), self::at(150.0, 0.0, 900.0))],
                [],
            ]),
            'heel-plant' => new DrillScene($front, [
                $of->between('LB', 'TP', 0.6)->heel('lead', 95.0),
                $of->between('TP', 'LD', 0.3),
                $of->between('IM', 'ST', 0.5),
            ], [
                [Aid::arrow(self::at(330.0, 0.0, 40.0), self::at(330.0, 0.0, 230.0))],
                [Aid::arrow(self::at(330.0, 0.0, 230.0), self::at(330.0, 0.0, 40.0))],
                [],
            ]),
            'wall-bump' => new DrillScene($front, [
                $of->at('AD')->folded(),
                $top->folded(),
                $of->between('TP', 'LD', 0.8)->body(120.0)->chest(70.0)->folded(),
            ], array_fill(0, 3, [Aid::wall(430.0, 1650.0)])),
            'pause-and-complete' => new DrillScene($front, [
                $of->at('AD'),
                $of->at('LB'),
                $of->between('LB', 'TP', 0.9)->body(60.0),
                $of->between('ST', 'FI', 0.2),
            ], [
                [$ball],
                [$ball, Aid::arrow(self::at(-240.0, 150.0, 330.0), self::at(-240.0, 150.0, 130.0))],
                [$ball, Aid::arrow(self::at(-90.0, 0.0, 880.0), self::at(150.0, 0.0, 880.0))],
                [],
            ]),
            'rocker' => new DrillScene($front, [
                $of->between('LB', 'TP', 0.3)->foot('trail', 0.0, 0.0, -60.0)->foot('lead', 0.0, 0.0, 60.0)->folded(),
                $top->folded(),
                $of->between('TP', 'LD', 0.9)->foot('trail', 0.0, 0.0, 50.0)->foot('lead', 0.0, 0.0, -50.0)->folded(),
            ], [
                [self::board(-75.0, 75.0)],
                [self::board(0.0, 0.0)],
                [self::board(65.0, -65.0)],
            ]),
        ];
    }

    /**
     * @return array<string, DrillScene>
     *
     * @throws CoreException
     */
    private static function swings(Poser $of): array
    {
        $front = View::FaceOn;
        $tee = Aid::tee(self::at(240.0, 620.0));

        return [
            'brush-ahead' => new DrillScene($front, [
                $of->at('AD'),
                $of->between('IM', 'ST', 0.35)->body(40.0),
                $of->at('FI'),
            ], [[$tee], [$tee, Aid::arrow(self::at(0.0, 0.0, 890.0), self::at(240.0, 0.0, 890.0))], []]),
            'hop-through' => new DrillScene($front, [
                $of->between('LB', 'TP', 0.5)->foot('lead', -60.0, 40.0, 260.0)->body(-60.0),
                $of->between('TP', 'LD', 0.8)->foot('lead', 40.0, 0.0, 0.0)->body(60.0),
                $of->between('ST', 'FI', 0.7)->foot('trail', 260.0, 60.0, 130.0)->body(90.0),
            ], [
                [Aid::arrow(self::at(20.0, 0.0, 1050.0), self::at(330.0, 0.0, 1050.0))],
                [Aid::arrow(self::at(340.0, 0.0, 330.0), self::at(340.0, 0.0, 110.0))],
                [Aid::arrow(self::at(200.0, 0.0, 1050.0), self::at(480.0, 0.0, 1050.0))],
            ]),
            'box-turn' => new DrillScene($front, [
                $of->at('AD'),
                $of->between('LB', 'TP', 0.6)->body(20.0),
            ], array_fill(0, 2, [Aid::box(self::at(-215.0, 0.0, 720.0), self::at(215.0, 0.0, 1080.0))])),
            'arm-drop' => new DrillScene($front, [
                $of->at('TP'),
                $of->between('TP', 'LD', 0.75),
                $of->at('IM'),
            ], [
                [Aid::arrow(self::at(-430.0, 0.0, 1500.0), self::at(-330.0, 0.0, 1180.0))],
                [Aid::arrow(self::at(330.0, 0.0, 330.0), self::at(330.0, 0.0, 110.0))],
                [Aid::ball(self::at(...self::BALL))],
            ]),
            'short-finish' => new DrillScene($front, [
                $of->at('IM'),
                $of->at('ST'),
                $of->between('ST', 'FI', 0.22),
            ], [
                [Aid::ball(self::at(...self::BALL))],
                [],
                [Aid::rod(self::at(180.0, 0.0, 1240.0), self::at(620.0, 0.0, 1240.0))],
            ]),
        ];
    }

    /**
     * @return array<string, DrillScene>
     *
     * @throws CoreException
     */
    private static function feet(Poser $of): array
    {
        [$front, $down] = [View::FaceOn, View::DownTheLine];
        $rod = Aid::rod(self::at(205.0, -260.0), self::at(205.0, 420.0));

        return [
            'slider-push' => new DrillScene($down, [
                $of->at('LD'),
                $of->between('LD', 'SD', 0.6)->foot('trail', 0.0, -170.0),
            ], [
                [Aid::disc(self::at(-240.0, 60.0))],
                [
                    Aid::disc(self::at(-240.0, -110.0)),
                    Aid::arrow(self::at(-240.0, -130.0, 190.0), self::at(-240.0, -400.0, 190.0)),
                    Aid::arrow(self::at(240.0, 160.0, 190.0), self::at(240.0, 400.0, 190.0)),
                ],
            ]),
            'marker-guard' => new DrillScene($down, [
                $of->between('LB', 'TP', 0.7)->clubAcross(),
                $of->between('SD', 'IM', 0.9)->clubAcross(),
                $of->between('IM', 'ST', 0.2),
            ], array_fill(0, 3, [Aid::marker(self::at(-240.0, -230.0)), $rod])),
            'heel-down-press' => new DrillScene($front, [
                $of->between('LD', 'SD', 0.8),
                $of->between('IM', 'ST', 0.5)->heel('trail', 70.0, 60.0),
            ], [
                [Aid::arrow(self::at(-330.0, 0.0, 300.0), self::at(-330.0, 0.0, 90.0))],
                [Aid::arrow(self::at(-220.0, 0.0, 210.0), self::at(20.0, 0.0, 210.0))],
            ]),
            'split-stance' => new DrillScene($down, [
                $of->at('AD')->foot('trail', 0.0, -220.0)->heel('trail', 55.0),
                $of->at('LB')->foot('trail', 0.0, -220.0)->heel('trail', 55.0),
                $of->between('ST', 'FI', 0.3)->foot('trail', 0.0, -220.0),
            ], array_fill(0, 3, [Aid::rod(self::at(-240.0, -280.0), self::at(240.0, 260.0))])),
            'open-set' => new DrillScene($down, [
                $of->at('AD')->foot('lead', 0.0, -110.0),
                $of->between('IM', 'ST', 0.6)->foot('lead', 0.0, -110.0),
            ], [
                [Aid::arrow(self::at(240.0, 190.0, 60.0), self::at(240.0, -90.0, 60.0))],
                [Aid::arrow(self::at(240.0, 120.0, 950.0), self::at(240.0, -190.0, 950.0))],
            ]),
        ];
    }

    /**
     * Kept as warnings: what each does to a body.
     *
     * @return array<string, DrillScene>
     *
     * @throws CoreException
     */
    private static function warnings(Poser $of): array
    {
        $front = View::FaceOn;
        $scene = static fn (View $view, Pose ...$moments): DrillScene => new DrillScene(
            $view,
            array_values($moments),
            array_fill(0, count($moments), []),
            true,
        );
        $hangs = new Plant(['hang-back' => 2.8]);
        $lunges = new Plant(['early-lunge' => 2.8]);
        $spins = new Plant(['spin-out' => 2.8]);

        return [
            'hold-trail-top' => $scene(
                $front,
                $of->at('TP')->body(-110.0),
                $of->at('IM', $hangs)->body(-60.0),
            ),
            'force-hips-open' => $scene(
                View::DownTheLine,
                $of->at('LD', $spins),
                $of->at('IM', $spins),
            ),
            'tied-arm' => $scene(
                $front,
                $of->at('LB'),
                $of->between('LD', 'SD', 0.5, new Plant(['chest-first' => 2.8])),
            ),
            'head-cover' => $scene(
                $front,
                $of->between('TP', 'LD', 0.8, $lunges)->chest(60.0),
                $of->at('IM', $lunges)->chest(80.0),
            ),
            'knee-spread' => $scene(
                $front,
                $of->at('LD')->knees(50.0),
                $of->at('SD')->knees(75.0),
            ),
        ];
    }

    private static function at(float $x, float $y, float $z = 0.0): Vec3
    {
        return new Vec3($x, $y, $z);
    }

    private static function board(float $trail, float $lead): Aid
    {
        return Aid::board(self::at(-420.0, 0.0, $trail - 10.0), self::at(420.0, 0.0, $lead - 10.0));
    }
}
