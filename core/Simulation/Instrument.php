<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Core\Trace\Trace;

/** What each class of instrument would have recorded of the same forces: its rate, noise and limits. */
final readonly class Instrument
{
    /**
     * @param  array<string, list<float>>  $forces  as from Ground::forces()
     *
     * @throws CoreException
     */
    public static function record(
        DeviceClass $device,
        array $forces,
        Stance $stance,
        float $massKg,
        string $seed,
        Conditions $conditions = new Conditions,
    ): Trace {
        $chance = new Chance('instrument|'.$device->value.'|'.$seed);
        $channels = match ($device) {
            DeviceClass::DualPlate => self::dual($forces, $chance, $conditions, $massKg),
            DeviceClass::Plate => self::plate($forces, $chance, $conditions, $massKg, $stance),
            DeviceClass::Mat => self::mat($forces, $chance, $conditions, $stance),
        };

        return new Trace($device, $device->typicalRateHz(), $channels, $stance, $massKg);
    }

    /**
     * @param  array<string, list<float>>  $forces
     * @return array<string, list<float>>
     */
    private static function dual(array $forces, Chance $chance, Conditions $conditions, float $massKg): array
    {
        $off = $conditions->offsets ? self::offsets(DeviceClass::DualPlate, $chance, $conditions, $massKg) : [];
        $drift = self::drift($chance, $conditions, count($forces['lead_fz_n']));
        $out = [];
        foreach (['lead' => 1.0, 'trail' => -1.0] as $side => $sign) {
            foreach (['fx_n' => 1.0, 'fy_n' => 1.0, 'fz_n' => 2.0, 'mz_nm' => 0.3] as $name => $sd) {
                $noise = $conditions->noise($chance, 1000.0);
                $zero = $off["{$side}_$name"] ?? 0.0;
                foreach ($forces[$side.'_'.$name] as $i => $v) {
                    if ($name === 'fz_n') {
                        $v += $sign * (($off['share'] ?? 0.0) + $drift($i)) / 100.0 *
                            ($forces['lead_fz_n'][$i] + $forces['trail_fz_n'][$i]);
                    }
                    $out[$side.'_'.$name][] = round($v + $zero + $sd * $noise(), 2);
                }
            }
            foreach (['copx_mm', 'copy_mm'] as $name) {
                $noise = $conditions->noise($chance, 1000.0);
                $zero = $off["{$side}_$name"] ?? 0.0;
                foreach ($forces[$side.'_'.$name] as $i => $v) {
                    $fz = $forces[$side.'_fz_n'][$i];
                    $out[$side.'_'.$name][] = $fz < 20.0 ? NAN : round($v + $zero + 400.0 / $fz * $noise(), 1);
                }
            }
        }

        return self::ordered($out, DeviceClass::DualPlate->channels());
    }

    /**
     * One plate knows the sums only: ΣMz − Σ(Δx·Fy − Δy·Fx) about the net COP (practice 5).
     *
     * @param  array<string, list<float>>  $forces
     * @return array<string, list<float>>
     */
    private static function plate(
        array $forces,
        Chance $chance,
        Conditions $conditions,
        float $massKg,
        Stance $stance,
    ): array {
        $off = $conditions->offsets ? self::offsets(DeviceClass::Plate, $chance, $conditions, $massKg) : [];
        $out = [];
        $n = count($forces['lead_fz_n']);
        $drift = self::drift($chance, $conditions, $n);
        $span = ($stance->lead->xMm - $stance->trail->xMm) / 100.0;
        $noise = [];
        foreach (DeviceClass::Plate->channels() as $name) {
            $noise[$name] = $conditions->noise($chance, 500.0);
        }
        for ($i = 0; $i < $n; $i += 2) {
            $fz = $forces['lead_fz_n'][$i] + $forces['trail_fz_n'][$i];
            $cop = [];
            foreach (['copx_mm', 'copy_mm'] as $name) {
                $cop[] =
                    ($forces['lead_fz_n'][$i] * $forces['lead_'.$name][$i] +
                        $forces['trail_fz_n'][$i] * $forces['trail_'.$name][$i]) /
                    $fz;
            }
            $mz = 0.0;
            foreach (['lead', 'trail'] as $side) {
                $dx = ($forces[$side.'_copx_mm'][$i] - $cop[0]) / 1000.0;
                $dy = ($forces[$side.'_copy_mm'][$i] - $cop[1]) / 1000.0;
                $mz +=
                    $forces[$side.'_mz_nm'][$i] -
                    ($dx * $forces[$side.'_fy_n'][$i] - $dy * $forces[$side.'_fx_n'][$i]);
            }
            $fx = $forces['lead_fx_n'][$i] + $forces['trail_fx_n'][$i];
            $fy = $forces['lead_fy_n'][$i] + $forces['trail_fy_n'][$i];
            $out['fx_n'][] = round($fx + ($off['fx_n'] ?? 0.0) + 1.5 * $noise['fx_n'](), 2);
            $out['fy_n'][] = round($fy + ($off['fy_n'] ?? 0.0) + 1.5 * $noise['fy_n'](), 2);
            $out['fz_n'][] = round($fz + ($off['fz_n'] ?? 0.0) + 3.0 * $noise['fz_n'](), 2);
            $out['mz_nm'][] = round($mz + ($off['mz_nm'] ?? 0.0) + 0.4 * $noise['mz_nm'](), 2);
            $out['copx_mm'][] = round(
                $cop[0] + ($off['copx_mm'] ?? 0.0) + $span * $drift($i) + 1.5 * $noise['copx_mm'](),
                1,
            );
            $out['copy_mm'][] = round($cop[1] + ($off['copy_mm'] ?? 0.0) + 1.5 * $noise['copy_mm'](), 1);
        }

        return self::ordered($out, DeviceClass::Plate->channels());
    }

    /**
     * A mat averages over its own scan time, which keeps out what is faster than it can follow. The middle of the scan
     * is the sample's time.
     *
     * @param  array<string, list<float>>  $forces
     * @return array<string, list<float>>
     */
    private static function mat(array $forces, Chance $chance, Conditions $conditions, Stance $stance): array
    {
        $half = 5;
        $out = $noise = [];
        $n = count($forces['lead_fz_n']);
        $drift = self::drift($chance, $conditions, $n);
        $mat = DeviceClass::Mat;
        $off = [];
        foreach ([...$mat->channels(), ...$mat->optionalChannels()] as $name) {
            $noise[$name] = $conditions->noise($chance, 100.0);
            $off[$name] = $conditions->offset($chance, str_contains($name, 'cop') ? $mat->copOffset() : 0.0);
        }
        $off['lead_pct'] = $conditions->offset($chance, $mat->shareOffset());
        for ($i = 0; $i < $n; $i += 2 * $half) {
            $sum = ['lead' => 0.0, 'trail' => 0.0];
            $at = [];
            foreach (['lead', 'trail'] as $side) {
                $x = $y = $all = 0.0;
                for ($j = max(0, $i - $half); $j <= min($n - 1, $i + $half); $j++) {
                    $part = abs($j - $i) === $half ? 0.5 : 1.0;
                    $sum[$side] += $part * $forces[$side.'_fz_n'][$j];
                    $x += $part * $forces[$side.'_copx_mm'][$j];
                    $y += $part * $forces[$side.'_copy_mm'][$j];
                    $all += $part;
                }
                $at[$side] = [$x / $all, $y / $all];
            }
            $part = $sum['lead'] / ($sum['lead'] + $sum['trail']);
            $lead = 100.0 * $part + $off['lead_pct'] + $drift($i) + 0.8 * $noise['lead_pct']();
            $lead = max(0.0, min(100.0, $lead));
            $out['lead_pct'][] = round($lead, 1);
            $out['trail_pct'][] = round(100.0 - $lead, 1);
            foreach (['copx_mm', 'copy_mm'] as $k => $name) {
                $out[$name][] = round(
                    $part * $at['lead'][$k] + (1.0 - $part) * $at['trail'][$k] + $off[$name] + 2.5 * $noise[$name](),
                    1,
                );
                foreach (['lead', 'trail'] as $side) {
                    $foot = $side.'_'.$name;
                    $out[$foot][] = round($at[$side][$k] + $off[$foot] + 4.0 * $noise[$foot](), 1);
                }
            }
            foreach (['lead' => $stance->lead, 'trail' => $stance->trail] as $side => $foot) {
                $toe = $side.'_toe_pct';
                $out[$toe][] = round(
                    max(
                        0.0,
                        min(
                            100.0,
                            50.0 + (100.0 * ($at[$side][1] - $foot->yMm)) / $foot->lengthMm + 2.0 * $noise[$toe](),
                        ),
                    ),
                    1,
                );
            }
        }

        return self::ordered($out, [...DeviceClass::Mat->channels(), ...DeviceClass::Mat->optionalChannels()]);
    }

    /**
     * Constant errors of a force plate's channels as its class states them: newtons, newton metres, millimetres; and
     * points of share that one foot takes of the other.
     *
     * @return array<string, float>
     */
    private static function offsets(
        DeviceClass $device,
        Chance $chance,
        Conditions $conditions,
        float $massKg,
    ): array {
        $out = ['share' => $conditions->offset($chance, $device->shareOffset())];
        foreach ($device->channels() as $name) {
            $out[$name] = $conditions->offset($chance, match (true) {
                str_ends_with($name, 'mz_nm') => $device->momentOffset(),
                str_ends_with($name, '_n') => $device->forceOffset() / 100.0 * $massKg * 9.80665,
                default => $device->copOffset(),
            });
        }

        return $out;
    }

    /**
     * A zero that wanders evenly, by sample: a constant error is told of the middle of a recording.
     *
     * @return callable(int): float points of share
     */
    private static function drift(Chance $chance, Conditions $conditions, int $count): callable
    {
        if ($conditions->drift <= 0.0) {
            return static fn (int $i): float => 0.0;
        }
        $per = ($chance->uniform() < 0.5 ? -1.0 : 1.0) * $conditions->drift / ($count - 1);

        return static fn (int $i): float => $per * ($i - 0.5 * ($count - 1));
    }

    /**
     * @param  array<string, list<float>>  $channels
     * @param  list<string>  $names
     * @return array<string, list<float>>
     */
    private static function ordered(array $channels, array $names): array
    {
        $out = [];
        foreach ($names as $name) {
            $out[$name] = $channels[$name];
        }

        return $out;
    }
}
