<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\Remark\Remark;

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

    /** @return list<Remark> what a person should know */
    public function warnings(): array
    {
        $out = [];
        if (abs($this->offsetS) > 2.0) {
            $out[] = Remark::of(
                $this->offsetS > 0 ? ClockDoubt::Slow : ClockDoubt::Fast,
                by: self::span(abs($this->offsetS)),
            );
        }
        if ($this->rateHz !== null && $this->strayPerCent !== null && abs($this->strayPerCent) > 3.0) {
            $out[] = Remark::of(
                $this->strayPerCent > 0 ? ClockDoubt::MoreSamples : ClockDoubt::FewerSamples,
                rate_hz: $this->rateHz,
                stray_percent: abs($this->strayPerCent),
            );
        }

        return $out;
    }

    private static function span(float $s): Remark
    {
        return match (true) {
            $s >= 172800 => Remark::of(ClockDoubt::Days, n: (int) round($s / 86400)),
            $s >= 7200 => Remark::of(ClockDoubt::Hours, n: (int) round($s / 3600)),
            $s >= 120 => Remark::of(ClockDoubt::Minutes, n: (int) round($s / 60)),
            default => Remark::of(ClockDoubt::Seconds, n: (int) round($s)),
        };
    }
}
