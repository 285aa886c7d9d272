<?php

declare(strict_types=1);

namespace App\Time;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;
use Psr\Clock\ClockInterface;

/**
 * The one clock: the framework's now(), and with it every row's time, asks this one. Where the installation names a
 * file (CLOCK_FILE), the seconds written in it are added: so pages can be tried as they are in three weeks. No page
 * writes that file, and without the setting there is none.
 */
final readonly class Clock implements ClockInterface
{
    public function __construct(private ?string $file)
    {
    }

    public function now(): CarbonImmutable
    {
        return CarbonImmutable::createFromTimestamp(microtime(true) + $this->ahead());
    }

    /** Seconds by which it is ahead of the machine's. */
    public function ahead(): float
    {
        $said = $this->file !== null && is_file($this->file) ? trim((string) file_get_contents($this->file)) : '';

        return is_numeric($said) ? (float) $said : 0.0;
    }

    /** From here on now() asks this clock. */
    public function install(): void
    {
        if ($this->file !== null) {
            Carbon::setTestNow(
                fn (CarbonInterface $now): CarbonInterface => $now->addMicroseconds((int) (1e6 * $this->ahead())),
            );
        }
    }
}
