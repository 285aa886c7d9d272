<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Measurement\Illustration;
use Core\Measurement\Measured;
use Core\Motion\StationTime;
use Core\Number\Written;

/**
 * The curve a measure was read off, with the threshold of a rule, the value with its uncertainty and the stations.
 * Places are in the box of WIDTH × HEIGHT; what lies beyond it is drawn at its edge or not at all.
 */
final readonly class RuleChart
{
    public const WIDTH = 380.0;

    public const HEIGHT = 132.0;

    public const LEFT = 34.0;

    public const TOP = 6.0;

    public const FOOT = 112.0;

    private const POINTS = 240;

    /** Of a curve's range, what is left free above and below it. */
    private const PAD = 0.08;

    /**
     * @param  string  $curve  as the path of an SVG
     * @param  list<Label>  $ticks  levels, each at the height of its line
     * @param  list<Label>  $stations  each at its time; without text where it would touch the one before
     * @param  float|null  $level  height of a threshold that is a level
     * @param  float|null  $moment  place of a threshold that is a time
     * @param  array{float, float}|null  $window  from, width: where the value was looked for
     * @param  array{float, float}|null  $dot  the value
     * @param  array{float, float, float, float}|null  $whisker  x1, x2, y1, y2: its uncertainty
     */
    private function __construct(
        public string $name,
        public string $unit,
        public string $curve,
        public array $ticks,
        public array $stations,
        public ?float $level,
        public ?float $moment,
        public ?array $window,
        public ?array $dot,
        public ?array $whisker,
    ) {
    }

    /**
     * @param  float  $from  s, on the recording's clock
     * @param  float  $to  s
     * @param  array<string, StationTime>  $stations  by code
     * @return self|null null where the curve has no value between from and to
     */
    public static function drawn(
        Illustration $drawn,
        float $from,
        float $to,
        float $threshold,
        Measured $found,
        array $stations,
    ): ?self {
        $points = self::points($drawn, $from, $to);
        if ($points === []) {
            return null;
        }
        $level = $drawn->level($threshold);
        $heights = array_column($points, 1);
        $across = new Axis($from, $to, []);
        $up = self::upward([...$heights, ...$level === null ? [] : [$level]]);
        $x = static fn (float $t): float => round($across->place($t, self::LEFT, self::WIDTH - 4.0), 1);
        $y = static fn (float $v): float => round($up->place($v, self::FOOT, self::TOP), 1);
        $path = '';
        foreach ($points as $i => [$t, $v]) {
            $path .= ($i === 0 ? 'M' : 'L').$x($t).' '.$y($v);
        }
        $moment = $drawn->moment($threshold);
        $window = $found->window;
        [$dot, $whisker] = self::value($drawn, $found, $from, $to, $x, $y);

        return new self(
            $drawn->name,
            $drawn->unit,
            $path,
            self::ticks($up, $y),
            StationLabels::along($stations, $from, $to, $x, self::HEIGHT - 8.0),
            $level === null ? null : $y($level),
            $moment === null || $moment < $from || $moment > $to ? null : $x($moment),
            $window === null ? null : [
                $x(max($from, $window[0])),
                max(1.5, round($x(min($to, $window[1])) - $x(max($from, $window[0])), 1)),
            ],
            $dot,
            $whisker,
        );
    }

    /** @return list<array{float, float}> time and value */
    private static function points(Illustration $drawn, float $from, float $to): array
    {
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $t = $from + ($to - $from) * (float) $i / (float) self::POINTS;
            $v = $drawn->curve->at($t);
            if ($v !== null) {
                $points[] = [$t, $v];
            }
        }

        return $points;
    }

    /** @param  non-empty-list<float>  $levels */
    private static function upward(array $levels): Axis
    {
        [$low, $high] = [min($levels), max($levels)];
        $pad = self::PAD * max(1e-6, $high - $low);

        return new Axis($low - $pad, $high + $pad, ['low' => $low, 'middle' => ($low + $high) / 2.0, 'high' => $high]);
    }

    /**
     * @param  callable(float): float  $y
     * @return list<Label>
     */
    private static function ticks(Axis $up, callable $y): array
    {
        $digits = $up->to - $up->from < 5.0 ? 1 : 0;

        return array_map(
            static fn (float $v): Label => new Label(Written::fixed($v, $digits), self::LEFT - 4.0, $y($v)),
            array_values($up->ticks),
        );
    }

    /**
     * Where on the curve the value was read: at its station, or within its window for an extreme.
     *
     * @param  callable(float): float  $x
     * @param  callable(float): float  $y
     * @return array{array{float, float}|null, array{float, float, float, float}|null} dot and whisker
     */
    private static function value(
        Illustration $drawn,
        Measured $found,
        float $from,
        float $to,
        callable $x,
        callable $y,
    ): array {
        $value = $found->number();
        $at = $value === null ? null : $drawn->moment($value) ?? self::readAt($drawn, $value, $found->window);
        if ($value === null || $at === null) {
            return [null, null];
        }
        $u = $found->uncertainty ?? 0.0;
        $level = $drawn->level($value);
        $dot = [$x(max($from, min($to, $at))), $y($level ?? $drawn->curve->at($at) ?? 0.0)];

        return [$dot, $level !== null
            ? [$dot[0], $dot[0], $y((float) $drawn->level($value - $u)), $y((float) $drawn->level($value + $u))]
            : [$x((float) $drawn->moment($value - $u)), $x((float) $drawn->moment($value + $u)), $dot[1], $dot[1]]];
    }

    /** @param  array{float, float}|null  $window */
    private static function readAt(Illustration $drawn, float $value, ?array $window): ?float
    {
        if ($window === null) {
            return null;
        }
        $goal = $drawn->level($value) ?? 0.0;
        $best = $window[1];
        $least = INF;
        for ($i = 0; $i <= 60; $i++) {
            $t = $window[0] + ($window[1] - $window[0]) * (float) $i / 60.0;
            $d = abs(($drawn->curve->at($t) ?? INF) - $goal);
            if ($d < $least - 1e-9) {
                [$best, $least] = [$t, $d];
            }
        }

        return $best;
    }
}
