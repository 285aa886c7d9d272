<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Motion\Vec3;
use Core\Motion\View;

/**
 * A golfer's body of body points, seen from one side, as closed shapes from the farthest to the nearest: mm in the
 * stance's frame become mm of a picture with y downward. Lead and trail limbs are told apart by the part's name.
 */
final readonly class Mannequin
{
    /** How thick the body is at the points, mm: what is not named is a hand's. */
    private const THICK = [
        'hip' => 84.0,
        'knee' => 58.0,
        'ankle' => 40.0,
        'heel' => 34.0,
        'toe' => 26.0,
        'shoulder' => 58.0,
        'elbow' => 42.0,
        'hand' => 34.0,
    ];

    private const HEAD = 102.0;

    private const NECK = 48.0;

    private const CLUB = 11.0;

    private const CLUB_HEAD = 38.0;

    /** @param  list<Shape>  $shapes  the farthest first */
    private function __construct(public array $shapes)
    {
    }

    /**
     * @param  array<string, Vec3>  $points  as a Motion names them; without a grip there is no club
     * @param  View  $view  the side it is seen from; points in space are seen from the front
     */
    public static function of(array $points, View $view): self
    {
        $parts = [];
        foreach (['trail', 'lead'] as $side) {
            foreach ([['hip', 'knee'], ['knee', 'ankle'], ['heel', 'toe'], ['shoulder', 'elbow'], ['elbow', 'hand']] as $ends) {
                [$a, $b] = [$points["{$side}_$ends[0]"], $points["{$side}_$ends[1]"]];
                $parts[] = [
                    self::near($a, $b, $view),
                    self::limb(
                        $side,
                        self::seen($a, $view),
                        self::THICK[$ends[0]],
                        self::seen($b, $view),
                        self::THICK[$ends[1]],
                    ),
                ];
            }
        }
        $parts[] = [self::near($points['pelvis'], $points['chest'], $view), self::trunk($points, $view)];
        $parts[] = [
            self::near($points['neck'], $points['head'], $view),
            self::limb(
                'skin',
                self::seen($points['neck'], $view),
                self::NECK,
                self::seen($points['head'], $view),
                self::NECK,
            ),
        ];
        $parts[] = [
            self::near($points['head'], $points['nose'], $view),
            Shape::path('skin', self::circle(self::seen($points['head'], $view), self::HEAD)),
        ];
        if (isset($points['grip'], $points['club_head'])) {
            [$grip, $head] = [self::seen($points['grip'], $view), self::seen($points['club_head'], $view)];
            $near = self::near($points['grip'], $points['club_head'], $view);
            $parts[] = [$near, self::limb('club', $grip, self::CLUB, $head, self::CLUB)];
            $parts[] = [$near + 1.0, Shape::path('club', self::circle($head, self::CLUB_HEAD))];
        }
        usort($parts, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new self(array_column($parts, 1));
    }

    /**
     * Where a point of the stance's frame is in the picture.
     *
     * @return array{float, float}
     */
    public static function seen(Vec3 $point, View $view): array
    {
        return [$view === View::DownTheLine ? $point->y : $point->x, -$point->z];
    }

    /** The nearer to who looks the larger. */
    private static function near(Vec3 $a, Vec3 $b, View $view): float
    {
        return $view === View::DownTheLine ? -($a->x + $b->x) / 2.0 : ($a->y + $b->y) / 2.0;
    }

    /** @param  array<string, Vec3>  $points */
    private static function trunk(array $points, View $view): Shape
    {
        $corners = [];
        foreach (['trail_shoulder', 'lead_shoulder', 'lead_hip', 'trail_hip'] as $name) {
            $thick = self::THICK[explode('_', $name)[1]];
            [$x, $y] = self::seen($points[$name], $view);
            for ($i = 0; $i < 12; $i++) {
                $angle = M_PI * $i / 6.0;
                $corners[] = [$x + $thick * cos($angle), $y + $thick * sin($angle)];
            }
        }

        return Shape::path('trunk', self::closed(self::hull($corners)));
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function limb(string $part, array $a, float $first, array $b, float $second): Shape
    {
        $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
        if ($length <= abs($first - $second) + 1.0) {
            // Seen end on, the thicker end hides the other.
            return Shape::path($part, self::circle($first > $second ? $a : $b, max($first, $second)));
        }
        [$along, $across] = [($b[0] - $a[0]) / $length, ($b[1] - $a[1]) / $length];
        $at = static fn (float $x, float $y, float $r): string => sprintf(
            '%.0f %.0f',
            $x - $across * $r,
            $y + $along * $r,
        );

        return Shape::path($part, sprintf(
            'M%sL%sA%.0f %.0f 0 0 0 %sL%sA%.0f %.0f 0 0 0 %sZ',
            $at($a[0], $a[1], $first),
            $at($b[0], $b[1], $second),
            $second,
            $second,
            $at($b[0], $b[1], -$second),
            $at($a[0], $a[1], -$first),
            $first,
            $first,
            $at($a[0], $a[1], $first),
        ));
    }

    /** @param  array{float, float}  $at */
    public static function circle(array $at, float $r): string
    {
        return sprintf(
            'M%.0f %.0fa%.0f %.0f 0 1 0 %.0f 0a%.0f %.0f 0 1 0 %.0f 0Z',
            $at[0] - $r,
            $at[1],
            $r,
            $r,
            2.0 * $r,
            $r,
            $r,
            -2.0 * $r,
        );
    }

    /** @param  list<array{float, float}>  $points */
    private static function closed(array $points): string
    {
        return 'M'.implode('L', array_map(
            static fn (array $p): string => sprintf('%.0f %.0f', $p[0], $p[1]),
            $points,
        )).'Z';
    }

    /**
     * The convex hull, by Andrew's monotone chain.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function hull(array $points): array
    {
        sort($points);

        return [...self::half($points), ...self::half(array_reverse($points))];
    }

    /**
     * One side of it, without its last point, which begins the other.
     *
     * @param  list<array{float, float}>  $points  from one end to the other
     * @return list<array{float, float}>
     */
    private static function half(array $points): array
    {
        $out = [];
        foreach ($points as $p) {
            while (count($out) >= 2) {
                [[$ax, $ay], [$bx, $by]] = array_slice($out, -2);
                if (($bx - $ax) * ($p[1] - $ay) - ($by - $ay) * ($p[0] - $ax) > 0.0) {
                    break;
                }
                array_pop($out);
            }
            $out[] = $p;
        }

        return array_slice($out, 0, -1);
    }
}
