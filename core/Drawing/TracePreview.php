<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Motion\StationTime;
use Core\Number\Written;
use Core\Trace\Series;

/** A curve over a stretch of a recording with its stations, and the spans in which something is wrong with it. */
final readonly class TracePreview
{
    public const WIDTH = 640.0;

    public const HEIGHT = 200.0;

    public const TOP = 10.0;

    public const FOOT = 170.0;

    private const LEFT = 40.0;

    private const RIGHT = 632.0;

    private const POINTS = 300;

    /**
     * @param  string  $curve  as the path of an SVG; empty without a value
     * @param  list<Label>  $levels  each at the height of its line
     * @param  list<Label>  $stations  each at its time; without text where it would touch the one before
     * @param  list<array{float, float}>  $spans  from, width
     */
    private function __construct(
        public string $curve,
        public array $levels,
        public array $stations,
        public array $spans,
    ) {
    }

    /**
     * @param  float  $from  s
     * @param  float  $to  s, later than from
     * @param  array<string, StationTime>  $stations  by code
     * @param  list<array{float, float}>  $spans  s
     */
    public static function drawn(Series $curve, float $from, float $to, array $stations, array $spans): self
    {
        $across = new Axis($from, max($to, $from + 1e-6), []);
        $x = static fn (float $t): float => round(
            $across->place(max($from, min($to, $t)), self::LEFT, self::RIGHT),
            1,
        );
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $t = $from + ($to - $from) * (float) $i / (float) self::POINTS;
            $v = $curve->at($t);
            if ($v !== null) {
                $points[] = [$t, $v];
            }
        }
        $up = self::upward(array_column($points, 1));
        $y = static fn (float $v): float => round($up->place($v, self::FOOT, self::TOP), 1);
        $path = '';
        foreach ($points as $i => [$t, $v]) {
            $path .= ($i === 0 ? 'M' : 'L').$x($t).' '.$y($v);
        }
        $levels = [];
        foreach ($up->ticks as $text => $value) {
            $levels[] = new Label((string) $text, self::LEFT - 6.0, $y($value));
        }

        return new self($path, $levels, StationLabels::along($stations, $from, $to, $x, self::HEIGHT - 10.0), array_map(
            static fn (array $span): array => [$x($span[0]), max(2.0, round($x($span[1]) - $x($span[0]), 1))],
            $spans,
        ));
    }

    /**
     * Shares from nought to a hundred, anything else from its least to its most.
     *
     * @param  list<float>  $values
     */
    private static function upward(array $values): Axis
    {
        $low = $values === [] ? 0.0 : min($values);
        $high = $values === [] ? 100.0 : max($values);
        if ($low >= 0.0 && $high <= 100.0) {
            return new Axis(0.0, 100.0, ['100' => 100.0, '50' => 50.0, '0' => 0.0]);
        }

        return new Axis($low, max($high, $low + 1e-6), [
            Written::short($high) => $high,
            Written::short($low) => $low,
        ]);
    }
}
