<?php

declare(strict_types=1);

namespace Core\Drawing;

/** One path of a drawing, and what it is part of. */
final readonly class Shape
{
    /**
     * @param  string  $part  what it shows: the page gives it its colour
     * @param  bool  $isOpen  a line, not a face
     */
    private function __construct(public string $part, public string $path, public bool $isOpen)
    {
    }

    public static function path(string $part, string $path): self
    {
        return new self($part, $path, false);
    }

    public static function line(string $part, string $path): self
    {
        return new self($part, $path, true);
    }
}
