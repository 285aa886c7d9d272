<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * Zeros that are none. Who stands still is pushed by nothing sideways and turned by nothing, so what the plates show
 * together at the stillest moment is theirs; feet may oppose each other at rest, so what one plate shows is its own
 * only while its foot is off it.
 */
final readonly class Zeros implements Check
{
    /** Net sideways force of who stands still, %BW. */
    private const PUSH = 1.5;

    /** Net twist of who stands still, N·m/kg. */
    private const TWIST = 0.02;

    /** Vertical force under which a foot is off its plate, %BW, and for how long. */
    private const OFF = 2.0;

    private const OFF_S = 0.1;

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        $still = $trace->device->measuresForce() && $trace->massKg !== null ? Standing::of($trace) : null;
        if ($still === null) {
            return [];
        }

        return [...$this->push($trace, $still), ...$this->twist($trace, $still), ...$this->feet($trace)];
    }

    /**
     * How far the zero of one plate's push from heel to toe may be off, %BW, half-width: what the plate shows of who
     * stands, beside the device's own constant error – the feet may oppose each other, or it may be the zero. Nothing
     * where the foot was off its plate for a while, for that moment tells.
     *
     * @throws CoreException
     */
    public static function unseen(Trace $trace, Side $side): float
    {
        $push = $trace->footPush($side, Axis::Y);
        $still = $push === null ? null : Standing::of($trace);
        $force = $trace->footForce($side);
        if ($push === null || $still === null || $force === null || self::idle($trace, $force) !== []) {
            return 0.0;
        }

        $known = array_filter($still->samples($push->values), is_finite(...));
        $mean = $known === [] ? 0.0 : array_sum($known) / count($known);

        return sqrt(max(0.0, $mean ** 2 - $trace->constantErrors()->forcePercent ** 2));
    }

    /** @return list<int> the samples at which a foot is off its plate; none where they are too few to tell its zero */
    private static function idle(Trace $trace, Series $force): array
    {
        $idle = array_keys(array_filter($force->values, static fn (float $f): bool => abs($f) < self::OFF));

        return count($idle) < self::OFF_S * $trace->rateHz ? [] : $idle;
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function push(Trace $trace, Standing $still): array
    {
        $means = [];
        $isOff = false;
        foreach ([Axis::X, Axis::Y] as $axis) {
            $net = $trace->netPush($axis);
            if ($net !== null) {
                [$mean, $wander] = $still->mean($net->values);
                $means[$axis->letter()] = $mean;
                $isOff = $isOff || abs($mean) > self::PUSH + $wander;
            }
        }

        return ! $isOff ? [] : [new QualityFinding(
            'zero',
            'serious',
            Remark::of(Flaw::PushAtRest, x_percent: $means['x'] ?? 0.0, y_percent: $means['y'] ?? 0.0),
            QualityFinding::NULLED,
            // With two plates the twist is reckoned from their pushes too.
            $trace->device === DeviceClass::DualPlate ? [Signal::Horizontal, Signal::Twist] : [Signal::Horizontal],
        )];
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function twist(Trace $trace, Standing $still): array
    {
        $twist = $trace->netTwist();
        if ($twist === null) {
            return [];
        }
        [$mean, $wander] = $still->mean($twist->values);

        return abs($mean) > self::TWIST + $wander ? [new QualityFinding(
            'zero',
            'serious',
            Remark::of(Flaw::TwistAtRest, per_kg: $mean),
            QualityFinding::NULLED,
            [Signal::Twist],
        )] : [];
    }

    /**
     * A plate whose foot is off it.
     *
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function feet(Trace $trace): array
    {
        $out = [];
        foreach ($trace->device === DeviceClass::DualPlate ? Side::cases() : [] as $side) {
            $force = $trace->footForce($side);
            $idle = $force === null ? [] : self::idle($trace, $force);
            if ($idle === []) {
                continue;
            }
            foreach ([Axis::X, Axis::Y] as $axis) {
                $push = $trace->footPush($side, $axis);
                $mean = $push === null ? 0.0 : array_sum(array_map(
                    static fn (int $i): float => $push->values[$i],
                    $idle,
                )) / count($idle);
                if (abs($mean) > self::PUSH) {
                    $out[] = new QualityFinding(
                        'zero',
                        'serious',
                        Remark::of(Flaw::PushWithoutFoot, channel: $side->name("f{$axis->letter()}_n"), percent: $mean),
                        QualityFinding::NULLED,
                        [Signal::Horizontal, Signal::Twist],
                    );
                }
            }
        }

        return $out;
    }
}
