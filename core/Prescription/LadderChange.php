<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\Codebook\Rung;
use Core\CoreException;
use Core\Measurement\Difference;
use Core\Measurement\Measured;
use Core\Measurement\Spread;
use Core\Number\Distribution;

/**
 * Where on the ladder a change breaks: each rung's swings against the series of before. A rung of one swing or two is
 * held against the spread of before, a longer one against both.
 */
final readonly class LadderChange
{
    /** @param  array<string, Seen>  $rungs  from the first to the last that was swung */
    private function __construct(public array $rungs)
    {
    }

    /**
     * @param  list<Measured>  $before
     * @param  array<string, list<Measured>>  $after  by rung, warm
     *
     * @throws CoreException
     */
    public static function of(array $before, array $after, Wanted $wanted): self
    {
        $out = [];
        foreach (Rung::cases() as $rung) {
            if (($after[$rung->value] ?? []) !== []) {
                $out[$rung->value] = self::onOne($before, $after[$rung->value], $wanted);
            }
        }

        return new self($out);
    }

    /** The first rung that is no better, after one that is; null where none is, or all are. */
    public function breaksAt(): ?Rung
    {
        $held = false;
        foreach ($this->rungs as $rung => $seen) {
            if ($held && $seen !== Seen::Better) {
                return Rung::from($rung);
            }
            $held = $held || $seen === Seen::Better;
        }

        return null;
    }

    /** What is seen at full speed with a ball, or on the course; null where neither was swung. */
    public function atFullSpeed(): ?Seen
    {
        return $this->rungs[Rung::Course->value] ?? $this->rungs[Rung::FullSpeed->value] ?? null;
    }

    /**
     * @param  list<Measured>  $before
     * @param  list<Measured>  $after
     *
     * @throws CoreException
     */
    private static function onOne(array $before, array $after, Wanted $wanted): Seen
    {
        if (count($after) >= SeriesChange::LEAST) {
            return SeriesChange::of($before, $after, $wanted)->seen;
        }
        $value = static fn (Measured $m): ?float => $m->censored === null ? $m->number() : null;
        $was = array_values(array_filter(array_map($value, $before), is_float(...)));
        $is = array_values(array_filter(array_map($value, $after), is_float(...)));
        $spread = Spread::ofValues($was);
        if ($spread === null || $spread->n < SeriesChange::LEAST || $is === [] || ! $wanted->isKnown()) {
            return Seen::CannotBeSaid;
        }
        $mean = array_sum($is) / (float) count($is);
        $part = sqrt(1.0 / (float) $spread->n + 1.0 / (float) count($is));
        $doubt = Difference::ofSwings(
            $spread->mean,
            Distribution::studentQuantile(0.975, (float) ($spread->n - 1)) * $spread->sd * $part,
            $mean,
            (float) $after[0]->uncertainty,
        )->uncertainty;
        $gain = $wanted->goodness($mean) - $wanted->goodness($spread->mean);

        return match (true) {
            $gain > $doubt => Seen::Better,
            -$gain > $doubt => Seen::Worse,
            default => Seen::CannotBeSaid,
        };
    }
}
