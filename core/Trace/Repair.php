<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;
use Core\Remark\Remark;

/**
 * Sets right what a finding says is wrong with a whole trace. It is offered, never made: only who knows the instrument
 * can say that it is so.
 */
final readonly class Repair
{
    private const GRAVITY = 9.80665;

    private const BY_FLAW = [
        Flaw::CopInMetres->value => RepairKind::PlacesInMetres,
        Flaw::CopInCentimetres->value => RepairKind::PlacesInCentimetres,
        Flaw::ForceInKilograms->value => RepairKind::ForcesInKilograms,
        Flaw::SharesAreParts->value => RepairKind::SharesAsParts,
        Flaw::TimeInMilliseconds->value => RepairKind::TimesInMilliseconds,
        Flaw::OriginElsewhere->value => RepairKind::OtherOrigin,
        Flaw::PlacesExchanged->value => RepairKind::FeetExchanged,
        Flaw::SharesExchanged->value => RepairKind::SharesExchanged,
        Flaw::ShiftExchanged->value => RepairKind::SidesMirrored,
        Flaw::HeelAndToePerhaps->value => RepairKind::HeelAndToeExchanged,
        Flaw::HeelAndToeExchanged->value => RepairKind::HeelAndToeExchanged,
    ];

    /**
     * @param  float  $xMm  for another origin: where the middle between the feet lies in the trace's own frame
     * @param  float  $yMm  the same
     */
    public function __construct(public RepairKind $kind, public float $xMm = 0.0, public float $yMm = 0.0)
    {
    }

    /** What would set a finding right; null where nothing would, or where a device cannot know how far. */
    public static function of(Remark $finding, DeviceClass $device): ?self
    {
        $kind = self::BY_FLAW[$finding->code] ?? null;
        if ($kind === RepairKind::OtherOrigin && $device === DeviceClass::Plate) {
            return null;
        }
        $mm = static fn (string $name): float => is_numeric($finding->with[$name] ?? null)
            ? (float) $finding->with[$name]
            : 0.0;

        return $kind === null ? null : new self($kind, $mm('x_mm'), $mm('y_mm'));
    }

    /** @return array{kind: string, x_mm: float, y_mm: float} */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'x_mm' => $this->xMm, 'y_mm' => $this->yMm];
    }

    /** Null where it is none. */
    public static function from(mixed $data): ?self
    {
        $of = is_array($data) ? $data : [];
        $kind = is_string($of['kind'] ?? null) ? RepairKind::tryFrom($of['kind']) : null;
        $mm = static fn (string $name): float => is_numeric($of[$name] ?? null) ? (float) $of[$name] : 0.0;

        return $kind === null ? null : new self($kind, $mm('x_mm'), $mm('y_mm'));
    }

    /** @throws CoreException where the trace would be none any more */
    public function applyTo(Trace $trace): Trace
    {
        $isTime = $this->kind === RepairKind::TimesInMilliseconds;

        return new Trace(
            $trace->device,
            $isTime ? 1000.0 * $trace->rateHz : $trace->rateHz,
            match ($this->kind) {
                RepairKind::PlacesInMetres => self::scaled($trace, '/cop[xy]_mm$/', 1000.0),
                RepairKind::PlacesInCentimetres => self::scaled($trace, '/cop[xy]_mm$/', 10.0),
                RepairKind::ForcesInKilograms => self::scaled($trace, '/f[xyz]_n$/', self::GRAVITY),
                RepairKind::SharesAsParts => self::scaled($trace, '/^(lead|trail)_pct$/', 100.0),
                RepairKind::TimesInMilliseconds => $trace->channels,
                RepairKind::OtherOrigin => $this->moved($trace),
                RepairKind::FeetExchanged => self::exchanged($trace, '/^(lead|trail)_/'),
                RepairKind::SharesExchanged => self::exchanged($trace, '/^(lead|trail)_pct$/'),
                RepairKind::SidesMirrored => self::mirrored($trace),
                RepairKind::HeelAndToeExchanged => self::scaled($trace, '/(copy_mm|fy_n)$/', -1.0),
            },
            $trace->stance,
            $trace->massKg,
            $isTime ? $trace->t0 / 1000.0 : $trace->t0,
            $isTime && $trace->clockJitterS !== null ? $trace->clockJitterS / 1000.0 : $trace->clockJitterS,
            $trace->stated,
        );
    }

    /** @return array<string, list<float>> */
    private static function scaled(Trace $trace, string $channels, float $times): array
    {
        $out = $trace->channels;
        foreach ($out as $name => $values) {
            if (preg_match($channels, $name) === 1) {
                $out[$name] = array_map(static fn (float $v): float => $times * $v, $values);
            }
        }

        return $out;
    }

    /** @return array<string, list<float>> */
    private function moved(Trace $trace): array
    {
        $out = $trace->channels;
        foreach ($out as $name => $values) {
            $by = match (true) {
                str_ends_with($name, 'copx_mm') => $this->xMm,
                str_ends_with($name, 'copy_mm') => $this->yMm,
                default => 0.0,
            };
            $out[$name] = array_map(static fn (float $v): float => $v - $by, $values);
        }

        return $out;
    }

    /**
     * Lead called trail and trail called lead.
     *
     * @return array<string, list<float>>
     */
    private static function exchanged(Trace $trace, string $channels): array
    {
        $out = $trace->channels;
        foreach (array_keys($out) as $name) {
            $side = preg_match($channels, $name) === 1 ? Side::ofName($name) : null;
            if ($side !== null) {
                $out[$name] = $trace->channels[$side->other()->name(substr($name, strlen($side->name(''))))];
            }
        }

        return $out;
    }

    /**
     * As of the other hand: sides exchanged, and what points along the line or turns about the vertical turned round.
     *
     * @return array<string, list<float>>
     */
    private static function mirrored(Trace $trace): array
    {
        $out = self::exchanged($trace, '/^(lead|trail)_/');
        foreach ($out as $name => $values) {
            if (preg_match('/(copx_mm|fx_n|mz_nm)$/', $name) === 1) {
                $out[$name] = array_map(static fn (float $v): float => -$v, $values);
            }
        }

        return $out;
    }
}
