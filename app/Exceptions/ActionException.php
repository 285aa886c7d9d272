<?php

declare(strict_types=1);

namespace App\Exceptions;

/** An action refused; the message says what happened, what was kept and what to do. */
final class ActionException extends \DomainException
{
    /** It is at odds with what is there already; where the very thing is there, nothing is lost. */
    public const CONFLICT = 409;

    /** It cannot be changed any more. */
    public const LOCKED = 423;

    private const REFUSED = 422;

    /** What a program that asked is answered with. */
    public function status(): int
    {
        return $this->getCode() === 0 ? self::REFUSED : $this->getCode();
    }
}
