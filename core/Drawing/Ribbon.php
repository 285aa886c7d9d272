<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Motion\Station;

/** The nine stations as a notched strip. */
final class Ribbon
{
    private const FIRST = 20;

    private const STEP = 40;

    /** @return list<Label> where each station's name stands; its notch is at the same place */
    public static function stations(): array
    {
        return array_map(
            static fn (Station $s): Label => new Label($s->value, self::place($s), 29.0),
            Station::cases(),
        );
    }

    /** The strip's outline with a notch at each station, as the path of an SVG. */
    public static function edge(): string
    {
        $path = 'M2 2H358V14';
        foreach (array_reverse(Station::cases()) as $station) {
            $x = self::place($station);
            $path .= 'H'.($x + 5.0).'L'.$x.' 6L'.($x - 5.0).' 14';
        }

        return $path.'H2Z';
    }

    private static function place(Station $station): float
    {
        return (float) (self::FIRST + self::STEP * $station->order());
    }
}
