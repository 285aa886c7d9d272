<?php

declare(strict_types=1);

namespace App\Works;

/** A run has no right to go on: it was cancelled, or another run has taken the work over. */
final class WorkStopped extends \RuntimeException
{
    private function __construct(string $message, public readonly bool $cancelled)
    {
        parent::__construct($message);
    }

    public static function cancelled(): self
    {
        return new self('cancelled', true);
    }

    public static function takenOver(): self
    {
        return new self('another run has taken it over', false);
    }
}
