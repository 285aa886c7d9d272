<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Motion\Handedness;
use Core\Motion\Motion;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Stance;
use Core\Trace\Trace;

/**
 * One recording whole in one JSON file: trace, body points of every view, stations, stance, facts. Published as
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

        return json_encode([
            'format' => self::FORMAT, 'version' => 1,
            'handedness' => $facts->hand?->value, 'club' => $facts->club, 'swing' => $facts->swing, 'mass_kg' => $trace->massKg,
            'stance' => $trace->stance?->toArray(),
            'device' => ['class' => $trace->device->value, 'name' => $facts->deviceName],
            'trace' => ['rate_hz' => $trace->rateHz, 't0_s' => $trace->t0, 'clock_jitter_s' => $trace->clockJitterS, 'channels' => array_map(self::plain(...), $trace->channels)],
            'views' => array_map(static fn (Motion $m): array => [
                'view' => $m->view->value, 'rate_hz' => $m->rateHz, 't0_s' => $m->t0,
                'points' => array_map(static fn (array $axes): array => array_map(self::plain(...), $axes), $m->points),
            ], $recording->views->motions),
            'stations' => (object) array_map(static fn (StationTime $t): array => ['t_s' => $t->t, 'uncertainty_s' => $t->uncertainty, 'source' => $t->source], $recording->stations?->all() ?? []),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
    }

    /** @throws FormatException naming the file and the member that is wrong */
    public static function read(string $json, string $file): ImportedRecording
    {
        if (strlen($json) > self::LARGEST) {
            throw FormatException::in($file, 'the file is larger than 64 MB');
        }
        try {
            $data = json_decode($json, true, 12, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FormatException::in($file, 'the file is not JSON ('.lcfirst($e->getMessage()).')');
        }
        if (! is_array($data) || ($data['format'] ?? null) !== self::FORMAT) {
            throw FormatException::in($file, "this is no recording bundle: its 'format' is not ".self::FORMAT);
        }
        if (($data['version'] ?? null) !== 1) {
            throw FormatException::in($file, 'it is of a version this program does not know');
        }
        try {
            return self::recording($data);
        } catch (CoreException $e) {
            throw $e instanceof FormatException ? $e : FormatException::in($file, lcfirst($e->getMessage()));
        }
    }

    public static function isOne(string $start): bool
    {
        return str_contains(substr($start, 0, 400), self::FORMAT);
    }

    /** @param  array<mixed>  $data */
    private static function recording(array $data): ImportedRecording
    {
        $device = self::part($data, 'device');
        $trace = self::part($data, 'trace');
        $hand = $data['handedness'] ?? null;
        $class = DeviceClass::tryFrom(is_string($device['class'] ?? null) ? $device['class'] : '') ?? throw new CoreException("'device' needs a 'class': mat, plate or dual-plate");
        $mass = self::number($data['mass_kg'] ?? null, 'mass_kg', true);
        if ($mass !== null && ($mass < 20.0 || $mass > 250.0)) {
            throw new CoreException('mass_kg must lie between 20 and 250');
        }
        $channels = [];
        foreach (self::part($trace, 'channels') as $name => $values) {
            if (preg_match('/^[a-z_]{2,40}$/', (string) $name) !== 1) {
                throw new CoreException("a channel is called '".RatingsCsv::short((string) $name)."'");
            }
            $channels[(string) $name] = self::samples($values, "channel $name");
        }
        $stance = self::stance($data['stance'] ?? null);
        $core = new Trace($class, self::rate($trace, 'trace'), $channels, $stance, $mass, (float) self::number($trace['t0_s'] ?? 0.0, 't0_s'), self::number($trace['clock_jitter_s'] ?? null, 'clock_jitter_s', true));
        $views = [];
        foreach (is_array($data['views'] ?? null) ? $data['views'] : [] as $view) {
            $views[] = self::view(is_array($view) ? $view : []);
        }
        $times = [];
        foreach (is_array($data['stations'] ?? null) ? $data['stations'] : [] as $code => $s) {
            $s = is_array($s) ? $s : [];
            $source = in_array($s['source'] ?? null, ['motion', 'trace', 'file', 'hand'], true) ? $s['source'] : 'file';
            $times[(string) $code] = new StationTime((float) self::number($s['t_s'] ?? null, "station $code"), max(0.0, (float) self::number($s['uncertainty_s'] ?? 0.008, "station $code")), $source === 'hand' ? 'file' : $source);
        }
        $text = static fn (mixed $v): ?string => is_string($v) && $v !== '' ? mb_substr($v, 0, 40) : null;
        $name = $device['name'] ?? null;

        return new ImportedRecording($core, new Views(...$views), $times === [] ? null : StationTimes::of($times), new SideCar(
            $mass, is_string($hand) ? (Handedness::tryFrom($hand) ?? throw new CoreException("'handedness' is neither right nor left")) : null,
            $text($data['club'] ?? null), $text($data['swing'] ?? null), $stance, null, $class, is_string($name) ? mb_substr($name, 0, 120) : null,
        ));
    }

    /** @param  array<mixed>  $data */
    private static function view(array $data): Motion
    {
        $view = View::tryFrom(is_string($data['view'] ?? null) ? $data['view'] : '') ?? throw new CoreException('a view is none of points, face-on, down-the-line');
        $points = [];
        $frames = null;
        foreach (self::part($data, 'points') as $name => $axes) {
            if (! is_array($axes) || count($axes) !== 3 || preg_match('/^[a-z_]{2,40}$/', (string) $name) !== 1) {
                throw new CoreException("the point '".RatingsCsv::short((string) $name)."' needs three lists of coordinates");
            }
            [$x, $y, $z] = array_map(static fn (mixed $v): array => self::samples($v, "point $name"), array_values($axes));
            $frames ??= count($x);
            if (count($x) !== $frames || count($y) !== $frames || count($z) !== $frames) {
                throw new CoreException("the point '$name' has another number of frames than the rest");
            }
            $points[(string) $name] = [$x, $y, $z];
        }

        return new Motion(self::rate($data, 'view'), $points, (float) self::number($data['t0_s'] ?? 0.0, 't0_s'), $view);
    }

    private static function stance(mixed $data): ?Stance
    {
        if ($data === null) {
            return null;
        }
        $feet = [];
        foreach (['lead_foot', 'trail_foot'] as $name) {
            $f = is_array($data) && is_array($data[$name] ?? null) ? $data[$name] : throw new CoreException("'stance' needs '$name'");
            $feet[] = new Foot((float) self::number($f['x_mm'] ?? null, 'x_mm'), (float) self::number($f['y_mm'] ?? 0.0, 'y_mm'), (float) self::number($f['length_mm'] ?? 270.0, 'length_mm'), (float) self::number($f['width_mm'] ?? 100.0, 'width_mm'), self::number($f['flare_deg'] ?? null, 'flare_deg', true));
        }

        return new Stance($feet[0], $feet[1]);
    }

    /** @param  array<mixed>  $data */
    private static function rate(array $data, string $of): float
    {
        $rate = (float) self::number($data['rate_hz'] ?? null, "rate_hz of $of");

        return $rate >= 1.0 && $rate <= 20000.0 ? $rate : throw new CoreException("rate_hz of $of must lie between 1 and 20,000");
    }

    /**
     * @param  array<mixed>  $data
     * @return array<mixed>
     */
    private static function part(array $data, string $name): array
    {
        $value = $data[$name] ?? null;

        return is_array($value) && $value !== [] ? $value : throw new CoreException("it needs '$name'");
    }

    private static function number(mixed $value, string $name, bool $mayLack = false): ?float
    {
        if ($value === null && $mayLack) {
            return null;
        }

        return is_int($value) || is_float($value) ? (float) $value : throw new CoreException("$name must be a number");
    }

    /** @return list<float> */
    private static function samples(mixed $values, string $of): array
    {
        if (! is_array($values) || ! array_is_list($values) || count($values) > self::MOST_SAMPLES) {
            throw new CoreException("$of must be a list of at most 200,000 numbers");
        }
        $out = [];
        foreach ($values as $v) {
            $out[] = $v === null ? NAN : (is_int($v) || is_float($v) ? (float) $v : throw new CoreException("$of holds something that is no number"));
        }

        return $out;
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
