<?php

declare(strict_types=1);

namespace Core\Trace;

/** Which foot: the lead one stands nearer the target, for either hand. */
enum Side: string
{
    case Lead = 'lead';
    case Trail = 'trail';

    /** Of a channel or point that belongs to one side; null for one that belongs to neither. */
    public static function ofName(string $name): ?self
    {
        foreach (self::cases() as $side) {
            if (str_starts_with($name, $side->value.'_')) {
                return $side;
            }
        }

        return null;
    }

    public function other(): self
    {
        return $this === self::Lead ? self::Trail : self::Lead;
    }

    /** A channel's or a point's name with its side: 'fz_n' is 'lead_fz_n'. */
    public function name(string $of): string
    {
        return "{$this->value}_$of";
    }

    /** The sign of x on the foot's outer edge. */
    public function outward(): float
    {
        return $this === self::Lead ? 1.0 : -1.0;
    }
}
