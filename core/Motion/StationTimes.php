<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;

/** The stations a swing reached, in order of time. A short swing may lack some. */
final readonly class StationTimes
{
    /** @param  array<string, StationTime>  $times by station code */
    private function __construct(private array $times)
    {
    }

    /**
     * @param  array<string, StationTime>  $times
     *
     * @throws CoreException when a code is unknown or two stations stand in the wrong order
     */
    public static function fromTimes(array $times): self
    {
        $sorted = [];
        foreach (array_keys($times) as $code) {
            if (Station::tryFrom($code) === null) {
                throw MotionException::because(
                    'no-station',
                    station: $code,
                    all: implode(', ', array_column(Station::cases(), 'value')),
                );
            }
        }
        $before = $last = null;
        foreach (Station::cases() as $station) {
            $time = $times[$station->value] ?? null;
            if ($time === null) {
                continue;
            }
            if ($last !== null && $time->t <= $last->t) {
                throw MotionException::because(
                    'station-order',
                    station: $station->value,
                    t: sprintf('%.3f', $time->t),
                    before: (string) $before,
                    t2: sprintf('%.3f', $last->t),
                );
            }
            $sorted[$station->value] = $time;
            $before = $station->value;
            $last = $time;
        }

        return new self($sorted);
    }

    /**
     * @param  array<string, float>  $seconds
     *
     * @throws CoreException
     */
    public static function fromSeconds(array $seconds, float $uncertainty, StationSource $source): self
    {
        return self::fromTimes(
            array_map(static fn (float $t): StationTime => new StationTime($t, $uncertainty, $source), $seconds),
        );
    }

    /**
     * With those of another source at stations that have none here, as far as the order of a swing allows.
     *
     * @throws CoreException
     */
    public function filledFrom(self $other): self
    {
        $times = $this->times;
        foreach (Station::cases() as $station) {
            $new = $other->times[$station->value] ?? null;
            if ($new === null || isset($times[$station->value])) {
                continue;
            }
            $fits = true;
            foreach (Station::cases() as $i => $beside) {
                $t = $times[$beside->value]->t ?? null;
                $later = $i > array_search($station, Station::cases(), true);
                $fits = $fits && ($t === null || ($later ? $t > $new->t : $t < $new->t));
            }
            if ($fits) {
                $times[$station->value] = $new;
            }
        }

        return self::fromTimes($times);
    }

    public function get(Station $station): ?StationTime
    {
        return $this->times[$station->value] ?? null;
    }

    public function t(Station $station): ?float
    {
        return ($this->times[$station->value] ?? null)?->t;
    }

    public function nearest(float $t): ?Station
    {
        $best = null;
        foreach ($this->times as $code => $time) {
            if ($best === null || abs($time->t - $t) < abs($this->times[$best]->t - $t)) {
                $best = $code;
            }
        }

        return $best === null ? null : Station::from($best);
    }

    /** @return array<string, StationTime> */
    public function all(): array
    {
        return $this->times;
    }
}
