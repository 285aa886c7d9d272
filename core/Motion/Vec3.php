<?php

declare(strict_types=1);

namespace Core\Motion;

/** A point or direction in space. */
final readonly class Vec3
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    public function plus(self $o, float $times = 1.0): self
    {
        return new self($this->x + $times * $o->x, $this->y + $times * $o->y, $this->z + $times * $o->z);
    }

    public function minus(self $o): self
    {
        return new self($this->x - $o->x, $this->y - $o->y, $this->z - $o->z);
    }

    public function times(float $f): self
    {
        return new self($this->x * $f, $this->y * $f, $this->z * $f);
    }

    public function dot(self $o): float
    {
        return $this->x * $o->x + $this->y * $o->y + $this->z * $o->z;
    }

    /** As written in coordinates; in this mirrored frame the left hand's rule holds. */
    public function cross(self $o): self
    {
        return new self(
            $this->y * $o->z - $this->z * $o->y,
            $this->z * $o->x - $this->x * $o->z,
            $this->x * $o->y - $this->y * $o->x,
        );
    }

    public function length(): float
    {
        return sqrt($this->dot($this));
    }

    /** Unit vector; the zero vector stays what it is. */
    public function unit(): self
    {
        $l = $this->length();

        return $l > 1e-12 ? $this->times(1.0 / $l) : $this;
    }
}
