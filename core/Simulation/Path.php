<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Curve;
use Core\Motion\Vec3;

/** Where the pelvis goes, mm in the stance frame, and how much more than meant the trunk leans and bends, degrees. */
final readonly class Path
{
    public function __construct(
        public Sampled $x,
        public Sampled $y,
        public Sampled $z,
        public Sampled $lean,
        public Sampled $bend,
    ) {
    }

    /**
     * As the score means it, before anything balances.
     *
     * @param  array<string, float>  $segments  lengths in mm
     *
     * @throws CoreException
     */
    public static function meant(GolferSpec $spec, Score $score, array $segments): self
    {
        $legs = $segments['thigh'] + $segments['shank'] + $segments['ankle'];
        $map = static fn (string $curve, float $times, float $plus): Sampled => new Sampled(
            array_map(static fn (float $v): float => $plus + $times * $v, $score->curves[$curve]->values),
        );
        $none = Sampled::rounded(new Curve([[0.0, 0.0], [1.0, 0.0]]), $score->duration, 0.0);

        return new self(
            $map('pelvis_x', $spec->stanceMm / 100.0, 0.0),
            $map('pelvis_y', 1.0, 0.0),
            $map('squat', -1.0, $legs),
            $none,
            $none,
        );
    }

    public function pelvis(float $t): Vec3
    {
        return new Vec3($this->x->at($t), $this->y->at($t), $this->z->at($t));
    }
}
