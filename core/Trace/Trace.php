<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/**
 * A pressure or force recording: evenly sampled channels of one device class, in the stance's frame.
 * Forces are what the ground does to the golfer, in newtons; COP in mm; Mz positive when it opens the body.
 */
final readonly class Trace
{
    private const GRAVITY = 9.80665;

    /** Below this share of body weight (or of the mat's signal) a share has no meaning. */
    private const LEAST_TOTAL = 0.05;

    /**
     * @param  array<string, list<float>>  $channels  by name, all of one length, NAN = missing
     */
    public function __construct(
        public DeviceClass $device,
        public float $rateHz,
        public array $channels,
        public ?Stance $stance = null,
        public ?float $massKg = null,
        public float $t0 = 0.0,
    ) {
        $missing = array_diff($device->channels(), array_keys($channels));
        if ($missing !== []) {
            throw new CoreException(sprintf('A %s recording lacks %s.', $device->label(), implode(', ', $missing)));
        }
        $lengths = array_unique(array_map(count(...), array_values($channels)));
        if (count($lengths) !== 1 || $lengths[0] < 2) {
            throw new CoreException('All channels need the same number of samples, at least two.');
        }
    }

    public function samples(): int
    {
        return count($this->channels[array_key_first($this->channels) ?? ''] ?? []);
    }

    public function duration(): float
    {
        return ($this->samples() - 1) / $this->rateHz;
    }

    public function series(string $channel): ?Series
    {
        return isset($this->channels[$channel]) ? new Series($this->rateHz, $this->channels[$channel], $this->t0) : null;
    }

    /**
     * Lead share of the vertical load in per cent at every sample. For a single plate it is derived from
     * where the net COP lies between the foot centres, and needs the stance; null without it.
     */
    public function leadShare(): ?Series
    {
        $values = [];
        if ($this->device === DeviceClass::Plate) {
            if ($this->stance === null) {
                return null;
            }
            $x0 = $this->stance->trail->xMm;
            $span = $this->stance->lead->xMm - $x0;
            $least = self::LEAST_TOTAL * ($this->bodyWeightN() ?? 700.0);
            foreach ($this->channels['copx_mm'] as $i => $x) {
                $values[] = $this->channels['fz_n'][$i] > $least ? max(0.0, min(100.0, 100.0 * ($x - $x0) / $span)) : NAN;
            }

            return new Series($this->rateHz, $values, $this->t0);
        }
        [$lead, $trail, $least] = $this->device === DeviceClass::Mat
            ? [$this->channels['lead_pct'], $this->channels['trail_pct'], 100.0 * self::LEAST_TOTAL]
            : [$this->channels['lead_fz_n'], $this->channels['trail_fz_n'], self::LEAST_TOTAL * ($this->bodyWeightN() ?? 700.0)];
        foreach ($lead as $i => $f) {
            $sum = $f + $trail[$i];
            $values[] = $sum > $least ? 100.0 * $f / $sum : NAN;
        }

        return new Series($this->rateHz, $values, $this->t0);
    }

    /** Total vertical force in per cent of body weight; null for a mat or when the mass is unknown. */
    public function totalForce(): ?Series
    {
        $weight = $this->bodyWeightN();
        if (! $this->device->measuresForce() || $weight === null) {
            return null;
        }
        $values = [];
        $lead = $this->channels['lead_fz_n'] ?? $this->channels['fz_n'] ?? [];
        $trail = $this->channels['trail_fz_n'] ?? null;
        foreach ($lead as $i => $f) {
            $values[] = 100.0 * ($f + ($trail[$i] ?? 0.0)) / $weight;
        }

        return new Series($this->rateHz, $values, $this->t0);
    }

    /**
     * Net centre of pressure.
     *
     * @return array{Series, Series} x and y in mm
     */
    public function cop(): array
    {
        if ($this->device !== DeviceClass::DualPlate) {
            return [
                new Series($this->rateHz, $this->channels['copx_mm'], $this->t0),
                new Series($this->rateHz, $this->channels['copy_mm'], $this->t0),
            ];
        }
        $out = [[], []];
        foreach ($this->channels['lead_fz_n'] as $i => $lead) {
            $trail = $this->channels['trail_fz_n'][$i];
            foreach (['copx_mm', 'copy_mm'] as $axis => $name) {
                $a = $this->channels['lead_'.$name][$i];
                $b = $this->channels['trail_'.$name][$i];
                $out[$axis][] = match (true) {
                    $lead + $trail < 20.0 => NAN,
                    is_nan($a) => $b,
                    is_nan($b) => $a,
                    default => ($lead * $a + $trail * $b) / ($lead + $trail),
                };
            }
        }

        return [new Series($this->rateHz, $out[0], $this->t0), new Series($this->rateHz, $out[1], $this->t0)];
    }

    public function bodyWeightN(): ?float
    {
        return $this->massKg === null ? null : $this->massKg * self::GRAVITY;
    }
}
