<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Core\Trace\Trace;
use Core\Trace\TraceException;

/** Reads and writes the trace CSV of the published format. */
final class TraceCsv
{
    private const MOST_SAMPLES = 200_000;

    /** Share of the sample interval by which a time may stray before the samples are laid on an even grid. */
    private const JITTER = 0.02;

    /**
     * @param  resource  $stream
     * @param  DeviceClass|null  $device  inferred from the columns when null
     * @param  ColumnMap|null  $map  which columns hold the channels, where they are not called by their published names
     *
     * @throws FormatException naming file, line and column
     */
    public static function read(
        $stream,
        string $file,
        ?DeviceClass $device = null,
        ?Stance $stance = null,
        ?float $massKg = null,
        ?ColumnMap $map = null,
    ): Trace {
        $table = new CsvTable($stream, $file);
        if ($map === null) {
            $table->require(['t_s']);
        }
        $device ??= $map->device ?? self::infer($table);
        [$time, $places, $factors] = $map === null ? self::places($table, $device) : self::mapped($table, $map);
        $times = [];
        $isShare = array_map(
            static fn (string $name): bool => str_ends_with($name, '_pct'),
            array_combine(array_keys($places), array_keys($places)),
        );
        $channels = array_fill_keys(array_keys($places), []);
        $before = -INF;
        foreach ($table->rows() as $line => $cells) {
            $t =
                RatingsCsv::decimal($cells[$time]) ??
                throw FormatException::at(
                    $file,
                    $line,
                    't_s',
                    'no-number',
                    cell: FormatException::short($cells[$time]),
                );
            $t *= $factors['t_s'];
            if ($t <= $before) {
                throw FormatException::at($file, $line, 't_s', 'time-order');
            }
            $times[] = $before = $t;
            foreach ($places as $name => $at) {
                $cell = $cells[$at];
                if ($cell === '') {
                    $channels[$name][] = NAN;

                    continue;
                }
                // The usual cell is a plain number; what is not goes the careful way.
                $value = is_numeric($cell) && $cell[-1] !== '.' ? (float) $cell : RatingsCsv::decimal($cell);
                if ($value === null || ! is_finite($value)) {
                    throw FormatException::at(
                        $file,
                        $line,
                        $name,
                        'no-number',
                        cell: FormatException::short($cell),
                    );
                }
                $value *= $factors[$name];
                if ($isShare[$name] && ($value < -5.0 || $value > 105.0)) {
                    throw FormatException::at($file, $line, $name, 'no-per-cent', cell: $cell);
                }
                $channels[$name][] = $value;
            }
            if (count($times) > self::MOST_SAMPLES) {
                throw FormatException::at($file, $line, 't_s', 'many-samples');
            }
        }
        if (count($times) < 20) {
            throw FormatException::in($file, 'few-samples', times: count($times));
        }
        try {
            return self::even($times, $channels, $device, $stance, $massKg);
        } catch (FormatException $e) {
            throw $e;
        } catch (CoreException $e) {
            throw FormatException::in($file, $e);
        }
    }

    public static function write(Trace $trace): string
    {
        $names = array_keys($trace->channels);
        $lines = ['t_s,'.implode(',', $names)];
        for ($i = 0; $i < $trace->samples(); $i++) {
            $row = [sprintf('%.4f', $trace->t0 + $i / $trace->rateHz)];
            foreach ($names as $name) {
                $v = $trace->channels[$name][$i];
                $row[] = is_nan($v) ? '' : (string) $v;
            }
            $lines[] = implode(',', $row);
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @return array{int, array<string, int>, array<string, float>} place of the time, places of the channels, factors
     *
     * @throws FormatException
     */
    private static function places(CsvTable $table, DeviceClass $device): array
    {
        $time = $table->require(['t_s'])['t_s'];
        $places = $table->require($device->channels());
        foreach ($device->optionalChannels() as $name) {
            $at = $table->position($name);
            if ($at !== null) {
                $places[$name] = $at;
            }
        }

        return [$time, $places, array_fill_keys(['t_s', ...array_keys($places)], 1.0)];
    }

    /**
     * @return array{int, array<string, int>, array<string, float>}
     *
     * @throws FormatException
     */
    private static function mapped(CsvTable $table, ColumnMap $map): array
    {
        $missing = $map->missing();
        if ($missing !== []) {
            throw FormatException::at($table->file, 1, $missing[0], 'column-unchosen');
        }
        $places = $factors = [];
        foreach ($map->channels as $channel => $c) {
            $places[$channel] = $table->require([$c['column']])[$c['column']];
            $factors[$channel] = $map->factor($channel);
        }
        $time = $places['t_s'];
        unset($places['t_s']);

        return [$time, $places, $factors];
    }

    /** @throws FormatException */
    private static function infer(CsvTable $table): DeviceClass
    {
        return match (true) {
            in_array('lead_pct', $table->header, true) => DeviceClass::Mat,
            in_array('lead_fz_n', $table->header, true) => DeviceClass::DualPlate,
            in_array('fz_n', $table->header, true) => DeviceClass::Plate,
            default => throw FormatException::in(
                $table->file,
                'no-device',
            ),
        };
    }

    /**
     * @param  list<float>  $times
     * @param  array<string, list<float>>  $channels
     *
     * @throws CoreException
     */
    private static function even(
        array $times,
        array $channels,
        DeviceClass $device,
        ?Stance $stance,
        ?float $massKg,
    ): Trace {
        $n = count($times);
        $steps = [];
        for ($i = 1; $i < $n; $i++) {
            $steps[] = $times[$i] - $times[$i - 1];
        }
        sort($steps);
        $step = $steps[intdiv(count($steps), 2)];
        $mean = ($times[$n - 1] - $times[0]) / ($n - 1);
        $isEven = true;
        foreach ($times as $i => $t) {
            $isEven = $isEven && abs($t - $times[0] - $i * $mean) <= self::JITTER * $mean + 5e-5;
        }
        $jitter = self::jitter($times, $step);
        if ($isEven) {
            return new Trace($device, round(1 / $mean, 3), $channels, $stance, $massKg, $times[0]);
        }
        // Uneven clock: linear onto an even grid of the usual step; a gap of over three steps stays missing.
        $count = (int) floor(($times[$n - 1] - $times[0]) / $step + 1e-6) + 1;
        if ($count > self::MOST_SAMPLES) {
            throw TraceException::because('gaps');
        }
        $out = array_fill_keys(array_keys($channels), []);
        $j = 0;
        for ($i = 0; $i < $count; $i++) {
            $t = $times[0] + $i * $step;
            while ($j < $n - 2 && $times[$j + 1] < $t) {
                $j++;
            }
            $gap = $times[$j + 1] - $times[$j];
            $f = max(0.0, min(1.0, ($t - $times[$j]) / $gap));
            foreach ($channels as $name => $values) {
                $out[$name][] =
                    $gap > 3 * $step && $f > 1e-6 && $f < 1 - 1e-6
                        ? NAN
                        : $values[$j] + $f * ($values[$j + 1] - $values[$j]);
            }
        }

        return new Trace($device, round(1 / $step, 3), $out, $stance, $massKg, $times[0], $jitter);
    }

    /**
     * How far sample times stray from a steady tick, gaps aside: the 95th percentile of how much one step
     * differs from the usual one, s.
     *
     * @param  list<float>  $times
     */
    private static function jitter(array $times, float $step): float
    {
        $off = [];
        for ($i = 1, $n = count($times); $i < $n; $i++) {
            $d = $times[$i] - $times[$i - 1];
            $off[] = abs($d - max(1.0, round($d / $step)) * $step);
        }
        sort($off);

        return $off[(int) (0.95 * (count($off) - 1))];
    }
}
