<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Signal;
use Core\Trace\Trace;

/** Places of pressure that no foot of this stance can have: another unit, another origin, off the soles. */
final readonly class Places implements Check
{
    /** A shift in per cent that tells units apart, and the part of its due way under which they are others. */
    private const SHIFT = 25.0;

    private const FAR_TOO_SHORT = 0.25;

    /** How far from the feet's own middle the pressure of who stands may lie, mm: x, y. */
    private const ORIGIN_MM = [90.0, 110.0];

    /** How far beyond its sole's edge a foot's pressure may seem to lie, mm, and for what part of the time. */
    private const BEYOND_MM = 40.0;

    private const BEYOND_PART = 0.05;

    /** A foot that carries less has a place that wanders, part of the weight. */
    private const CARRIES = 0.2;

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        if ($trace->stance === null) {
            return [];
        }
        $unit = $this->centimetres($trace);
        $found = $unit !== [] ? $unit : $this->origin($trace);

        return $found !== [] ? $found : $this->soles($trace);
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function centimetres(Trace $trace): array
    {
        $span = ($trace->stance->lead->xMm ?? 0.0) - ($trace->stance->trail->xMm ?? 0.0);
        if ($trace->device === DeviceClass::DualPlate) {
            $way = self::middle($trace, 'lead_copx_mm') - self::middle($trace, 'trail_copx_mm');

            return $way > 1.5 && $way < self::FAR_TOO_SHORT * $span ? [$this->finding(
                $trace,
                'units',
                Remark::of(Flaw::CopInCentimetres, shift_mm: $way),
            )] : [];
        }
        [$low, $high] = self::reach($trace->cop()[0]);
        // A single plate's share is itself made of the place: any swing shifts by half the stance and more.
        $shift = $trace->device === DeviceClass::Plate ? 50.0 : self::shift($trace);
        $way = $shift >= self::SHIFT ? ($high - $low) * 100.0 / $shift : $span;

        return $way > 1.5 && $way < self::FAR_TOO_SHORT * $span ? [$this->finding(
            $trace,
            'units',
            Remark::of(Flaw::CopInCentimetres, shift_mm: $way),
        )] : [];
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function origin(Trace $trace): array
    {
        $still = Standing::of($trace);
        if ($still === null || $trace->stance === null) {
            return [];
        }
        [$x, $y] = $trace->cop();
        [$dx, $dy] = [$still->mean($x->values)[0], $still->mean($y->values)[0]];
        $half = ($trace->stance->lead->xMm - $trace->stance->trail->xMm) / 2.0;
        $middle = ($trace->stance->lead->yMm + $trace->stance->trail->yMm) / 2.0;

        return abs($dx) > $half + self::ORIGIN_MM[0] || abs($dy - $middle) > self::ORIGIN_MM[1] ? [$this->finding(
            $trace,
            'origin',
            Remark::of(
                Flaw::OriginElsewhere,
                x_mm: $dx - self::leansTo($trace, $still, 2.0 * $half),
                y_mm: $dy - $middle,
            ),
        )] : [];
    }

    /**
     * How far from the middle between the feet the pressure lies at rest by the shares, which know no origin, mm; on a
     * single plate they are made of the place, so that nobody knows.
     *
     * @throws CoreException
     */
    private static function leansTo(Trace $trace, Standing $still, float $span): float
    {
        $share = $trace->device === DeviceClass::Plate ? null : $trace->leadShare();

        return $share === null ? 0.0 : ($still->mean($share->values)[0] - 50.0) / 100.0 * $span;
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function soles(Trace $trace): array
    {
        $share = $trace->device === DeviceClass::Plate ? null : $trace->leadShare();
        if ($share === null) {
            return [];
        }
        foreach (Side::cases() as $side) {
            $cop = $trace->footCop($side);
            if ($cop === null || $trace->stance === null) {
                continue;
            }
            $foot = $trace->stance->foot($side);
            [$along, $across] = [
                50.0 + 100.0 * self::BEYOND_MM / $foot->lengthMm,
                50.0 + 100.0 * self::BEYOND_MM / $foot->widthMm,
            ];
            $carries = $beyond = 0;
            foreach ($share->values as $i => $lead) {
                $part = ($side === Side::Lead ? $lead : 100.0 - $lead) / 100.0;
                if ($part > self::CARRIES) {
                    $carries++;
                    $beyond += abs($cop[0]->values[$i]) > $along || abs($cop[1]->values[$i]) > $across ? 1 : 0;
                }
            }
            if ($carries > 0 && $beyond > self::BEYOND_PART * $carries) {
                return [$this->finding($trace, 'outside', Remark::of(
                    Flaw::OutsideSole,
                    foot: $side->value,
                    percent: 100.0 * $beyond / $carries,
                ))];
            }
        }

        return [];
    }

    private function finding(Trace $trace, string $kind, Remark $remark): QualityFinding
    {
        $signals = match ($trace->device) {
            DeviceClass::Mat => [Signal::Cop, Signal::FootCop],
            DeviceClass::Plate => [Signal::Cop, Signal::Share],
            DeviceClass::DualPlate => [Signal::Cop, Signal::FootCop, Signal::Twist],
        };

        return new QualityFinding($kind, 'serious', $remark, QualityFinding::NULLED, $signals);
    }

    /** Where a channel lies as a rule: its middle value. */
    private static function middle(Trace $trace, string $channel): float
    {
        $values = array_filter($trace->channels[$channel], static fn (float $v): bool => is_finite($v));
        sort($values);

        return $values === [] ? NAN : $values[intdiv(count($values), 2)];
    }

    /**
     * How far the share goes in the middle nine tenths of the samples.
     *
     * @throws CoreException
     */
    private static function shift(Trace $trace): float
    {
        $share = $trace->leadShare();
        [$low, $high] = $share === null ? [0.0, 0.0] : self::reach($share);

        return $high - $low;
    }

    /** @return array{float, float} within which nine tenths of the samples lie */
    private static function reach(Series $series): array
    {
        $values = array_filter($series->values, static fn (float $v): bool => is_finite($v));
        sort($values);
        $n = count($values);

        return $n === 0 ? [0.0, 0.0] : [$values[(int) (0.05 * $n)], $values[min($n - 1, (int) (0.95 * $n))]];
    }
}
