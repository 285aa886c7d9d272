<?php

declare(strict_types=1);

namespace Core\Trace;

/**
 * What can be said of a live device's clock from when its chunks say they were made and when they came in. Only its
 * ticks are used for timing; what it believes the hour to be is not.
 */
final readonly class DeviceClock
{
    private function __construct(public float $offsetS, public ?float $rateHz, public ?float $strayPerCent)
    {
    }

    /**
     * @param  list<array{sample: int, device_s: float, server_s: float}>  $marks  one a chunk, in any order
     * @param  float  $statedHz  the rate the device states
     */
    public static function fitted(array $marks, float $statedHz): ?self
    {
        if ($marks === []) {
            return null;
        }
        usort($marks, static fn (array $a, array $b): int => $a['sample'] <=> $b['sample']);
        // The quickest journey is nearest to none.
        $offset = min(array_map(static fn (array $m): float => $m['server_s'] - $m['device_s'], $marks));
        $first = $marks[0];
        $last = $marks[count($marks) - 1];
        // By its own clock: how long chunks travel is nothing to do with how often it samples.
        $span = $last['device_s'] - $first['device_s'];
        if ($span < 3.0) {
            return new self($offset, null, null);
        }
        $rate = ($last['sample'] - $first['sample']) / $span;

        return new self($offset, $rate, 100.0 * ($rate / $statedHz - 1.0));
    }

    /** @return list<string> what a person should know, in sentences */
    public function warnings(): array
    {
        $out = [];
        if (abs($this->offsetS) > 2.0) {
            $out[] = sprintf('The device’s clock is %s; only its ticks are used.', self::words($this->offsetS));
        }
        if ($this->strayPerCent !== null && abs($this->strayPerCent) > 3.0) {
            $out[] = sprintf(
                'It sends %.0f samples a second, %.0f %% %s than it states: timings would be off by as much.',
                (float) $this->rateHz,
                abs($this->strayPerCent),
                $this->strayPerCent > 0 ? 'more' : 'fewer',
            );
        }

        return $out;
    }

    private static function words(float $seconds): string
    {
        $s = abs($seconds);
        $amount = match (true) {
            $s >= 172800 => sprintf('%.0f days', $s / 86400),
            $s >= 7200 => sprintf('%.0f hours', $s / 3600),
            $s >= 120 => sprintf('%.0f minutes', $s / 60),
            default => sprintf('%.0f seconds', $s),
        };

        return $amount.($seconds > 0 ? ' slow' : ' fast');
    }
}
