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
     * @param  float|null  $clockJitterS  how far a sample's time strayed from the even grid, where that was seen
     * @param  ConstantErrors|null  $stated  of the very device, where somebody has checked it
     *
     * @throws CoreException
     */
    public function __construct(
        public DeviceClass $device,
        public float $rateHz,
        public array $channels,
        public ?Stance $stance = null,
        public ?float $massKg = null,
        public float $t0 = 0.0,
        public ?float $clockJitterS = null,
        public ?ConstantErrors $stated = null,
    ) {
        $missing = array_diff($device->channels(), array_keys($channels));
        if ($missing !== []) {
            throw TraceException::because('lacks', device: $device->value, missing: implode(', ', $missing));
        }
        $lengths = array_unique(array_map(count(...), array_values($channels)));
        if (count($lengths) !== 1 || $lengths[0] < 2) {
            throw TraceException::because('samples');
        }
        Limits::within($rateHz, ...[...Limits::RATE_HZ, 'sampling-rate']);
        Limits::within($t0, -Limits::TIME_S, Limits::TIME_S, 'first-sample');
        if ($massKg !== null) {
            Limits::within($massKg, ...[...Limits::MASS_KG, 'mass']);
        }
        if ($clockJitterS !== null) {
            Limits::within($clockJitterS, 0.0, Limits::TIME_S, 'jitter');
        }
        foreach ($channels as $name => $values) {
            Limits::check($values, Limits::ofChannel($name), 'channel', (string) $name);
        }
    }

    /**
     * The part between two times, so that a long recording costs no more than the swing in it.
     *
     * @throws CoreException
     */
    public function between(float $from, float $to): self
    {
        $a = max(0, (int) floor(($from - $this->t0) * $this->rateHz));
        $b = min($this->samples() - 1, (int) ceil(($to - $this->t0) * $this->rateHz));
        if ($b - $a < 1 || ($a === 0 && $b === $this->samples() - 1)) {
            return $this;
        }

        return new self(
            $this->device,
            $this->rateHz,
            array_map(static fn (array $v): array => array_slice($v, $a, $b - $a + 1), $this->channels),
            $this->stance,
            $this->massKg,
            $this->t0 + $a / $this->rateHz,
            $this->clockJitterS,
            $this->stated,
        );
    }

    public function constantErrors(): ConstantErrors
    {
        return $this->stated ?? ConstantErrors::ofClass($this->device);
    }

    /**
     * The same from a device of which somebody has checked the constant errors.
     *
     * @throws CoreException
     */
    public function checked(?ConstantErrors $stated): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), 'stated' => $stated]);
    }

    public function samples(): int
    {
        return count($this->channels[array_key_first($this->channels) ?? ''] ?? []);
    }

    public function duration(): float
    {
        return ($this->samples() - 1) / $this->rateHz;
    }

    /** @throws CoreException */
    public function series(string $channel): ?Series
    {
        return isset($this->channels[$channel])
            ? new Series($this->rateHz, $this->channels[$channel], $this->t0)
            : null;
    }

    /**
     * Lead share of the vertical load in per cent at every sample. For a single plate it is derived from
     * where the net COP lies between the foot centres, and needs the stance; null without it.
     *
     * @throws CoreException
     */
    public function leadShare(): ?Series
    {
        return Derived::of($this, 'share', $this->madeShare(...));
    }

    /**
     * How fast the share goes, of its course over 20 ms to either side, points a second; null where there is no share.
     *
     * @throws CoreException
     */
    public function shareSlope(): ?Series
    {
        return Derived::of(
            $this,
            'share-slope',
            fn (): ?Series => $this->leadShare()?->smoothed(0.02)->derivative(0.03),
        );
    }

    /** @throws CoreException */
    private function madeShare(): ?Series
    {
        if ($this->device === DeviceClass::Plate) {
            return $this->stance === null ? null : $this->derivedShare($this->stance);
        }
        $values = [];
        [$lead, $trail, $least] =
            $this->device === DeviceClass::Mat
                ? [$this->channels['lead_pct'], $this->channels['trail_pct'], 100.0 * self::LEAST_TOTAL]
                : [
                    $this->channels['lead_fz_n'],
                    $this->channels['trail_fz_n'],
                    self::LEAST_TOTAL * ($this->bodyWeightN() ?? 700.0),
                ];
        foreach ($lead as $i => $f) {
            $sum = $f + $trail[$i];
            $values[] = $sum > $least ? max(0.0, min(100.0, 100.0 * $f / $sum)) : NAN;
        }

        return new Series($this->rateHz, $values, $this->t0);
    }

    /**
     * Lead share by where one plate's centre of pressure lies between the feet's. Each is taken to press as far before
     * or behind its middle as both do together, along its own heading: a foot that points out presses farther out with
     * its toes than with its heel.
     *
     * @throws CoreException
     */
    private function derivedShare(Stance $stance): Series
    {
        $least = self::LEAST_TOTAL * ($this->bodyWeightN() ?? 700.0);
        [$lead, $trail] = [$stance->lead, $stance->trail];
        [$leans, $trails] = [tan(deg2rad($lead->heading())), tan(deg2rad($trail->heading()))];
        $values = [];
        foreach ($this->channels['copx_mm'] as $i => $x) {
            $force = $this->channels['fz_n'][$i];
            if (is_nan($force) || $force <= $least) {
                $values[] = NAN;

                continue;
            }
            $y = $this->channels['copy_mm'][$i];
            $part = ($x - $trail->xMm) / ($lead->xMm - $trail->xMm);
            for ($round = 0; $round < 2; $round++) {
                $along = $y - $part * $lead->yMm - (1.0 - $part) * $trail->yMm;
                $along = is_nan($along) ? 0.0 : $along;
                $from = $trail->xMm + $along * $trails;
                $part = ($x - $from) / ($lead->xMm + $along * $leans - $from);
            }
            $values[] = max(0.0, min(100.0, 100.0 * $part));
        }

        return new Series($this->rateHz, $values, $this->t0);
    }

    /**
     * Total vertical force in per cent of body weight; null for a mat or when the mass is unknown.
     *
     * @throws CoreException
     */
    public function totalForce(): ?Series
    {
        return match ($this->device) {
            DeviceClass::Mat => null,
            DeviceClass::Plate => $this->perWeight(['fz_n']),
            DeviceClass::DualPlate => $this->perWeight(['lead_fz_n', 'trail_fz_n']),
        };
    }

    /**
     * Net centre of pressure.
     *
     * @return array{Series, Series} x and y in mm
     *
     * @throws CoreException
     */
    public function cop(): array
    {
        return Derived::of($this, 'cop', $this->madeCop(...));
    }

    /**
     * @return array{Series, Series}
     *
     * @throws CoreException
     */
    private function madeCop(): array
    {
        if ($this->device !== DeviceClass::DualPlate) {
            return [
                new Series($this->rateHz, $this->channels['copx_mm'], $this->t0),
                new Series($this->rateHz, $this->channels['copy_mm'], $this->t0),
            ];
        }
        $out = [];
        $trailForce = $this->channels['trail_fz_n'];
        foreach (['copx_mm', 'copy_mm'] as $axis => $name) {
            [$of, $ot] = [$this->channels['lead_'.$name], $this->channels['trail_'.$name]];
            $net = [];
            foreach ($this->channels['lead_fz_n'] as $i => $lead) {
                $trail = $trailForce[$i];
                $a = $of[$i];
                $b = $ot[$i];
                $net[] = match (true) {
                    $lead + $trail < 20.0 => NAN,
                    is_nan($a) => $b,
                    is_nan($b) => $a,
                    default => ($lead * $a + $trail * $b) / ($lead + $trail),
                };
            }
            $out[$axis] = $net;
        }

        return [new Series($this->rateHz, $out[0], $this->t0), new Series($this->rateHz, $out[1], $this->t0)];
    }

    /**
     * Vertical force under one foot, %BW; null unless each foot has a plate of its own and the mass is known.
     *
     * @throws CoreException
     */
    public function footForce(Side $side): ?Series
    {
        return $this->device === DeviceClass::DualPlate ? $this->perWeight([$side->name('fz_n')]) : null;
    }

    /**
     * Horizontal force of the ground on one foot along x or y, %BW; null unless each foot has a plate of its own.
     *
     * @throws CoreException
     */
    public function footPush(Side $side, Axis $axis): ?Series
    {
        return $this->device === DeviceClass::DualPlate
            ? $this->perWeight([$side->name("f{$axis->letter()}_n")])
            : null;
    }

    /**
     * Net horizontal force of the ground on the golfer along x or y, %BW; null for a mat.
     *
     * @throws CoreException
     */
    public function netPush(Axis $axis): ?Series
    {
        return match ($this->device) {
            DeviceClass::Mat => null,
            DeviceClass::Plate => $this->perWeight(["f{$axis->letter()}_n"]),
            DeviceClass::DualPlate => $this->perWeight([
                Side::Lead->name("f{$axis->letter()}_n"),
                Side::Trail->name("f{$axis->letter()}_n"),
            ]),
        };
    }

    /**
     * Free moment about the net COP in N·m per kg, positive when it opens the body; null for a mat or without
     * the mass. Two plates: ΣMz − Σ(Δx·Fy − Δy·Fx), Δ from the net COP to each plate's own.
     *
     * @throws CoreException
     */
    public function netTwist(): ?Series
    {
        return Derived::of($this, 'twist', $this->madeTwist(...));
    }

    /** @throws CoreException */
    private function madeTwist(): ?Series
    {
        if ($this->massKg === null || ! $this->device->measuresForce()) {
            return null;
        }
        if ($this->device === DeviceClass::Plate) {
            return (new Series($this->rateHz, $this->channels['mz_nm'], $this->t0))->map(
                fn (float $v): float => $v / $this->massKg,
            );
        }
        [$x, $y] = $this->cop();
        $values = array_fill(0, $this->samples(), 0.0);
        foreach (Side::cases() as $side) {
            [$mz, $px, $py] = [
                $this->channels[$side->name('mz_nm')],
                $this->channels[$side->name('copx_mm')],
                $this->channels[$side->name('copy_mm')],
            ];
            [$fx, $fy] = [$this->channels[$side->name('fx_n')], $this->channels[$side->name('fy_n')]];
            foreach ($mz as $i => $moment) {
                $dx = $px[$i] - $x->values[$i];
                $dy = $py[$i] - $y->values[$i];
                // A foot without a COP carries next to nothing; its force has no arm worth counting.
                $arm = is_nan($dx + $dy) ? 0.0 : ($dx * $fy[$i] - $dy * $fx[$i]) / 1000.0;
                $values[$i] += ($moment - $arm) / $this->massKg;
            }
        }

        return new Series($this->rateHz, array_values($values), $this->t0);
    }

    /**
     * Where the pressure is within one foot at address: along it in per cent of its length (toes positive, 0 in
     * the middle) and across it in per cent of its width (outer edge positive). Null without a COP of each foot.
     *
     * @return array{Series, Series}|null
     *
     * @throws CoreException
     */
    public function footCop(Side $side): ?array
    {
        if (
            $this->stance === null ||
            ! isset($this->channels[$side->name('copx_mm')], $this->channels[$side->name('copy_mm')])
        ) {
            return null;
        }
        $foot = $this->stance->foot($side);
        $outward = $side->outward();
        [$sin, $cos] = [sin(deg2rad($foot->heading())), cos(deg2rad($foot->heading()))];
        $along = $across = [];
        $y = $this->channels[$side->name('copy_mm')];
        foreach ($this->channels[$side->name('copx_mm')] as $i => $x) {
            $dx = $x - $foot->xMm;
            $dy = $y[$i] - $foot->yMm;
            $along[] = 100.0 * ($dx * $sin + $dy * $cos) / $foot->lengthMm;
            $across[] = 100.0 * $outward * ($dx * $cos - $dy * $sin) / $foot->widthMm;
        }

        return [new Series($this->rateHz, $along, $this->t0), new Series($this->rateHz, $across, $this->t0)];
    }

    /**
     * @param  list<string>  $names channels in newtons, summed
     *
     * @throws CoreException
     */
    private function perWeight(array $names): ?Series
    {
        $weight = $this->bodyWeightN();
        if ($weight === null) {
            return null;
        }
        $values = [];
        $second = isset($names[1]) ? $this->channels[$names[1]] : null;
        foreach ($this->channels[$names[0]] as $i => $v) {
            $values[] = 100.0 * ($second === null ? $v : $v + $second[$i]) / $weight;
        }

        return new Series($this->rateHz, $values, $this->t0);
    }

    public function bodyWeightN(): ?float
    {
        return $this->massKg === null ? null : $this->massKg * self::GRAVITY;
    }
}
