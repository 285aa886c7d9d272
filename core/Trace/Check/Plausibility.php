<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;
use Core\Trace\Trace;

/** Feet the wrong way round, units that are not what the column says, a mass that does not fit, a rate too low. */
final readonly class Plausibility implements Check
{
    private const GRAVITY = 9.80665;

    /**
     * Per cent of body weight by which standing force may miss the stated mass; beyond the second it is no mass at all.
     */
    private const MASS_OFF = [1.0, 25.0];

    /** Beyond this it is worth a word, per cent. */
    private const MASS_DOUBTED = 4.0;

    private const LEAST_RATE = 60.0;

    /** No recording of a swing lasts so long, s. */
    private const LONGEST_S = 300.0;

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        return [
            ...$this->swapped($trace),
            ...$this->newtons($trace),
            ...$this->millimetres($trace),
            ...$this->rate($trace),
        ];
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function swapped(Trace $trace): array
    {
        $finding = static fn (Flaw $why): array => [
            new QualityFinding('swapped', 'serious', Remark::of($why), QualityFinding::NULLED, [
                Signal::Share,
                Signal::FootForce,
                Signal::FootCop,
                Signal::Cop,
                Signal::Horizontal,
            ]),
        ];
        if (
            $trace->device !== DeviceClass::Plate &&
            isset($trace->channels['lead_copx_mm'], $trace->channels['trail_copx_mm'])
        ) {
            [$lead, $trail] = [
                self::mean($trace->channels['lead_copx_mm']),
                self::mean($trace->channels['trail_copx_mm']),
            ];
            if ($lead !== null && $trail !== null && $lead < $trail - 50.0) {
                return $finding(Flaw::PlacesExchanged);
            }
        }
        $share = $trace->leadShare();
        if ($share === null) {
            return [];
        }
        if ($trace->device === DeviceClass::Mat) {
            $r = self::correlation($share->values, $trace->channels['copx_mm']);
            if ($r !== null && $r < -0.8) {
                return $finding(Flaw::SharesExchanged);
            }
        }
        // The fastest move of a swing is the shift to the lead side; a fall as fast, ending on the trail side, is that
        // shift mirrored.
        $slope = $trace->shareSlope() ?? $share;
        $up = $slope->highest($trace->t0, $slope->end());
        $down = $slope->lowest($trace->t0, $slope->end());
        $end = $share->mean($slope->end() - 0.4, $slope->end());
        if (
            $up !== null &&
            $down !== null &&
            $end !== null &&
            -$down->value > 110.0 &&
            -$down->value > 1.25 * $up->value &&
            $end < 30.0
        ) {
            return $finding(Flaw::ShiftExchanged);
        }

        return [];
    }

    /** @return list<QualityFinding> */
    private function newtons(Trace $trace): array
    {
        if (! $trace->device->measuresForce()) {
            return [];
        }
        $total =
            $trace->channels['fz_n'] ??
            array_map(
                static fn (float $a, float $b): float => $a + $b,
                $trace->channels['lead_fz_n'],
                $trace->channels['trail_fz_n'],
            );
        $standing = Standing::of($trace)?->mean($total)[0] ?? self::mean($total);
        $forces = [Signal::Total, Signal::FootForce, Signal::Horizontal, Signal::Twist];
        if ($trace->device === DeviceClass::DualPlate) {
            // One of the two may be the one that is off: then the shares are as well.
            $forces[] = Signal::Share;
        }
        if ($standing === null) {
            return [];
        }
        $stated = $trace->massKg;
        $kilograms = $stated === null ? $standing > 25.0 && $standing < 160.0 : abs($standing / $stated - 1.0) < 0.2;
        if ($kilograms) {
            return [
                new QualityFinding(
                    'units',
                    'serious',
                    Remark::of(Flaw::ForceInKilograms, standing: $standing),
                    QualityFinding::NULLED,
                    $forces,
                ),
            ];
        }
        if ($stated === null) {
            return [];
        }
        $percent = 100.0 * $standing / ($stated * self::GRAVITY);
        $off = abs($percent - 100.0);
        if ($off <= self::MASS_OFF[0]) {
            return [];
        }

        return [
            new QualityFinding(
                'mass',
                match (true) {
                    $off > self::MASS_OFF[1] => 'serious',
                    $off > self::MASS_DOUBTED => 'warning',
                    default => 'note',
                },
                Remark::of(Flaw::MassDoesNotFit, standing_percent: $percent),
                $off > self::MASS_OFF[1] ? QualityFinding::NULLED : QualityFinding::WIDENED,
                $forces,
                null,
                1.0 + $off,
                false,
                array_combine(
                    array_map(static fn (Signal $s): string => $s->value, $forces),
                    array_map(static fn (Signal $s): float => 1.0 + self::massWidens($s, $off) * $off, $forces),
                ),
                $off / $percent,
            ),
        ];
    }

    /**
     * By what part of itself a ± grows for every per cent that the standing force is off: the largest forces of a
     * swing are off by most; a share is, where one of two plates is the one that is off.
     */
    private static function massWidens(Signal $signal, float $off): float
    {
        return match ($signal) {
            // A channel that bends is off by more, the farther from rest.
            Signal::Total => 3.6 + 0.2 * $off,
            Signal::FootForce => 2.6,
            Signal::Horizontal => 0.4,
            Signal::Share => 0.95,
            default => 1.0,
        };
    }

    /** @return list<QualityFinding> */
    private function millimetres(Trace $trace): array
    {
        $most = 0.0;
        $signals = [];
        foreach ($trace->channels as $name => $values) {
            if (str_contains($name, 'cop')) {
                foreach ($values as $v) {
                    $most = is_nan($v) ? $most : max($most, abs($v));
                }
                foreach (Signal::ofChannel($name, $trace->device) as $signal) {
                    $signals[$signal->value] = $signal;
                }
            }
        }
        if ($most === 0.0 || $most > 1.5) {
            return [];
        }

        return [
            new QualityFinding(
                'units',
                'serious',
                Remark::of(Flaw::CopInMetres),
                QualityFinding::NULLED,
                array_values($signals),
            ),
        ];
    }

    /** @return list<QualityFinding> */
    private function rate(Trace $trace): array
    {
        if ($trace->rateHz >= self::LEAST_RATE) {
            return [];
        }
        $all = Signal::ofTheGround();
        if ($trace->rateHz <= 20.0 && $trace->duration() > self::LONGEST_S) {
            return [new QualityFinding(
                'units',
                'serious',
                Remark::of(Flaw::TimeInMilliseconds, duration_s: $trace->duration()),
                QualityFinding::NULLED,
                $all,
            )];
        }
        $hopeless = $trace->rateHz < 25.0;

        return [new QualityFinding(
            'rate', $hopeless ? 'serious' : 'warning', Remark::of(Flaw::SlowRate, rate_hz: $trace->rateHz),
            $hopeless ? QualityFinding::NULLED : QualityFinding::WIDENED, $all, null, 1.5, true,
        )];
    }

    /** @param  list<float>  $values */
    private static function mean(array $values): ?float
    {
        $finite = array_filter($values, static fn (float $v): bool => ! is_nan($v));

        return $finite === [] ? null : array_sum($finite) / count($finite);
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function correlation(array $a, array $b): ?float
    {
        $n = 0;
        $sa = $sb = $saa = $sbb = $sab = 0.0;
        foreach ($a as $i => $x) {
            $y = $b[$i];
            if (! is_nan($x) && ! is_nan($y)) {
                $n++;
                $sa += $x;
                $sb += $y;
                $saa += $x * $x;
                $sbb += $y * $y;
                $sab += $x * $y;
            }
        }
        $va = $n < 3 ? 0.0 : $saa / $n - ($sa / $n) ** 2;
        $vb = $n < 3 ? 0.0 : $sbb / $n - ($sb / $n) ** 2;

        return $va < 25.0 || $vb < 25.0 ? null : ($sab / $n - $sa / $n * $sb / $n) / sqrt($va * $vb);
    }
}
