<?php

declare(strict_types=1);

namespace Core\Codebook;

/** Three-valued truth (Kleene): unknown where an operand is missing and the others do not decide. */
enum Truth
{
    case Yes;
    case No;
    case Unknown;

    public static function fromBool(bool $b): self
    {
        return $b ? self::Yes : self::No;
    }

    /** @param  list<self>  $all */
    public static function both(array $all): self
    {
        return match (true) {
            in_array(self::No, $all, true) => self::No,
            in_array(self::Unknown, $all, true) => self::Unknown,
            default => self::Yes,
        };
    }

    /** @param  list<self>  $all */
    public static function either(array $all): self
    {
        return match (true) {
            in_array(self::Yes, $all, true) => self::Yes,
            in_array(self::Unknown, $all, true) => self::Unknown,
            default => self::No,
        };
    }
}
