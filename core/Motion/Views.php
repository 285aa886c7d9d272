<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Axis;
use Core\Trace\Noise;
use Core\Trace\Series;

/** The body points held of one swing, at most one motion a view; 3-D points come before film. */
final class Views
{
    /** Half-width of the smoothing that points are read by and their noise is told by, s. */
    public const SMOOTHING = 0.025;

    /** A point that trembles so many times as much as the others has noise of its own. */
    private const OWN = 1.5;

    /** @var list<Motion> */
    public readonly array $motions;

    /** @var array<string, Noise> by view */
    private array $noise = [];

    /** @var array<string, Tracked|null> by point and axis */
    private array $tracked = [];

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
        $key = "$point|$axis->value";
        if (! array_key_exists($key, $this->tracked)) {
            $this->tracked[$key] = null;
            foreach ($this->motions as $motion) {
                $series = $motion->view->sees($axis) ? self::series($motion, $point, $axis) : null;
                if ($series !== null) {
                    $this->tracked[$key] = $this->tracked($series, $motion->view);
                    break;
                }
            }
        }

        return $this->tracked[$key];
    }

    /** @throws CoreException */
    private function tracked(Series $series, View $view): Tracked
    {
        $common = $this->noise($view);
        $own = Noise::of($series, self::SMOOTHING, $common->sd);

        return new Tracked($series, $view, $own->sd > self::OWN * $common->sd ? $own : $common);
    }

    /**
     * The noise of one coordinate of a view's points, mm: the middle one of all points.
     *
     * @throws CoreException
     */
    public function noise(View $view): Noise
    {
        if (isset($this->noise[$view->value])) {
            return $this->noise[$view->value];
        }
        $found = [];
        $motion = $this->of($view);
        $axes = array_values(array_filter(Axis::cases(), $view->sees(...)));
        foreach (array_keys($motion->points ?? []) as $i => $point) {
            // Each point by one of its coordinates, in turn.
            if ($motion !== null && ! str_contains((string) $point, 'club')) {
                $series = $motion->coordinate((string) $point, $axes[$i % count($axes)] ?? Axis::Z);
                $found[] = Noise::of($series, self::SMOOTHING, $view->sampleSd());
            }
        }
        usort($found, static fn (Noise $a, Noise $b): int => $a->sd <=> $b->sd);

        return $this->noise[$view->value] = $found[intdiv(count($found), 2)] ?? new Noise(100.0, $view->sampleSd());
    }

    /**
     * Half-width of the 95 % range of the error of a value between two samples in a view, mm.
     *
     * @param  bool  $place  whether where a point sits on the body counts
     *
     * @throws CoreException
     */
    public function error(View $view, bool $place): float
    {
        return hypot($this->noise($view)->between(), $place ? $view->placementMm() : 0.0);
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
