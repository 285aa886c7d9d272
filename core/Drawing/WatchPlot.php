<?php

declare(strict_types=1);

namespace Core\Drawing;

/**
 * One reader's weekly looks, small: right calls and calls of "present" against the others, between the limits of
 * chance.
 */
final readonly class WatchPlot
{
    public const WIDTH = 240.0;

    public const HEIGHT = 60.0;

    /** @param  array{right: string, present: string, above: string, below: string}  $lines  points of polylines */
    private function __construct(public array $lines)
    {
    }

    /**
     * @param  list<array{right: float, present: float, limit: float}>  $looks  in standard errors, week by week
     * @return self|null null with fewer than two
     */
    public static function of(array $looks): ?self
    {
        if (count($looks) < 2) {
            return null;
        }
        $top = 1.0;
        foreach ($looks as $look) {
            $top = max($top, abs($look['right']), abs($look['present']), $look['limit']);
        }
        $along = new Axis(0.0, (float) (count($looks) - 1), []);
        $up = new Axis(-1.1 * $top, 1.1 * $top, []);
        $line = static function (string $of, float $sign = 1.0) use ($looks, $along, $up): string {
            $points = [];
            foreach ($looks as $i => $look) {
                $points[] = sprintf(
                    '%.1f,%.1f',
                    $along->place((float) $i, 3.0, self::WIDTH - 3.0),
                    $up->place($sign * $look[$of], self::HEIGHT, 0.0),
                );
            }

            return implode(' ', $points);
        };

        return new self([
            'right' => $line('right'),
            'present' => $line('present'),
            'above' => $line('limit'),
            'below' => $line('limit', -1.0),
        ]);
    }
}
