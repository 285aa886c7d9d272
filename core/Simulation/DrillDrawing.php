<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Drawing\Aid;
use Core\Drawing\Mannequin;
use Core\Drawing\Shape;
use Core\Motion\Vec3;

/** A drill's scene laid out as a strip, its moments side by side on one ground. mm, y downward from the ground. */
final readonly class DrillDrawing
{
    /** Around what is drawn, and between moments, mm. */
    private const ROOM = 120.0;

    private const FOOT = 130.0;

    /** @param  list<array{x: float, shapes: list<Shape>}>  $moments  how far each is shifted */
    private function __construct(
        public array $moments,
        public float $width,
        public float $height,
        public bool $isWarning,
    ) {
    }

    public static function of(DrillScene $scene): self
    {
        $moments = [];
        $x = 0.0;
        $top = 0.0;
        foreach ($scene->moments as $i => $pose) {
            [$low, $high, $above] = self::reach($pose, $scene);
            $moments[] = [
                'x' => round($x - $low + self::ROOM),
                'shapes' => [
                    Shape::line('ground', sprintf('M%.0f 0H%.0f', $low - self::ROOM / 2.0, $high + self::ROOM / 2.0)),
                    ...self::aids($scene, $i, true),
                    ...Mannequin::of($pose->points, $scene->view)->shapes,
                    ...self::aids($scene, $i, false),
                ],
            ];
            $x += $high - $low + 2.0 * self::ROOM;
            $top = max($top, $above);
        }

        return new self($moments, round($x), round($top + self::ROOM + self::FOOT), $scene->isWarning);
    }

    /** Of the picture's upper edge. */
    public function top(): float
    {
        return self::FOOT - $this->height;
    }

    /** @return array{float, float, float} from, to, upward */
    private static function reach(Pose $pose, DrillScene $scene): array
    {
        // A body is thicker than its points, and an aid may stand beside it.
        $low = Mannequin::seen(new Vec3(-420.0, -330.0, 0.0), $scene->view)[0];
        $high = 470.0;
        $above = 0.0;
        foreach ($pose->points as $point) {
            [$x, $y] = Mannequin::seen($point, $scene->view);
            $low = min($low, $x - 60.0);
            $high = max($high, $x + 60.0);
            $above = max($above, 60.0 - $y);
        }

        return [$low, $high, $above];
    }

    /** @return list<Shape> */
    private static function aids(DrillScene $scene, int $moment, bool $beneath): array
    {
        return array_merge(...array_map(
            static fn (Aid $aid): array => $aid->isBeneath() === $beneath ? $aid->shapes($scene->view) : [],
            $scene->aids[$moment],
        ), ...[[]]);
    }
}
