<?php

declare(strict_types=1);

namespace Core\Drawing;

/** A text and where it stands. */
final readonly class Label
{
    public function __construct(public string $text, public float $x, public float $y, public bool $strong = false)
    {
    }
}
