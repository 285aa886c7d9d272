<?php

declare(strict_types=1);

namespace Core\Drawing;

/** A frame with two axes in a box: where a pair of values stands in it. */
final readonly class Plot
{
    public const SLIM = 340.0;

    private const LEFT = 60.0;

    private const RIGHT = 40.0;

    private const TOP = 20.0;

    private const FOOT = 42.0;

    public function __construct(
        public Axis $across,
        public Axis $up,
        public float $width = 660.0,
        public float $height = 262.0,
    ) {
    }

    public function x(float $value): float
    {
        return round($this->across->place($value, self::LEFT, $this->right()), 2);
    }

    public function y(float $value): float
    {
        return round($this->up->place($value, $this->height - self::FOOT, self::TOP), 2);
    }

    /** Where the frame begins. */
    public function left(): float
    {
        return self::LEFT;
    }

    /** Where the frame ends. */
    public function right(): float
    {
        return $this->width - self::RIGHT;
    }

    /** @return list<Label> what is written beneath, by value */
    public function beneath(): array
    {
        return self::labels($this->across, fn (string $text, float $at): Label => new Label(
            $text,
            $this->x($at),
            $this->height - self::FOOT + 18.0,
        ));
    }

    /** @return list<Label> what is written beside, by value; y is where its line is drawn */
    public function beside(): array
    {
        return self::labels($this->up, fn (string $text, float $at): Label => new Label(
            $text,
            self::LEFT - 8.0,
            $this->y($at),
        ));
    }

    /**
     * @param  callable(string, float): Label  $label
     * @return list<Label>
     */
    private static function labels(Axis $axis, callable $label): array
    {
        return array_map(
            $label,
            array_map(strval(...), array_keys($axis->ticks)),
            array_values($axis->ticks),
        );
    }
}
