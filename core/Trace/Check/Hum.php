<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * The mains in the signal: a line at 50 or 60 a second that stands out of what lies beside it. Found in the vertical
 * force while the golfer stands, where a swing holds nothing as fast (Goertzel 1958).
 */
final readonly class Hum implements Check
{
    private const MAINS_HZ = [50.0, 60.0];

    /** Amplitude that matters, %BW, and by how much the line stands out of its neighbours. */
    private const LEAST = 0.4;

    private const OVER = 5.0;

    private const BESIDE_HZ = 14.0;

    /** What smoothing leaves of it: for every %BW a measure's ± grows by this part of itself. */
    private const WIDENS = 0.5;

    public function of(Trace $trace): array
    {
        $weight = $trace->bodyWeightN();
        $names = match ($trace->device) {
            DeviceClass::Mat => [],
            DeviceClass::Plate => ['fz_n'],
            DeviceClass::DualPlate => ['lead_fz_n', 'trail_fz_n'],
        };
        $still = $names === [] ? null : Standing::of($trace);
        if ($weight === null || $still === null || $trace->rateHz < 160.0) {
            return [];
        }
        $out = [];
        foreach (self::MAINS_HZ as $hz) {
            $most = 0.0;
            foreach ($names as $name) {
                $values = $still->samples($trace->channels[$name]);
                $mean = array_sum($values) / max(1, count($values));
                $values = array_map(static fn (float $v): float => $v - $mean, $values);
                $line = self::amplitude($values, $hz, $trace->rateHz);
                $beside = max(
                    self::amplitude($values, $hz - self::BESIDE_HZ, $trace->rateHz),
                    self::amplitude($values, $hz + self::BESIDE_HZ, $trace->rateHz),
                );
                $part = 100.0 * $line / $weight;
                if ($part > self::LEAST && $line > self::OVER * $beside) {
                    $most = max($most, $part);
                }
            }
            if ($most > 0.0) {
                $out[] = new QualityFinding(
                    'hum',
                    'warning',
                    Remark::of(Flaw::Hum, hz: $hz, percent: $most),
                    QualityFinding::WIDENED,
                    $trace->device === DeviceClass::Plate
                        ? [Signal::Total]
                        : [Signal::Total, Signal::FootForce, Signal::Share],
                    null,
                    1.0 + self::WIDENS * $most,
                );
            }
        }

        return $out;
    }

    /**
     * Of the line at one frequency, under a Hann window.
     *
     * @param  list<float>  $values
     */
    private static function amplitude(array $values, float $hz, float $rate): float
    {
        $n = count($values);
        $turn = 2.0 * M_PI * $hz / $rate;
        $window = 2.0 * M_PI / max(1, $n - 1);
        $re = $im = $all = 0.0;
        foreach ($values as $i => $v) {
            if (is_finite($v)) {
                $w = 0.5 - 0.5 * cos($window * $i);
                $re += $w * $v * cos($turn * $i);
                $im += $w * $v * sin($turn * $i);
                $all += $w;
            }
        }

        return $all > 0.0 ? 2.0 * hypot($re, $im) / $all : 0.0;
    }
}
