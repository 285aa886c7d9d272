<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Trace;

/** The signals of one swing's trace, each made once when first asked for, with the reason where there is none. */
final class Signals
{
    /** @var array<string, SmoothSignal|null> */
    private array $made = [];

    public function __construct(public readonly Evidence $evidence)
    {
    }

    public function trace(): ?Trace
    {
        return $this->evidence->trace;
    }

    public function device(): ?DeviceClass
    {
        return $this->evidence->trace?->device;
    }

    public function time(Station $station): ?StationTime
    {
        return $this->evidence->stations->get($station);
    }

    /** @throws CoreException */
    public function share(): ?SmoothSignal
    {
        return $this->of(
            'share',
            static fn (Trace $t): ?Series => $t->leadShare(),
            static fn (DeviceClass $d): array => [$d->shareNoise(), $d->shareOffset()],
            $this->device() === DeviceClass::Plate,
        );
    }

    /**
     * Total vertical force, %BW.
     *
     * @throws CoreException
     */
    public function total(): ?SmoothSignal
    {
        return $this->force(
            'total',
            static fn (Trace $t): ?Series => $t->totalForce(),
            static fn (DeviceClass $d): float => $d === DeviceClass::DualPlate
                ? M_SQRT2 * $d->forceNoise()
                : $d->forceNoise(),
        );
    }

    /**
     * Vertical force under one foot, %BW.
     *
     * @throws CoreException
     */
    public function footForce(Side $side): ?SmoothSignal
    {
        return $this->force(
            "fz|$side->value",
            static fn (Trace $t): ?Series => $t->footForce($side),
            static fn (DeviceClass $d): float => $d->forceNoise(),
        );
    }

    /**
     * Force of the ground on one foot along y, %BW.
     *
     * @throws CoreException
     */
    public function footPush(Side $side): ?SmoothSignal
    {
        return $this->force(
            "fy|$side->value",
            static fn (Trace $t): ?Series => $t->footPush($side, Axis::Y),
            static fn (DeviceClass $d): float => $d->shearNoise(),
        );
    }

    /**
     * Net force along x, %BW.
     *
     * @throws CoreException
     */
    public function sidePush(): ?SmoothSignal
    {
        return $this->force(
            'fx',
            static fn (Trace $t): ?Series => $t->netPush(Axis::X),
            static fn (DeviceClass $d): float => M_SQRT2 * $d->shearNoise(),
        );
    }

    /**
     * Net free moment, N·m/kg.
     *
     * @throws CoreException
     */
    public function twist(): ?SmoothSignal
    {
        $mass = $this->trace()?->massKg;

        return $mass === null
            ? null
            : $this->of(
                'twist',
                static fn (Trace $t): ?Series => $t->netTwist(),
                static fn (DeviceClass $d): array => [
                    ($d->momentNoise() / $mass) * ($d === DeviceClass::DualPlate ? 2.0 : 1.0),
                    1.0 / $mass,
                ],
            );
    }

    /**
     * Net centre of pressure along x or y, mm.
     *
     * @throws CoreException
     */
    public function cop(Axis $axis): ?SmoothSignal
    {
        return $this->of(
            "cop|{$axis->letter()}",
            static fn (Trace $t): Series => $t->cop()[$axis === Axis::X ? 0 : 1],
            static fn (DeviceClass $d): array => [$d->copNoise(), $d->copOffset()],
        );
    }

    /**
     * Centre of pressure within a foot, % of its length (along) or width (across).
     *
     * @throws CoreException
     */
    public function footCop(Side $side, bool $along): ?SmoothSignal
    {
        $stance = $this->trace()?->stance;
        if ($stance === null) {
            return null;
        }
        $foot = $stance->foot($side);
        $per = 100.0 / ($along ? $foot->lengthMm : $foot->widthMm);

        return $this->of(
            "foot|$side->value|".($along ? 'y' : 'x'),
            static fn (Trace $t): ?Series => $t->footCop($side)[$along ? 0 : 1] ?? null,
            static fn (DeviceClass $d): array => [$per * $d->copNoise(), $per * $d->copOffset()],
        );
    }

    /**
     * Why there is no share, or null where there is one.
     *
     * @throws CoreException
     */
    public function whyNoShare(): ?Remark
    {
        return match (true) {
            $this->trace() === null => Remark::of(Lack::NoTrace),
            $this->share() === null => Remark::of(Lack::StanceForShare),
            default => null,
        };
    }

    /** Why there is no force of each foot or, with $net, no net force; null where there is one. */
    public function whyNoForce(bool $net, Lack $mat = Lack::MatKnowsNoForce): ?Remark
    {
        $trace = $this->trace();

        return match (true) {
            $trace === null => Remark::of(Lack::NoForce),
            $trace->device === DeviceClass::Mat => Remark::of($mat),
            ! $net && $trace->device === DeviceClass::Plate => Remark::of(Lack::NetOnly),
            $trace->massKg === null => Remark::of(Lack::Mass),
            default => null,
        };
    }

    /**
     * The reason where stations are missing or samples are.
     *
     * @param  list<Station>  $needed
     */
    public function whyNot(array $needed): Remark
    {
        $missing = array_map(
            static fn (Station $s): string => $s->value,
            array_filter($needed, fn (Station $s): bool => $this->time($s) === null),
        );

        return $missing === []
            ? Remark::of(Lack::NotCovered)
            : Remark::of(Lack::Stations, stations: array_values($missing));
    }

    /**
     * @param  callable(Trace): ?Series  $series
     * @param  callable(DeviceClass): float  $newtons noise of a sample
     *
     * @throws CoreException
     */
    private function force(string $key, callable $series, callable $newtons): ?SmoothSignal
    {
        $weight = $this->trace()?->bodyWeightN();

        return $weight === null
            ? null
            : $this->of($key, $series, static fn (DeviceClass $d): array => [(100.0 * $newtons($d)) / $weight, 0.5]);
    }

    /**
     * @param  callable(Trace): ?Series  $series
     * @param  callable(DeviceClass): array{float, float}  $errors noise of a sample, constant error
     *
     * @throws CoreException
     */
    private function of(string $key, callable $series, callable $errors, bool $derived = false): ?SmoothSignal
    {
        if (array_key_exists($key, $this->made)) {
            return $this->made[$key];
        }
        $trace = $this->trace();
        $raw = $trace === null ? null : $series($trace);
        if ($trace === null || $raw === null) {
            return $this->made[$key] = null;
        }
        [$sd, $offset] = $errors($trace->device);

        return $this->made[$key] = new SmoothSignal($raw, $sd, $offset, $trace->device, $derived);
    }
}
