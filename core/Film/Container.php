<?php

declare(strict_types=1);

namespace Core\Film;

/**
 * The wrapping of a film file, told by its first bytes and never by its name: a reader is then forced to it, so
 * that a play list or a script posing as a film opens nothing.
 */
enum Container: string
{
    case Mov = 'mov';
    case Matroska = 'matroska';

    /** @param  string  $head  at least the first 12 bytes */
    public static function recognised(string $head): ?self
    {
        return match (true) {
            in_array(substr($head, 4, 4), ['ftyp', 'moov', 'mdat', 'wide', 'free', 'skip'], true) => self::Mov,
            str_starts_with($head, "\x1A\x45\xDF\xA3") => self::Matroska,
            default => null,
        };
    }

    public function extension(): string
    {
        return $this === self::Mov ? 'mp4' : 'webm';
    }
}
