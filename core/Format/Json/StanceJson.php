<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\CoreException;
use Core\Format\FormatException;
use Core\Trace\Foot;
use Core\Trace\Stance;

/** Where both feet stand, as every file, device and row has it: {"lead_foot": {"x_mm", …}, "trail_foot": {…}}. */
final class StanceJson
{
    /** @return array{lead_foot: array<string, float|null>, trail_foot: array<string, float|null>} */
    public static function write(Stance $stance): array
    {
        return ['lead_foot' => self::foot($stance->lead), 'trail_foot' => self::foot($stance->trail)];
    }

    /** @return array{lead_foot: array<string, float|null>, trail_foot: array<string, float|null>}|null */
    public static function orNull(?Stance $stance): ?array
    {
        return $stance === null ? null : self::write($stance);
    }

    /**
     * What may be absent has its usual value.
     *
     * @throws CoreException when a foot is missing or stands where none can
     */
    public static function read(JsonObject $o): Stance
    {
        return new Stance(self::readFoot($o, 'lead_foot'), self::readFoot($o, 'trail_foot'));
    }

    /** @return array<string, float|null> */
    private static function foot(Foot $f): array
    {
        return [
            'x_mm' => $f->xMm,
            'y_mm' => $f->yMm,
            'length_mm' => $f->lengthMm,
            'width_mm' => $f->widthMm,
            'flare_deg' => $f->flareDeg,
        ];
    }

    /**
     * @throws FormatException
     * @throws CoreException
     */
    private static function readFoot(JsonObject $stance, string $name): Foot
    {
        $o = $stance->has($name) ? $stance->object($name) : throw $stance->wrong($name, 'is-missing');

        return new Foot(
            $o->number('x_mm'),
            $o->optionalNumber('y_mm') ?? 0.0,
            $o->optionalNumber('length_mm') ?? Foot::LENGTH_MM,
            $o->optionalNumber('width_mm') ?? Foot::WIDTH_MM,
            $o->optionalNumber('flare_deg'),
        );
    }
}
