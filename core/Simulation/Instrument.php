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
    ): Trace {
        $chance = new Chance('instrument|'.$device->value.'|'.$seed);
        $channels = match ($device) {
            DeviceClass::DualPlate => self::dual($forces, $chance),
            DeviceClass::Plate => self::plate($forces, $chance),
            DeviceClass::Mat => self::mat($forces, $chance, $stance),
        };

        return new Trace($device, $device->typicalRateHz(), $channels, $stance, $massKg);
    }

    /**
     * @param  array<string, list<float>>  $forces
     * @return array<string, list<float>>
     */
    private static function dual(array $forces, Chance $chance): array
    {
        $out = [];
        foreach (['lead', 'trail'] as $side) {
            foreach (['fx_n' => 1.0, 'fy_n' => 1.0, 'fz_n' => 2.0, 'mz_nm' => 0.3] as $name => $noise) {
                $out[$side.'_'.$name] = array_map(
                    static fn (float $v): float => round($v + $chance->normal(0.0, $noise), 2),
                    $forces[$side.'_'.$name],
                );
            }
            foreach (['copx_mm', 'copy_mm'] as $name) {
                foreach ($forces[$side.'_'.$name] as $i => $v) {
                    $fz = $forces[$side.'_fz_n'][$i];
                    $out[$side.'_'.$name][] = $fz < 20.0 ? NAN : round($v + $chance->normal(0.0, 400.0 / $fz), 1);
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
    private static function plate(array $forces, Chance $chance): array
    {
        $out = [];
        $n = count($forces['lead_fz_n']);
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
            $out['fx_n'][] = round($forces['lead_fx_n'][$i] + $forces['trail_fx_n'][$i] + $chance->normal(0.0, 1.5), 2);
            $out['fy_n'][] = round($forces['lead_fy_n'][$i] + $forces['trail_fy_n'][$i] + $chance->normal(0.0, 1.5), 2);
            $out['fz_n'][] = round($fz + $chance->normal(0.0, 3.0), 2);
            $out['mz_nm'][] = round($mz + $chance->normal(0.0, 0.4), 2);
            $out['copx_mm'][] = round($cop[0] + $chance->normal(0.0, 1.5), 1);
            $out['copy_mm'][] = round($cop[1] + $chance->normal(0.0, 1.5), 1);
        }

        return self::ordered($out, DeviceClass::Plate->channels());
    }

    /**
     * A mat averages over its own scan time, which keeps out what is faster than it can follow.
     *
     * @param  array<string, list<float>>  $forces
     * @return array<string, list<float>>
     */
    private static function mat(array $forces, Chance $chance, Stance $stance): array
    {
        $step = 10;
        $out = [];
        $n = count($forces['lead_fz_n']);
        for ($i = 0; $i + $step <= $n; $i += $step) {
            $sum = ['lead' => 0.0, 'trail' => 0.0];
            $at = [];
            foreach (['lead', 'trail'] as $side) {
                $x = $y = 0.0;
                for ($j = $i; $j < $i + $step; $j++) {
                    $sum[$side] += $forces[$side.'_fz_n'][$j];
                    $x += $forces[$side.'_copx_mm'][$j];
                    $y += $forces[$side.'_copy_mm'][$j];
                }
                $at[$side] = [$x / $step, $y / $step];
            }
            $lead = 100.0 * $sum['lead'] / ($sum['lead'] + $sum['trail']) + $chance->normal(0.0, 0.8);
            $lead = max(0.0, min(100.0, $lead));
            $out['lead_pct'][] = round($lead, 1);
            $out['trail_pct'][] = round(100.0 - $lead, 1);
            foreach (['copx_mm', 'copy_mm'] as $k => $name) {
                $out[$name][] = round(
                    ($lead * $at['lead'][$k] + (100.0 - $lead) * $at['trail'][$k]) / 100.0 + $chance->normal(0.0, 2.5),
                    1,
                );
                foreach (['lead', 'trail'] as $side) {
                    $out[$side.'_'.$name][] = round($at[$side][$k] + $chance->normal(0.0, 4.0), 1);
                }
            }
            foreach (['lead' => $stance->lead, 'trail' => $stance->trail] as $side => $foot) {
                $out[$side.'_toe_pct'][] = round(
                    max(
                        0.0,
                        min(
                            100.0,
                            50.0 + (100.0 * ($at[$side][1] - $foot->yMm)) / $foot->lengthMm + $chance->normal(0.0, 2.0),
                        ),
                    ),
                    1,
                );
            }
        }

        return self::ordered($out, [...DeviceClass::Mat->channels(), ...DeviceClass::Mat->optionalChannels()]);
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
