<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Motion\Handedness;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Stance;

/** The JSON that stands beside a trace CSV: who, what, where the feet stood, when the stations fell. */
final readonly class SideCar
{
    public function __construct(
        public ?float $massKg = null,
        public ?Handedness $hand = null,
        public ?string $club = null,
        public ?string $swing = null,
        public ?Stance $stance = null,
        public ?StationTimes $stations = null,
        public ?DeviceClass $device = null,
        public ?string $deviceName = null,
    ) {
    }

    /** @throws FormatException naming the file and the member that is wrong */
    public static function read(string $json, string $file): self
    {
        try {
            $data = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FormatException::in($file, 'the file is not JSON ('.lcfirst($e->getMessage()).')');
        }
        if (! is_array($data) || array_is_list($data)) {
            throw FormatException::in($file, 'the file must hold one JSON object');
        }
        $mass = self::number($data, 'mass_kg', $file);
        if ($mass !== null && ($mass < 20.0 || $mass > 250.0)) {
            throw FormatException::in($file, sprintf('mass_kg is %s; a golfer has 20 to 250', $mass));
        }
        $hand = self::text($data, 'handedness', $file);
        $device = self::object($data, 'device', $file);
        $class = self::text($device, 'class', $file);
        try {
            return new self(
                $mass,
                $hand === null ? null : (Handedness::tryFrom($hand) ?? throw new CoreException("handedness is '$hand', not right or left")),
                self::text($data, 'club', $file),
                self::text($data, 'swing', $file),
                self::stance(self::object($data, 'stance', $file), $file),
                self::stations(self::object($data, 'stations', $file), $file),
                $class === null ? null : (DeviceClass::tryFrom($class) ?? throw new CoreException("device class is '$class', not mat, plate or dual-plate")),
                self::text($device, 'name', $file),
            );
        } catch (FormatException $e) {
            throw $e;
        } catch (CoreException $e) {
            throw FormatException::in($file, lcfirst($e->getMessage()));
        }
    }

    /** @param  array<mixed>  $data */
    private static function stance(array $data, string $file): ?Stance
    {
        if ($data === []) {
            return null;
        }
        $feet = [];
        foreach (['lead_foot', 'trail_foot'] as $name) {
            $foot = self::object($data, $name, $file);
            $x = self::number($foot, 'x_mm', $file);
            if ($x === null) {
                throw FormatException::in($file, "stance needs $name with x_mm");
            }
            $feet[] = new Foot($x, self::number($foot, 'y_mm', $file) ?? 0.0, self::number($foot, 'length_mm', $file) ?? 270.0, self::number($foot, 'width_mm', $file) ?? 100.0, self::number($foot, 'flare_deg', $file));
        }

        return new Stance($feet[0], $feet[1]);
    }

    /** @param  array<mixed>  $data */
    private static function stations(array $data, string $file): ?StationTimes
    {
        $times = [];
        foreach (array_keys($data) as $code) {
            $t = self::number($data, (string) $code, $file);
            if ($t !== null) {
                // Marked by somebody, to about one frame of 60 a second.
                $times[(string) $code] = new StationTime($t, 0.008, 'file');
            }
        }

        return $times === [] ? null : StationTimes::of($times);
    }

    /**
     * @param  array<mixed>  $data
     * @return array<mixed>
     */
    private static function object(array $data, string $name, string $file): array
    {
        $value = $data[$name] ?? [];

        return is_array($value) ? $value : throw FormatException::in($file, "$name must be an object");
    }

    /** @param  array<mixed>  $data */
    private static function number(array $data, string $name, string $file): ?float
    {
        $value = $data[$name] ?? null;
        if ($value !== null && ! is_int($value) && ! is_float($value)) {
            throw FormatException::in($file, "$name must be a number");
        }

        return $value === null ? null : (float) $value;
    }

    /** @param  array<mixed>  $data */
    private static function text(array $data, string $name, string $file): ?string
    {
        $value = $data[$name] ?? null;
        if ($value !== null && (! is_string($value) || mb_strlen($value) > 120)) {
            throw FormatException::in($file, "$name must be a short text");
        }

        return $value;
    }
}
