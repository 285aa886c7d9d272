<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Format\C3d\Laboratory;
use Core\Motion\Handedness;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\ConstantErrors;
use Core\Trace\Trace;
use Core\Trace\TraceException;

/** Reads a recording of any format this program knows: trace CSV with a side-car, recording bundle, C3D. */
final class RecordingReader
{
    private const LARGEST = 64 * 1024 * 1024;

    /** @return 'csv'|'bundle'|'c3d' by the file's first bytes */
    public static function formatOf(string $start): string
    {
        return match (true) {
            strlen($start) > 1 && ord($start[1]) === 0x50 && ord($start[0]) < 32 => 'c3d',
            RecordingBundle::isOne($start) => 'bundle',
            default => 'csv',
        };
    }

    /**
     * @param  resource  $stream  seekable, at its start
     * @param  string  $file  the name errors use
     *
     * @throws FormatException in one sentence
     * @throws CoreException
     */
    public static function read(
        $stream,
        string $file,
        ?SideCar $car = null,
        ImportSettings $settings = new ImportSettings(),
    ): ImportedRecording {
        $format = self::formatOf((string) fread($stream, 512));
        rewind($stream);
        $car ??= new SideCar;
        $mass = $settings->massKg ?? $car->massKg;
        $stance = $settings->stance ?? $car->stance;
        if ($format === 'csv') {
            $trace = TraceCsv::read(
                $stream,
                $file,
                $settings->device ?? ($settings->map === null ? $car->device : null),
                $stance,
                $mass,
                $settings->map,
            );

            $trace = self::checked($trace, $car, $file);

            return new ImportedRecording(
                $trace,
                new Views(),
                $car->stations,
                new SideCar(
                    $mass,
                    $settings->hand ?? $car->hand,
                    $car->club,
                    $car->swing,
                    $stance,
                    $car->stations,
                    $trace->device,
                    $car->deviceName,
                ),
                self::notes([], $car, $trace),
            );
        }
        $bytes = (string) stream_get_contents($stream, self::LARGEST + 1);
        $in =
            $format === 'bundle'
                ? RecordingBundle::read($bytes, $file)
                : Laboratory::import(
                    $bytes,
                    $file,
                    $settings->hand ?? ($car->hand ?? Handedness::Right),
                    $settings->target,
                    $mass,
                );
        $own = $in->facts;
        $trace = new Trace(
            $in->trace->device,
            $in->trace->rateHz,
            $in->trace->channels,
            $stance ?? $in->trace->stance,
            $mass ?? $in->trace->massKg,
            $in->trace->t0,
            $in->trace->clockJitterS,
            $in->trace->stated,
        );

        $trace = self::checked($trace, $car, $file);

        return new ImportedRecording(
            $trace,
            $in->views,
            $car->stations ?? $in->stations,
            new SideCar(
                $trace->massKg,
                $own->hand ?? ($settings->hand ?? $car->hand),
                $car->club ?? $own->club,
                $car->swing ?? $own->swing,
                $trace->stance,
                null,
                $trace->device,
                $car->deviceName ?? $own->deviceName,
            ),
            self::notes($in->notes, $car, $trace),
            $in->swing,
        );
    }

    /**
     * @param  list<Remark>  $of
     * @return list<Remark>
     */
    private static function notes(array $of, SideCar $car, Trace $trace): array
    {
        $source = $trace->stated?->source;

        return array_values(array_filter([
            ...$of,
            $car->otherRate($trace->rateHz),
            $source === null ? null : Remark::of(Assumed::ErrorsStated, source: $source),
        ]));
    }

    /** @throws CoreException */
    private static function checked(Trace $trace, SideCar $car, string $file): Trace
    {
        try {
            return $car->constantErrors === null
                ? $trace
                : $trace->checked(ConstantErrors::stated($trace->device, $car->constantErrors));
        } catch (TraceException $e) {
            throw FormatException::in($file, $e);
        }
    }
}
