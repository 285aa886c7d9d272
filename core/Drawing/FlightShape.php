<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Motion\Handedness;
use Core\Reading\BallFlight;

/**
 * Where a ball went, small: from above, the target at the top, and from the side. Angles are drawn larger than they
 * were, so that a few degrees are seen; a picture of which way, not of how far.
 */
final readonly class FlightShape
{
    public const WIDTH = 96;

    public const HEIGHT = 72;

    /** Degrees drawn for each degree flown. */
    private const LARGER = 2.2;

    private const MOST_DEG = 38.0;

    /**
     * @param  string  $above  a path from the ball, at the middle of the lower edge
     * @param  string  $side  a path along the lower edge
     * @param  float  $endX  where it came down, from above
     */
    private function __construct(public string $above, public string $side, public float $endX, public float $endY)
    {
    }

    /**
     * A push and a fade go to the side away from the golfer: right of a right-handed one, left of a left-handed one.
     */
    public static function ofFlight(BallFlight $flight, Handedness $hand): self
    {
        $to = $hand === Handedness::Right ? 1.0 : -1.0;
        $x = self::WIDTH / 2.0;
        $far = self::HEIGHT - 10.0;
        $start = deg2rad(self::drawn($flight->startDeg)) * $to;
        $end = deg2rad(self::drawn($flight->startDeg + $flight->curveDeg)) * $to;
        // It leaves along its start line and comes down where start and curve have brought it.
        [$bendX, $bendY] = [$x + 0.55 * $far * sin($start), $far + 6.0 - 0.55 * $far * cos($start)];
        [$endX, $endY] = [$x + $far * sin($end), $far + 6.0 - $far * cos($end)];
        $rise = match ($flight->height) {
            'low' => 0.22,
            'high' => 0.95,
            default => 0.55,
        };
        $base = self::HEIGHT - 6.0;

        return new self(
            sprintf('M%.1f %.1fQ%.1f %.1f %.1f %.1f', $x, $far + 6.0, $bendX, $bendY, $endX, $endY),
            sprintf(
                'M6 %.1fQ%.1f %.1f %.1f %.1f',
                $base,
                0.62 * self::WIDTH,
                $base - 1.7 * $rise * self::HEIGHT,
                self::WIDTH - 6.0,
                $base,
            ),
            round($endX, 1),
            round($endY, 1),
        );
    }

    private static function drawn(float $degrees): float
    {
        return max(-self::MOST_DEG, min(self::MOST_DEG, self::LARGER * $degrees));
    }
}
