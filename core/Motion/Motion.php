<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Axis;
use Core\Trace\Limits;
use Core\Trace\Series;

/**
 * Body points through time in the stance's frame: origin midway between the feet at address, x to the
 * target, y to the toes, z up; mm. Points of the two sides are named lead_… and trail_…
 */
final readonly class Motion
{
    /**
     * @param  array<string, array{list<float>, list<float>, list<float>}>  $points
     *
     * @throws CoreException
     */
    public function __construct(
        public float $rateHz,
        public array $points,
        public float $t0 = 0.0,
        public View $view = View::Points,
    ) {
        if ($points === []) {
            throw MotionException::because('no-points');
        }
        Limits::within($rateHz, ...[...Limits::RATE_HZ, 'rate-of-points']);
        Limits::within($t0, -Limits::TIME_S, Limits::TIME_S, 'first-frame');
        foreach ($points as $name => $axes) {
            foreach ($axes as $values) {
                Limits::check($values, Limits::PLACE_MM, 'point', (string) $name);
            }
        }
    }

    public function frames(): int
    {
        return count($this->points[array_key_first($this->points) ?? ''][0] ?? []);
    }

    public function has(string $point): bool
    {
        return isset($this->points[$point]);
    }

    /** @throws CoreException where there is no such point */
    public function coordinate(string $point, Axis $axis): Series
    {
        if (! isset($this->points[$point])) {
            throw MotionException::because('no-point', point: $point);
        }

        return new Series($this->rateHz, $this->points[$point][$axis->value], $this->t0);
    }

    /**
     * Speed of a point in the axes the view sees, mm/s.
     *
     * @param  float  $window  half-width of the smoothing, s
     *
     * @throws CoreException where there is no such point
     */
    public function speed(string $point, float $window): Series
    {
        $sum = [];
        foreach (Axis::cases() as $axis) {
            if ($this->view->sees($axis)) {
                foreach ($this->coordinate($point, $axis)->derivative($window)->values as $i => $v) {
                    $sum[$i] = ($sum[$i] ?? 0.0) + $v * $v;
                }
            }
        }

        return new Series($this->rateHz, array_values(array_map(sqrt(...), $sum)), $this->t0);
    }

    /**
     * The frames between two times, s; all of them where there are hardly any.
     *
     * @throws CoreException
     */
    public function between(float $from, float $to): self
    {
        $a = max(0, (int) floor(($from - $this->t0) * $this->rateHz));
        $b = min($this->frames() - 1, (int) ceil(($to - $this->t0) * $this->rateHz));
        if ($b - $a < 1) {
            return $this;
        }
        $n = $b - $a + 1;
        $points = array_map(static fn (array $p): array => [
            array_slice($p[0], $a, $n),
            array_slice($p[1], $a, $n),
            array_slice($p[2], $a, $n),
        ], $this->points);

        return new self($this->rateHz, $points, $this->t0 + $a / $this->rateHz, $this->view);
    }

    /**
     * What a camera would have seen of it: the same points without the axis the view cannot see.
     *
     * @throws CoreException
     */
    public function seen(View $view): self
    {
        $blind = array_fill(0, $this->frames(), NAN);
        $points = array_map(
            static fn (array $p): array => [
                $view->sees(Axis::X) ? $p[0] : $blind,
                $view->sees(Axis::Y) ? $p[1] : $blind,
                $view->sees(Axis::Z) ? $p[2] : $blind,
            ],
            $this->points,
        );

        return new self($this->rateHz, $points, $this->t0, $view);
    }

    /**
     * From a laboratory's right-handed frame (X to the target, Y to the left of it, Z up; points named left_…
     * and right_…). A right-handed golfer stands to the left of the ball and looks along −Y, so y is reflected;
     * for a left-handed one it is not. Sides are renamed to lead and trail.
     *
     * @param  array<string, array{list<float>, list<float>, list<float>}>  $points
     *
     * @throws CoreException
     */
    public static function fromLaboratory(float $rateHz, array $points, Handedness $hand, float $t0 = 0.0): self
    {
        return new self(
            $rateHz,
            self::exchange($points, $hand, [$hand->leadSide() => 'lead', $hand->trailSide() => 'trail']),
            $t0,
        );
    }

    /** @return array<string, array{list<float>, list<float>, list<float>}> the inverse of fromLaboratory() */
    public function toLaboratory(Handedness $hand): array
    {
        return self::exchange($this->points, $hand, ['lead' => $hand->leadSide(), 'trail' => $hand->trailSide()]);
    }

    /**
     * @param  array<string, array{list<float>, list<float>, list<float>}>  $points
     * @param  array<string, string>  $sides
     * @return array<string, array{list<float>, list<float>, list<float>}>
     */
    private static function exchange(array $points, Handedness $hand, array $sides): array
    {
        $out = [];
        foreach ($points as $name => [$x, $y, $z]) {
            [$side, $rest] = array_pad(explode('_', $name, 2), 2, '');
            $new = isset($sides[$side]) && $rest !== '' ? $sides[$side].'_'.$rest : $name;
            $out[$new] = [$x, $hand === Handedness::Right ? array_map(static fn (float $v): float => -$v, $y) : $y, $z];
        }

        return $out;
    }
}
