<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Format\Json\JsonObject;
use Core\Format\Json\StanceJson;
use Core\Motion\Handedness;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Limits;
use Core\Trace\Stance;

/** The JSON that stands beside a trace CSV: who, what, where the feet stood, when the stations fell. */
final readonly class SideCar
{
    /** Rates that differ by no more than this are one, told roughly. */
    private const SAME_RATE = 0.02;

    /**
     * @param  array<array-key, mixed>|null  $constantErrors  of the very device, as ConstantErrors::stated() reads them
     */
    public function __construct(
        public ?float $massKg = null,
        public ?Handedness $hand = null,
        public ?string $club = null,
        public ?string $swing = null,
        public ?Stance $stance = null,
        public ?StationTimes $stations = null,
        public ?DeviceClass $device = null,
        public ?string $deviceName = null,
        public ?float $rateHz = null,
        public ?array $constantErrors = null,
    ) {
    }

    /** What it says of the rate, where the file's own clock says otherwise. */
    public function otherRate(float $rateHz): ?Remark
    {
        return $this->rateHz === null || abs($this->rateHz / $rateHz - 1.0) <= self::SAME_RATE
            ? null
            : Remark::of(Assumed::ClockOverRate, stated_hz: $this->rateHz, clock_hz: $rateHz);
    }

    /** @throws FormatException naming the file and the member that is wrong */
    public static function read(string $json, string $file): self
    {
        $o = JsonObject::parse($json, $file);
        $mass = $o->optionalNumber('mass_kg');
        if ($mass !== null && ($mass < Limits::GOLFER_KG[0] || $mass > Limits::GOLFER_KG[1])) {
            throw $o->wrong('mass_kg', 'mass-is', mass: (string) $mass);
        }
        $device = $o->optionalObject('device');
        try {
            return new self(
                $mass,
                $o->optionalOne(Handedness::class, 'handedness'),
                $o->optionalText('club'),
                $o->optionalText('swing'),
                self::stance($o),
                self::stations($o),
                $device?->optionalOne(DeviceClass::class, 'class'),
                $device?->optionalText('name'),
                self::rate($o, $device),
                $device?->optionalObject('constant_errors')?->plain(),
            );
        } catch (CoreException $e) {
            throw $e instanceof FormatException ? $e : FormatException::in($file, $e);
        }
    }

    /** @throws FormatException */
    private static function rate(JsonObject $o, ?JsonObject $device): ?float
    {
        $rate = $device?->optionalNumber('rate_hz');

        return $rate !== null && ($rate <= 0.0 || $rate > 100000.0)
            ? throw $o->wrong('device.rate_hz', 'rate-is', rate: (string) $rate)
            : $rate;
    }

    /** @throws CoreException */
    private static function stance(JsonObject $o): ?Stance
    {
        $stance = $o->optionalObject('stance');

        return $stance === null || $stance->isEmpty() ? null : StanceJson::read($stance);
    }

    /** @throws CoreException */
    private static function stations(JsonObject $o): ?StationTimes
    {
        $stations = $o->optionalObject('stations');
        $times = [];
        foreach ($stations?->names() ?? [] as $code) {
            $t = $stations?->optionalNumber($code);
            if ($t !== null) {
                // Marked by somebody, to about one frame of 60 a second.
                $times[$code] = new StationTime($t, 0.008, StationSource::File);
            }
        }

        return $times === [] ? null : StationTimes::fromTimes($times);
    }
}
