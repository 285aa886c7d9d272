<?php

declare(strict_types=1);

namespace Core\Drawing;

/**
 * Estimates with their intervals, a row for each of several things, on one axis: as plain shapes in a box. Rows have
 * their names beside them where there is room, and above them where there is none.
 */
final readonly class Forest
{
    private const ROW = 26.0;

    private const ROW_BENEATH_ITS_NAME = 46.0;

    private const FOOT = 30.0;

    /**
     * @param  list<Label>  $names  of the rows
     * @param  list<Label>  $ticks  of the axis, each at the foot of its line
     * @param  list<Mark>  $marks
     */
    private function __construct(
        public float $width,
        public float $height,
        public float $foot,
        public array $names,
        public array $ticks,
        public array $marks,
    ) {
    }

    /**
     * @param  list<ForestRow>  $rows
     * @param  float  $room  what the longest name takes beside the rows
     */
    public static function beside(array $rows, Axis $axis, float $width = 760.0, float $room = 180.0): self
    {
        return self::drawn(
            $rows,
            $axis,
            $width,
            $room + 12.0,
            self::ROW,
            static fn (ForestRow $row, float $y): Label => new Label($row->name, $room, $y + 4.0, $row->strong),
        );
    }

    /** @param  list<ForestRow>  $rows */
    public static function beneath(array $rows, Axis $axis, float $width = 340.0): self
    {
        return self::drawn(
            $rows,
            $axis,
            $width,
            14.0,
            self::ROW_BENEATH_ITS_NAME,
            static fn (ForestRow $row, float $y): Label => new Label($row->name, 2.0, $y - 14.0, $row->strong),
        );
    }

    /**
     * @param  list<ForestRow>  $rows
     * @param  callable(ForestRow, float): Label  $name
     */
    private static function drawn(
        array $rows,
        Axis $axis,
        float $width,
        float $start,
        float $step,
        callable $name,
    ): self {
        $end = $width - 22.0;
        $at = static fn (float $value): float => round($axis->place($value, $start, $end), 2);
        $names = $marks = [];
        foreach ($rows as $i => $row) {
            $y = $step * ($i + 1) - $step / 2 + ($step > self::ROW ? 12.0 : 5.0);
            $names[] = $name($row, $y);
            // Several series of one row stand a little apart, around its middle.
            $apart = 9.0;
            $first = $y - ($apart * (count($row->estimates) - 1)) / 2;
            foreach ($row->estimates as $k => $e) {
                $marks[] = new Mark(
                    $e->series,
                    $at($e->value),
                    $first + $apart * $k,
                    $e->low === null ? null : $at($e->low),
                    $e->high === null ? null : $at($e->high),
                    $e->bandLow === null ? null : $at($e->bandLow),
                    $e->bandHigh === null ? null : $at($e->bandHigh),
                );
            }
        }
        $height = $step * count($rows) + self::FOOT + 10.0;
        $ticks = array_map(
            static fn (string $text, float $value): Label => new Label($text, $at($value), $height - 8.0),
            array_map(strval(...), array_keys($axis->ticks)),
            $axis->ticks,
        );

        return new self($width, $height, $height - self::FOOT + 6.0, $names, array_values($ticks), $marks);
    }
}
