<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Axis;
use Core\Trace\Series;

/** The body points held of one swing, at most one motion a view; 3-D points come before film. */
final readonly class Views
{
    /** @var list<Motion> */
    public array $motions;

    public function __construct(Motion ...$motions)
    {
        $sorted = array_values($motions);
        usort(
            $sorted,
            static fn (Motion $a, Motion $b): int => array_search($a->view, View::cases(), true) <=>
                array_search($b->view, View::cases(), true),
        );
        $this->motions = $sorted;
    }

    public function has(View $view): bool
    {
        return $this->of($view) !== null;
    }

    public function of(View $view): ?Motion
    {
        foreach ($this->motions as $motion) {
            if ($motion->view === $view) {
                return $motion;
            }
        }

        return null;
    }

    /**
     * A coordinate of a point from the best view that sees it; null where none does.
     *
     * @throws CoreException
     */
    public function coordinate(string $point, Axis $axis): ?Tracked
    {
        foreach ($this->motions as $motion) {
            if ($motion->view->sees($axis)) {
                $series = self::series($motion, $point, $axis);
                if ($series !== null) {
                    return new Tracked($series, $motion->view);
                }
            }
        }

        return null;
    }

    /**
     * The same from one view only; the centre of the pelvis or of the chest is the middle of hips or shoulders
     * where it is not a point of its own.
     *
     * @throws CoreException
     */
    public function in(View $view, string $point, Axis $axis): ?Series
    {
        $motion = $this->of($view);

        return $motion === null || ! $view->sees($axis) ? null : self::series($motion, $point, $axis);
    }

    /** @throws CoreException */
    private static function series(Motion $motion, string $point, Axis $axis): ?Series
    {
        if ($motion->has($point)) {
            return $motion->coordinate($point, $axis);
        }
        $pair = ['pelvis' => 'hip', 'chest' => 'shoulder'][$point] ?? null;
        if ($pair === null || ! $motion->has("lead_$pair") || ! $motion->has("trail_$pair")) {
            return null;
        }
        $b = $motion->coordinate("trail_$pair", $axis)->values;

        return new Series(
            $motion->rateHz,
            array_map(
                static fn (float $x, float $y): float => ($x + $y) / 2,
                $motion->coordinate("lead_$pair", $axis)->values,
                $b,
            ),
            $motion->t0,
        );
    }

    /**
     * A point in space at a time, from 3-D points only.
     *
     * @throws CoreException
     */
    public function point(string $name, float $t): ?Vec3
    {
        $motion = $this->of(View::Points);
        if ($motion === null || ! $motion->has($name)) {
            return null;
        }
        $c = [];
        foreach (Axis::cases() as $axis) {
            $v = $motion->coordinate($name, $axis)->at($t);
            if ($v === null) {
                return null;
            }
            $c[] = $v;
        }

        return new Vec3($c[0], $c[1], $c[2]);
    }
}
