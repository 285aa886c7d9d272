<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Agreement\Profile\DriftChart;
use Core\Number\Written;

/** A reader's right calls and calls of "present" against the others', stretch by stretch, with the band of chance. */
final readonly class DriftPlot
{
    /** Above the highest point there is room. */
    private const ROOM = 1.15;

    /** @param  array<string, list<Mark>>  $lines  by series */
    private function __construct(
        public Plot $plot,
        public float $bandTop,
        public float $bandFoot,
        public array $lines,
    ) {
    }

    /** @param  list<string>  $stretches  how each is written */
    public static function broad(DriftChart $drift, array $stretches): self
    {
        return self::in($drift, $stretches, 660.0);
    }

    /** @param  list<string>  $stretches */
    public static function slim(DriftChart $drift, array $stretches): self
    {
        return self::in($drift, $stretches, Plot::SLIM);
    }

    /** A line's points as a polyline takes them. */
    public function path(string $series): string
    {
        return implode(' ', array_map(static fn (Mark $m): string => "$m->x,$m->y", $this->lines[$series]));
    }

    /** @param  list<string>  $stretches */
    private static function in(DriftChart $drift, array $stretches, float $width): self
    {
        $plot = new Plot(self::along($stretches, $width), self::upward($drift), $width);
        /** @param  'z_right'|'z_present'  $of */
        $lines = [];
        foreach ($drift->points as $i => $point) {
            foreach (['present' => $point['z_present'], 'right' => $point['z_right']] as $series => $z) {
                $lines[$series][] = new Mark($series, $plot->x((float) $i), $plot->y($z), null, null);
            }
        }

        return new self($plot, $plot->y($drift->limit), $plot->y(-$drift->limit), $lines);
    }

    /** @param  list<string>  $stretches */
    private static function along(array $stretches, float $width): Axis
    {
        // On a slim chart only as many stretches are named as do not touch.
        $every = (int) max(1, ceil((float) count($stretches) / ($width > Plot::SLIM ? 12.0 : 5.0)));
        $ticks = [];
        foreach ($stretches as $i => $text) {
            if ($i % $every === 0) {
                $ticks[$text] = (float) $i;
            }
        }

        return new Axis(-0.5, count($stretches) - 0.5, $ticks);
    }

    private static function upward(DriftChart $drift): Axis
    {
        $z = array_map(
            static fn (array $p): float => max(abs($p['z_right']), abs($p['z_present'])),
            $drift->points,
        );
        $top = max($drift->limit, ...$z) * self::ROOM;

        return new Axis(-$top, $top, [
            Written::fixed($drift->limit, 1) => $drift->limit,
            '0' => 0.0,
            Written::fixed(-$drift->limit, 1) => -$drift->limit,
        ]);
    }
}
