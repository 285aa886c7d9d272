<?php

declare(strict_types=1);

namespace App\Exceptions;

use Core\CoreException;

/** An action refused. What is said says what happened, what was kept and what to do, in the words of lang/. */
final class ActionException extends \DomainException
{
    /** It is at odds with what is there already; where the very thing is there, nothing is lost. */
    public const CONFLICT = 409;

    /** It cannot be changed any more. */
    public const LOCKED = 423;

    /** There is no room for it; tried again later it may go. */
    public const FULL = 507;

    private const REFUSED = 422;

    private function __construct(public readonly Refusal $refusal, int $status, ?\Throwable $previous = null)
    {
        parent::__construct($refusal->sentence(), $status, $previous);
    }

    /**
     * @param  string  $line  of lang/: refusals.shelf.no-film
     * @param  array<string, string|int|float>  $with  what it speaks of; by its count one of several lines is taken
     */
    public static function because(
        string $line,
        array $with = [],
        int $status = self::REFUSED,
        ?\Throwable $previous = null,
    ): self {
        return new self(new Refusal($line, $with), $status, $previous);
    }

    public static function of(CoreException $refused, int $status = self::REFUSED): self
    {
        return new self(Refusal::of($refused), $status, $refused);
    }

    /** What a program that asked is answered with. */
    public function status(): int
    {
        return (int) $this->getCode();
    }
}
