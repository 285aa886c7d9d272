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

/**
 * A mat or plate cover that slipped: a burst in COP or twist that nothing else in the trace answers. And a foot
 * that left the plate's edge: a jump in share no golfer can make.
 */
final readonly class Slips implements Check
{
    /** A COP leaps when it moves this far within LEAP_S without the share asking for it, mm. */
    private const LEAP_MM = 55.0;

    private const LEAP_S = 0.03;

    /** A single plate's own shift never goes so far so fast, mm and s. */
    private const SUDDEN_MM = 45.0;

    private const SUDDEN_S = 0.008;

    /** A step that is still there after the leap has passed, mm. */
    private const STAYS_MM = 30.0;

    /** Before and after a leap, to see what is left of it, s. */
    private const LEFT_S = 0.06;

    /** N·m off its own course over TWIST_S to either side: a body of up to 80 kg turns and stops no faster. */
    private const TWIST_NM = 12.0;

    private const TWIST_S = 0.02;

    /** Points of share within SHARE_S; the fastest shifts reach about six. */
    private const SHARE_POINTS = 15.0;

    private const SHARE_S = 0.012;

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        $off = $this->offThePlate($trace);
        // Where a foot was off, the net centre of pressure seems to leap only because the share did.
        $slipped = array_filter(
            $this->slipped($trace),
            static fn (QualityFinding $f): bool => $off === [] ||
                $f->span === null ||
                ! $off[0]->covers($f->span[0], $f->span[1]),
        );

        return [...array_values($slipped), ...$off];
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function slipped(Trace $trace): array
    {
        $out = [];
        $share = $trace->device === DeviceClass::Plate ? null : $trace->leadShare();
        $names =
            $trace->device === DeviceClass::DualPlate
                ? ['lead_copx_mm', 'lead_copy_mm', 'trail_copx_mm', 'trail_copy_mm']
                : ['copx_mm', 'copy_mm'];
        $span = $trace->stance === null ? 500.0 : $trace->stance->lead->xMm - $trace->stance->trail->xMm;
        foreach ($names as $name) {
            $values = $trace->channels[$name];
            if ($share !== null && $name === 'copx_mm') {
                foreach ($share->values as $i => $s) {
                    $values[$i] -= ($s - 50.0) / 100.0 * $span;
                }
            }
            // A foot that carries little has a COP that wanders; that is no slip.
            $side = Side::ofName($name);
            $load = $side === null ? null : $trace->footForce($side);
            foreach ($load->values ?? [] as $i => $f) {
                if ($f < 15.0) {
                    $values[$i] = NAN;
                }
            }
            // A single plate's COP along the target line is the shift itself, which a surge can carry by thirty points.
            $limit =
                $trace->device === DeviceClass::Plate && $name === 'copx_mm'
                    ? max(2.0 * self::LEAP_MM, 0.32 * $span)
                    : self::LEAP_MM;
            $rest = new Series($trace->rateHz, array_values($values), $trace->t0);
            $burst = self::leap($rest, self::LEAP_S, $limit);
            if ($burst === null && $trace->device === DeviceClass::Plate) {
                $burst = self::leap($rest, self::SUDDEN_S, self::SUDDEN_MM);
            }
            if ($burst !== null) {
                $step = self::step($rest, $burst);
                $stays = abs($step) > self::STAYS_MM;
                $out[] = new QualityFinding(
                    'slipped',
                    'serious',
                    $stays
                        ? Remark::of(Flaw::CopStays, channel: $name, at_s: $burst[0], step_mm: $step)
                        : Remark::of(Flaw::CopLeaps, channel: $name, at_s: $burst[0]),
                    QualityFinding::NULLED,
                    // What slips on a mat are the feet.
                    $trace->device === DeviceClass::Mat
                        ? [Signal::Cop, Signal::FootCop]
                        : Signal::ofChannel($name, $trace->device),
                    // Where it stays, nothing that lies behind the step is to be had, nor what is made across it.
                    [$burst[0] - 0.02, $stays ? $rest->end() : $burst[1] + 0.02],
                );
            }
        }
        foreach (
            $trace->device === DeviceClass::DualPlate
                ? ['lead_mz_nm', 'trail_mz_nm']
                : ($trace->device === DeviceClass::Plate
                    ? ['mz_nm']
                    : []) as $name
        ) {
            $raw = new Series($trace->rateHz, $trace->channels[$name], $trace->t0);
            $calm = $raw->smoothed(self::TWIST_S);
            $rest = array_map(
                static fn (float $a, float $b): float => $a - $b,
                $raw->smoothed(0.006)->values,
                $calm->values,
            );
            $over = self::spanAbove($rest, self::TWIST_NM * max(1.0, ($trace->massKg ?? 80.0) / 80.0), $trace);
            if ($over !== null) {
                $out[] = new QualityFinding(
                    'slipped', 'serious', Remark::of(Flaw::TwistBursts, channel: $name, at_s: $over[0]),
                    QualityFinding::NULLED, [Signal::Twist], [$over[0] - 0.03, $over[1] + 0.03],
                );
            }
        }

        return $out;
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private function offThePlate(Trace $trace): array
    {
        $share = $trace->leadShare();
        if ($share === null || $trace->device === DeviceClass::Plate) {
            return [];
        }
        $jump = self::leap(
            $share,
            max(self::SHARE_S, 1.01 / $trace->rateHz),
            max(self::SHARE_POINTS, 1300.0 / $trace->rateHz),
        );
        if ($jump === null) {
            return [];
        }

        // From the first jump to the last: in between, one foot stood where the device does not see it.
        return [
            new QualityFinding(
                'foot-off',
                'serious',
                Remark::of(Flaw::FootOff, at_s: $jump[0]),
                QualityFinding::NULLED,
                $trace->device === DeviceClass::Mat
                    ? [Signal::Share, Signal::Cop, Signal::FootCop]
                    : [
                        Signal::Share,
                        Signal::Total,
                        Signal::FootForce,
                        Signal::Horizontal,
                        Signal::Cop,
                        Signal::FootCop,
                        Signal::Twist,
                    ],
                [$jump[0], $jump[1]],
            ),
        ];
    }

    /**
     * How much of a leap is left once it has passed: places shortly after it against those shortly before, without the
     * way that they were going anyhow.
     *
     * @param  array{float, float}  $leap
     */
    private static function step(Series $series, array $leap): float
    {
        $half = self::LEFT_S / 2.0;
        $of = [
            $series->mean($leap[0] - 2.0 * $half, $leap[0] - $half),
            $series->mean($leap[0] - $half, $leap[0]),
            $series->mean($leap[1], $leap[1] + $half),
            $series->mean($leap[1] + $half, $leap[1] + 2.0 * $half),
        ];
        if (in_array(null, $of, true)) {
            return 0.0;
        }
        $slope = ($of[1] - $of[0] + $of[3] - $of[2]) / (2.0 * $half);

        return $of[2] - $of[1] - $slope * ($leap[1] - $leap[0] + $half);
    }

    /** @return array{float, float}|null first and last time of a change of more than $limit within $seconds */
    private static function leap(Series $series, float $seconds, float $limit): ?array
    {
        $k = max(1, (int) floor($seconds * $series->rateHz + 1e-6));
        $v = $series->values;
        $n = count($v);
        $first = $last = null;
        for ($i = 0; $i + $k < $n; $i++) {
            $d = abs($v[$i + $k] - $v[$i]);
            if ($d > $limit) {
                $first ??= $i;
                $last = $i + $k;
            }
        }

        return $first === null || $last === null ? null : [$series->time($first), $series->time($last)];
    }

    /**
     * @param  array<int, float>  $values
     * @return array{float, float}|null
     */
    private static function spanAbove(array $values, float $limit, Trace $trace): ?array
    {
        $over = array_keys(array_filter($values, static fn (float $v): bool => abs($v) > $limit));

        return $over === []
            ? null
            : [$trace->t0 + min($over) / $trace->rateHz, $trace->t0 + max($over) / $trace->rateHz];
    }
}
