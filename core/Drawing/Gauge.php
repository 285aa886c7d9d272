<?php

declare(strict_types=1);

namespace Core\Drawing;

/** One value with its uncertainty on a short scale, over the band it is hoped to lie in and a golfer's own spread. */
final readonly class Gauge
{
    public const WIDTH = 96.0;

    private const EDGE = 2.0;

    /**
     * @param  array{float, float}  $whisker  from, to
     * @param  array{float, float}|null  $band  from, width
     * @param  array{float, float}|null  $spread  from, to
     */
    private function __construct(
        public float $dot,
        public array $whisker,
        public ?array $band,
        public ?array $spread,
    ) {
    }

    /**
     * What lies beyond the scale is drawn at its end.
     *
     * @param  array{float, float}  $scale  the values at its ends
     * @param  array{float, float}|null  $band
     * @param  array{float, float}|null  $spread
     */
    public static function on(array $scale, float $value, float $uncertainty, ?array $band, ?array $spread): self
    {
        $axis = new Axis($scale[0], $scale[1], []);
        $x = static fn (float $v): float => round(
            max(self::EDGE, min(self::WIDTH - self::EDGE, $axis->place($v, self::EDGE, self::WIDTH - self::EDGE))),
            2,
        );

        return new self(
            $x($value),
            [$x($value - $uncertainty), $x($value + $uncertainty)],
            $band === null ? null : [$x($band[0]), max(1.0, round($x($band[1]) - $x($band[0]), 2))],
            $spread === null ? null : [$x($spread[0]), $x($spread[1])],
        );
    }
}
