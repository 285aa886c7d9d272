<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Curve;

/**
 * Makes a body of a score that could stand: its pelvis goes where mass times acceleration of the whole body is the
 * force under the feet, and where that force acts at the centre of pressure that the score asks for, so that moments
 * balance too. How high the centre is follows from the vertical force; where it is over the ground solves the equation
 * of a body on a point of pressure, a boundary problem, since from one side alone it would fall. What pelvis and trunk
 * cannot both do as meant the trunk's lean gives way in.
 *
 * Axes as in the stance frame (x to the target, y to the ball, z up), mm, kg, s; moments per kg in mm²/s².
 */
final class Balance
{
    /** Steps of the solution, s: coarse as long as it is far off, then fine. */
    private const STEPS = [0.012, 0.012, 0.012, 0.004, 0.004];

    private const GRAVITY = 9806.65;

    /** The most of a leg's whole length that any swing uses. */
    private const STRETCH = 0.988;

    /** What the pelvis moves for the centre to move by one: the legs stay behind. */
    private const LEGS = 1.08;

    /** Degrees by which the trunk may lean or bend otherwise than meant so that the pelvis is where it should be. */
    private const GIVES = 11.0;

    /**
     * What the pelvis moves, mm, and the trunk leans away, degrees, when the centre is to move a millimetre toward the
     * target; and by how much that shortens the pendulum that a standing body is, mm.
     */
    private const PELVIS = 1.3;

    private const LEAN = 0.05;

    private const HIPS = 40.0;

    private readonly int $count;

    /** @var list<float> vertical force per kg, mm/s² */
    private readonly array $push;

    /** @throws CoreException */
    private function __construct(
        private readonly GolferSpec $spec,
        private readonly Score $score,
        private readonly Body $body,
        private readonly float $step,
    ) {
        $this->count = (int) round($score->duration / $step) + 1;
        $push = [];
        for ($i = 0; $i < $this->count; $i++) {
            $push[] = $score->at('total', $i * $step) / 100.0 * self::GRAVITY;
        }
        $this->push = $push;
    }

    /** @throws CoreException */
    public static function body(GolferSpec $spec, Score $score): Body
    {
        $body = new Body($spec, $score);
        $path = $body->path;
        $lean = $bend = array_fill_keys(['AD', 'LB', 'TP', 'LD', 'IM', 'FI'], 0.0);
        foreach (self::STEPS as $round => $step) {
            $balance = new self($spec, $score, $body, $step);
            $path = $balance->moved($path);
            $path = $round < 3 ? $balance->leaned($path, $lean, $bend) : $path;
            $path = $round < 4 ? $balance->stretched($path) : $path;
            $body = new Body($spec, $score, $path);
        }

        return $body;
    }

    /**
     * One step of Newton: what force and pressure still miss, made good by the pelvis – along the line together with
     * the trunk, which leans away from where the pelvis goes, as a body that keeps its balance does.
     *
     * @throws CoreException
     */
    private function moved(Path $path): Path
    {
        [$centre, $momentum] = Momentum::of($this->body, $this->count, $this->step);
        $height = $this->heights($centre[0][2]);
        $p = $this->pressure();
        $square = $this->step * $this->step;
        $x = $y = $z = [];
        foreach ($centre as $i => $at) {
            // At rest at both ends.
            $before = $centre[$i - 1] ?? $at;
            $after = $centre[$i + 1] ?? $at;
            [$before, $after] = $i === 0 || $i === $this->count - 1 ? [$at, $at] : [$before, $after];
            $x[] =
                ($height[$i] * ($after[0] - 2 * $at[0] + $before[0])) / $square +
                $momentum[$i][1] -
                $this->push[$i] * ($at[0] - $p[$i][0]);
            $y[] =
                ($height[$i] * ($after[1] - 2 * $at[1] + $before[1])) / $square -
                $momentum[$i][0] -
                $this->push[$i] * ($at[1] - $p[$i][1]);
            $z[] = $height[$i] - $at[2];
        }
        $along = $this->standing(array_map(static fn (float $h): float => $h - self::HIPS, $height), $x);
        $across = $this->standing($height, $y);

        return new Path(
            $this->added($path->x, $along, self::PELVIS),
            $this->added($path->y, $across, self::LEGS),
            $this->added($path->z, $z, self::LEGS),
            $this->added($path->lean, $along, self::LEAN),
            $path->bend,
        );
    }

    /**
     * Raised or lowered over the whole swing until the legs are once as long as legs are let out.
     *
     * @throws CoreException
     */
    private function stretched(Path $path): Path
    {
        $body = new Body($this->spec, $this->score, $path);
        $most = 0.0;
        for ($t = $this->score->stations['AD']; $t < $this->score->duration; $t += 0.03) {
            $most = max($most, $body->stretch($t));
        }
        $up = (self::STRETCH - $most) * ($body->segments['thigh'] + $body->segments['shank']);

        return new Path(
            $path->x,
            $path->y,
            new Sampled(array_map(static fn (float $z): float => $z + $up, $path->z->values)),
            $path->lean,
            $path->bend,
        );
    }

    /**
     * The trunk leaned and bent so that the pelvis comes nearer to where it is meant to be.
     *
     * @param  array<string, float>  $lean  so far, degrees by station
     * @param  array<string, float>  $bend
     *
     * @throws CoreException
     */
    private function leaned(Path $path, array &$lean, array &$bend): Path
    {
        // What a degree of the trunk moves the pelvis by, the centre staying: upper body and arms weigh two thirds.
        $lever = 0.66 * 0.75 * $this->body->segments['trunk'] * deg2rad(1.0);
        $leans = $bends = [];
        foreach (array_keys($lean) as $code) {
            $t = $this->score->stations[$code];
            $short =
                ($this->score->at('pelvis_x', $t) / 100.0) * $this->spec->stanceMm -
                ($path->x->at($t) - $path->x->at($this->score->stations['AD']));
            $leans[$code] = max(-self::GIVES, min(self::GIVES, $lean[$code] + 0.9 * $short / $lever)) - $lean[$code];
            $lean[$code] += $leans[$code];
            $short = $this->score->at('pelvis_y', $t) - $path->y->at($t);
            $bends[$code] =
                max(-2.0 * self::GIVES, min(self::GIVES, $bend[$code] - 0.8 * $short / $lever)) - $bend[$code];
            $bend[$code] += $bends[$code];
        }

        return new Path(
            $path->x,
            $path->y,
            $path->z,
            $this->leant($path->lean, $leans),
            $this->leant($path->bend, $bends),
        );
    }

    /**
     * @param  array<string, float>  $more  degrees by station
     *
     * @throws CoreException
     */
    private function leant(Sampled $was, array $more): Sampled
    {
        return new Sampled(
            array_map(
                static fn (float $v, float $by): float => $v + $by,
                $was->values,
                Score::through($this->score->stations, $more, $this->score->duration, 0.03)->values,
            ),
        );
    }

    /** @return list<array{float, float}> the centre of pressure asked for, mm */
    private function pressure(): array
    {
        $out = [];
        for ($i = 0; $i < $this->count; $i++) {
            $out[] = Ground::pressure($this->score, $this->body->stance, $i * $this->step);
        }

        return $out;
    }

    /** @return list<float> heights of the centre, mm: what the vertical force makes of the first */
    private function heights(float $first): array
    {
        $out = [$first];
        $z = $first;
        $speed = 0.0;
        for ($i = 1; $i < $this->count; $i++) {
            $speed += $this->step * ($this->push[$i - 1] - self::GRAVITY);
            $z += $this->step * $speed;
            $out[] = $z;
        }

        return $out;
    }

    /**
     * Solves height · c″ − push · c = −missing, with nothing missing in rest at both ends.
     *
     * @param  list<float>  $height  of the pendulum, mm
     * @param  list<float>  $missing  moment per kg, mm²/s²
     * @return list<float> how far the centre is to move, mm
     */
    private function standing(array $height, array $missing): array
    {
        $n = $this->count;
        $square = $this->step * $this->step;
        $c = $d = array_fill(0, $n, 0.0);
        $d[0] = $missing[0] / $this->push[0];
        for ($i = 1; $i < $n; $i++) {
            if ($i === $n - 1) {
                $d[$i] = $missing[$i] / $this->push[$i];
                break;
            }
            $side = $height[$i] / $square;
            $middle = -2.0 * $side - $this->push[$i];
            $w = $middle - $side * $c[$i - 1];
            $c[$i] = $side / $w;
            $d[$i] = (-$missing[$i] - $side * $d[$i - 1]) / $w;
        }
        for ($i = $n - 2; $i >= 0; $i--) {
            $d[$i] -= $c[$i] * $d[$i + 1];
        }

        return array_values($d);
    }

    /**
     * A curve and what is added to it step by step, between the steps by a cubic through four of them.
     *
     * @param  list<float>  $by
     */
    private function added(Sampled $was, array $by, float $times): Sampled
    {
        $every = (int) round($this->step * Sampled::RATE);
        $last = count($by) - 1;
        $fine = [];
        foreach ($was->values as $i => $v) {
            $k = min(intdiv($i, $every), $last);
            $u = (float) ($i - $k * $every) / (float) $every;
            $b = $by[$k];
            $c = $by[$k + 1] ?? 2.0 * $b - $by[$k - 1];
            $a = $by[$k - 1] ?? 2.0 * $b - $c;
            $d = $by[$k + 2] ?? 2.0 * $c - $b;
            // Uniform cubic B-spline: twice differentiable.
            $fine[] =
                $v +
                ($times * ((1 - $u) ** 3 * $a +
                    (3 * $u ** 3 - 6 * $u ** 2 + 4) * $b +
                    (-3 * $u ** 3 + 3 * $u ** 2 + 3 * $u + 1) * $c +
                    $u ** 3 * $d)) /
                    6.0;
        }

        return new Sampled($fine);
    }
}
