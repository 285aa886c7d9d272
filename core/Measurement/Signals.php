<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;
use Core\Trace\Noise;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Trace;

/** The signals of one swing's trace, each made once when first asked for, with the reason where there is none. */
final class Signals
{
    /** The first so many seconds are taken for standing. */
    private const AT_REST = 0.3;

    /** The least part of a sample's noise that is in any figure of a course. */
    private const LEAST = 0.15;

    private const LEAST_RATIO = 0.005;

    /** @var array<string, SmoothSignal|null> */
    private array $made = [];

    public readonly Jitter $jitter;

    /** @param  bool  $replays  false for values without the ± of what is read off a curve's course */
    public function __construct(public readonly Evidence $evidence, bool $replays = true)
    {
        $this->jitter = new Jitter($evidence->stations, $replays);
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
            static fn (DeviceClass $d, ConstantErrors $off): array => [$d->shareNoise(), $off->sharePoints],
            $this->device() === DeviceClass::Plate,
            wander: 1.0,
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
            $this->net(...),
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
            // What one plate takes of the other's load counts as well, of some one and a half body weights.
            static fn (ConstantErrors $off): float => hypot($off->forcePercent, 1.4 * $off->sharePoints),
            1.4,
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
            static fn (ConstantErrors $off): float => $off->forcePercent,
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
            $this->net(...),
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
        $apart = ($this->evidence->stance ?? $this->trace()?->stance)?->widthMm() ?? 450.0;

        return $mass === null
            ? null
            : $this->of(
                'twist',
                static fn (Trace $t): ?Series => $t->netTwist(),
                static fn (DeviceClass $d, ConstantErrors $off): array => [
                    ($d->momentNoise() / $mass) * ($d === DeviceClass::DualPlate ? 2.0 : 1.0),
                    ($d === DeviceClass::DualPlate ? M_SQRT2 * $off->twist($mass, $apart) : $off->momentNm) / $mass,
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
        $stance = $this->evidence->stance ?? $this->trace()?->stance;
        // Of two plates it is made from their forces: what one takes of the other's moves it between the feet.
        $far = static fn (DeviceClass $d, ConstantErrors $off): float => $d !== DeviceClass::DualPlate
            || $axis !== Axis::X
            ? $off->copMm
            : hypot($off->copMm / M_SQRT2, $off->sharePoints / 100.0 * ($stance?->widthMm() ?? 450.0));

        return $this->of(
            "cop|{$axis->letter()}",
            static fn (Trace $t): Series => $t->cop()[$axis === Axis::X ? 0 : 1],
            static fn (DeviceClass $d, ConstantErrors $off): array => [$d->copNoise(), $far($d, $off)],
            wander: $axis === Axis::X ? ($stance?->widthMm() ?? 450.0) / 100.0 : 0.0,
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
            static fn (DeviceClass $d, ConstantErrors $off): array => [$per * $d->copNoise(), $per * $off->copMm],
            times: static fn (Trace $t): ?Series => self::lighter($t, $side),
        );
    }

    /**
     * A coordinate of a body point, mm, from the best view that sees it; where a point sits on the body is in no
     * difference within a swing and left out.
     *
     * @throws CoreException
     */
    public function point(string $name, Axis $axis): ?SmoothSignal
    {
        $tracked = $this->evidence->views->coordinate($name, $axis);

        return $tracked === null ? null : $this->made["$name|$axis->value"] ??= new SmoothSignal(
            $tracked->series,
            $tracked->sensor,
            0.0,
            Views::SMOOTHING,
            Views::SMOOTHING,
            $this->jitter,
            key: "$name|$axis->value",
        );
    }

    /**
     * What is read off a signal's course, or off its slope's, between stations; null where one of them is missing, or
     * the signal, or the figure.
     *
     * @param  list<Station>  $needed  the first and the last bound what it is made from
     * @param  callable(Series, Moments): ?float  $figure  of a curve and the stations' times
     *
     * @throws CoreException
     */
    public function read(
        ?SmoothSignal $signal,
        string $unit,
        array $needed,
        callable $figure,
        bool $slope = false,
    ): ?Measured {
        $codes = array_map(static fn (Station $s): string => $s->value, $needed);
        $told = $this->jitter->told;
        if ($signal === null || ! $told->has(...$codes)) {
            return null;
        }
        $from = $unit === 'fraction' ? $signal->calmer() : $signal;
        $read = $slope ? $from->readSlope($figure) : $from->read($figure);
        if ($unit === 'ms' && ! $slope) {
            // A moment that a wider smoothing moves has been moved by this one, too.
            $wide = $figure($from->calmer()->series, $told);
            $read = $read?->besides($wide === null ? 0.0 : $wide - ($figure($from->series, $told) ?? $wide));
        }

        return $read === null
            ? null
            : Measured::value(
                $unit,
                $read->value,
                hypot($read->uncertainty, match ($unit) {
                    'ms' => 1000.0 * $signal->sampling,
                    '%', '%BW' => self::LEAST * $signal->noise,
                    'ratio' => self::LEAST_RATIO,
                    default => 0.0,
                }),
                $codes,
                $signal->derived,
            )
                ->within($told->at($codes[0]), $told->at($codes[count($codes) - 1]));
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
     * @param  callable(ConstantErrors): float  $offset constant error, %BW
     *
     * @throws CoreException
     */
    private function force(
        string $key,
        callable $series,
        callable $newtons,
        callable $offset,
        float $wander = 0.0,
    ): ?SmoothSignal {
        $weight = $this->trace()?->bodyWeightN();

        return $weight === null
            ? null
            : $this->of($key, $series, static fn (DeviceClass $d, ConstantErrors $off): array => [
                (100.0 * $newtons($d)) / $weight,
                $offset($off),
            ], wander: $wander);
    }

    /**
     * A plate's centre of pressure is a moment over a force: the less a foot carries, the more it trembles, beside how
     * it does at rest. A mat sees places themselves.
     *
     * @throws CoreException
     */
    private static function lighter(Trace $trace, Side $side): ?Series
    {
        if ($trace->device !== DeviceClass::DualPlate) {
            return null;
        }
        $force = $trace->series($side->name('fz_n'))?->smoothed(0.02);
        $rest = $force?->mean($force->t0, $force->t0 + self::AT_REST);

        return $rest === null
            ? null
            : $force?->map(static fn (float $f): float => min(20.0, max(0.2, $rest / max(20.0, $f))));
    }

    /** Constant error of the net of all plates, %BW: two are off each by itself. */
    private function net(ConstantErrors $off): float
    {
        return $off->forcePercent * ($this->device() === DeviceClass::DualPlate ? M_SQRT2 : 1.0);
    }

    /**
     * @param  callable(Trace): ?Series  $series
     * @param  callable(DeviceClass, ConstantErrors): array{float, float}  $errors noise of a sample, constant error
     * @param  (callable(Trace): ?Series)|null  $times  how many times noisier than at rest
     * @param  float  $wander  how much a point of share is, where its zero may wander
     *
     * @throws CoreException
     */
    private function of(
        string $key,
        callable $series,
        callable $errors,
        bool $derived = false,
        ?callable $times = null,
        float $wander = 0.0,
    ): ?SmoothSignal {
        if (array_key_exists($key, $this->made)) {
            return $this->made[$key];
        }
        $trace = $this->trace();
        $raw = $trace === null ? null : $series($trace);
        if ($trace === null || $raw === null) {
            return $this->made[$key] = null;
        }
        [$sd, $offset] = $errors($trace->device, $trace->constantErrors());
        $sensor = Noise::of($raw, $trace->device->smoothing(), $sd, $this->jitter->begins());

        return $this->made[$key] = new SmoothSignal(
            $raw,
            $sensor,
            $offset,
            $trace->device->smoothing(),
            $trace->device->slopeSmoothing(),
            $this->jitter,
            $derived,
            $key,
            $times === null ? null : $times($trace),
            $wander > 0.0 ? Wanders::of($raw, $sensor, $trace->device, $this->jitter, $wander) : [],
        );
    }
}
