<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Format\Json\JsonObject;
use Core\Format\Json\StanceJson;
use Core\Motion\Handedness;
use Core\Motion\Motion;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;
use Core\Trace\Limits;
use Core\Trace\Trace;

/**
 * One recording whole in one JSON file: trace, body points of every view, stations, stance, facts, flight. Published as
 * docs/schemas/recording.schema.json. A missing sample is null.
 */
final class RecordingBundle
{
    private const FORMAT = 'verified-consensus/recording';

    private const LARGEST = 64 * 1024 * 1024;

    private const MOST_SAMPLES = 200_000;

    public static function write(ImportedRecording $recording): string
    {
        $trace = $recording->trace;
        $facts = $recording->facts;

        return json_encode(
            [
                'format' => self::FORMAT,
                'version' => 1,
                'handedness' => $facts->hand?->value,
                'club' => $facts->club,
                'swing' => $facts->swing,
                ...$recording->swing->toArray(),
                'mass_kg' => $trace->massKg,
                'stance' => StanceJson::orNull($trace->stance),
                'device' => [
                    'class' => $trace->device->value,
                    'name' => $facts->deviceName,
                    ...$trace->stated === null ? [] : ['constant_errors' => $trace->stated->toArray()],
                ],
                'trace' => [
                    'rate_hz' => $trace->rateHz,
                    't0_s' => $trace->t0,
                    'clock_jitter_s' => $trace->clockJitterS,
                    'channels' => array_map(self::plain(...), $trace->channels),
                ],
                'views' => array_map(
                    static fn (Motion $m): array => [
                        'view' => $m->view->value,
                        'rate_hz' => $m->rateHz,
                        't0_s' => $m->t0,
                        'points' => array_map(
                            static fn (array $axes): array => array_map(self::plain(...), $axes),
                            $m->points,
                        ),
                    ],
                    $recording->views->motions,
                ),
                'stations' => (object) array_map(
                    static fn (StationTime $t): array => [
                        't_s' => $t->t,
                        'uncertainty_s' => $t->uncertainty,
                        'source' => $t->source->value,
                    ],
                    $recording->stations?->all() ?? [],
                ),
            ],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @throws FormatException naming the file and the member that is wrong */
    public static function read(string $json, string $file): ImportedRecording
    {
        if (strlen($json) > self::LARGEST) {
            throw FormatException::in($file, 'large');
        }
        $o = JsonObject::parse($json, $file, 12);
        if (($o->plain()['format'] ?? null) !== self::FORMAT) {
            throw FormatException::in($file, 'no-bundle', format: self::FORMAT);
        }
        if (($o->plain()['version'] ?? null) !== 1) {
            throw FormatException::in($file, 'bundle-version');
        }
        try {
            return self::recording($o);
        } catch (CoreException $e) {
            throw $e instanceof FormatException ? $e : FormatException::in($file, $e);
        }
    }

    public static function isOne(string $start): bool
    {
        return str_contains(substr($start, 0, 400), self::FORMAT);
    }

    /**
     * @throws FormatException
     * @throws CoreException
     */
    private static function recording(JsonObject $o): ImportedRecording
    {
        $device = $o->object('device');
        $trace = $o->object('trace');
        $class = $device->one(DeviceClass::class, 'class');
        $mass = $o->optionalNumber('mass_kg');
        if ($mass !== null && ($mass < Limits::GOLFER_KG[0] || $mass > Limits::GOLFER_KG[1])) {
            throw $o->wrong('mass_kg', 'mass');
        }
        $named = $trace->object('channels');
        $channels = [];
        foreach ($named->names() as $name) {
            if (preg_match('/^[a-z_]{2,40}$/', $name) !== 1) {
                throw $named->wrong($name, 'no-channel-name');
            }
            $channels[$name] = $named->numbers($name, self::MOST_SAMPLES);
        }
        if ($channels === []) {
            throw $trace->wrong('channels', 'one-at-least');
        }
        $checked = $device->optionalObject('constant_errors');
        $feet = $o->optionalObject('stance');
        $stance = $feet === null ? null : StanceJson::read($feet);
        $core = new Trace(
            $class,
            self::rate($trace),
            $channels,
            $stance,
            $mass,
            $trace->optionalNumber('t0_s') ?? 0.0,
            $trace->optionalNumber('clock_jitter_s'),
            $checked === null ? null : ConstantErrors::stated($class, $checked->plain()),
        );
        $times = [];
        foreach ($o->optionalObject('stations')?->members() ?? [] as $code => $s) {
            // What a person marked elsewhere is the file's here.
            $source = StationSource::tryFrom($s->optionalText('source') ?? '') ?? StationSource::File;
            $times[$code] = new StationTime(
                $s->number('t_s'),
                max(0.0, $s->optionalNumber('uncertainty_s') ?? 0.008),
                $source === StationSource::Hand ? StationSource::File : $source,
            );
        }

        return new ImportedRecording(
            $core,
            new Views(...array_map(self::view(...), $o->objects('views'))),
            $times === [] ? null : StationTimes::fromTimes($times),
            new SideCar(
                $mass,
                $o->optionalOne(Handedness::class, 'handedness'),
                $o->optionalText('club', 40),
                $o->optionalText('swing', 40),
                $stance,
                null,
                $class,
                $device->optionalText('name'),
            ),
            [],
            SwingFacts::read($o),
        );
    }

    /**
     * @throws FormatException
     * @throws CoreException
     */
    private static function view(JsonObject $o): Motion
    {
        $view = $o->one(View::class, 'view');
        $points = [];
        $frames = null;
        $named = $o->object('points');
        foreach ($named->names() as $name) {
            $axes = $named->plain()[$name];
            if (
                ! is_array($axes) ||
                ! array_is_list($axes) ||
                count($axes) !== 3 ||
                preg_match('/^[a-z_]{2,40}$/', $name) !== 1
            ) {
                throw $named->wrong($name, 'coordinates');
            }
            $of = JsonObject::from(['x' => $axes[0], 'y' => $axes[1], 'z' => $axes[2]], "point $name");
            [$x, $y, $z] = [
                $of->numbers('x', self::MOST_SAMPLES),
                $of->numbers('y', self::MOST_SAMPLES),
                $of->numbers('z', self::MOST_SAMPLES),
            ];
            $frames ??= count($x);
            if (count($x) !== $frames || count($y) !== $frames || count($z) !== $frames) {
                throw $named->wrong($name, 'frames');
            }
            $points[$name] = [$x, $y, $z];
        }
        if ($points === []) {
            throw $o->wrong('points', 'one-at-least');
        }

        return new Motion(self::rate($o), $points, $o->optionalNumber('t0_s') ?? 0.0, $view);
    }

    /** @throws FormatException */
    private static function rate(JsonObject $o): float
    {
        $rate = $o->number('rate_hz');

        return $rate >= 1.0 && $rate <= 20000.0 ? $rate : throw $o->wrong('rate_hz', 'rate');
    }

    /**
     * @param  list<float>  $values
     * @return list<float|null>
     */
    private static function plain(array $values): array
    {
        return array_map(static fn (float $v): ?float => is_nan($v) ? null : round($v, 4), $values);
    }
}
