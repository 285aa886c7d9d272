<?php

declare(strict_types=1);

namespace Core\Trace;

/**
 * The kinds of quantity a recording holds, whatever the channels that carry them. A fault of the instrument
 * touches signals over a span of time; a measure is made from signals over a span of time; where both meet,
 * the measure is affected.
 */
enum Signal: string
{
    case Share = 'share';
    case Total = 'total force';
    case FootForce = 'force of each foot';
    case Horizontal = 'horizontal force';
    case Twist = 'twist';
    case Cop = 'centre of pressure';
    case FootCop = 'centre of pressure of each foot';
    case Points = 'body points';

    /** @return list<self> all that a mat or a plate records */
    public static function ofTheGround(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $s): bool => $s !== self::Points));
    }

    /** @return list<self> the signals a channel feeds */
    public static function ofChannel(string $channel, DeviceClass $device): array
    {
        $kind = preg_replace('/^(lead|trail)_(?!pct)/', '', $channel);

        return match (true) {
            $kind === 'lead_pct', $kind === 'trail_pct' => [self::Share],
            $kind === 'toe_pct' => [self::FootCop],
            str_starts_with((string) $kind, 'cop') => match ($device) {
                DeviceClass::Mat => $kind === $channel ? [self::Cop] : [self::FootCop],
                // Which way a foot points makes its place along y count in a share that is told from the place.
                DeviceClass::Plate => [self::Cop, self::Share],
                DeviceClass::DualPlate => [self::FootCop, self::Cop, self::Twist],
            },
            $kind === 'fz_n' => $device === DeviceClass::DualPlate
                ? [self::Share, self::Total, self::FootForce, self::Cop, self::Twist]
                : [self::Total, self::Share],
            $kind === 'fx_n', $kind === 'fy_n' => $device === DeviceClass::DualPlate
                ? [self::Horizontal, self::Twist]
                : [self::Horizontal],
            $kind === 'mz_nm' => [self::Twist],
            default => [],
        };
    }
}
