<?php

declare(strict_types=1);

namespace App\Http;

/**
 * Names the scripts and styles that are shipped now. They lie beneath their release, so that a browser keeps them for
 * good and asks for nothing that it has; a changed file is another release. bin/lib/router.php serves them.
 */
final class Release
{
    /** Where parts of a release lie: its name and the path of the file. */
    public const PATH = '#^/parts/([0-9a-f]{12})(/(?:js|css|vendor)/.+)$#D';

    private static ?string $current = null;

    /** Looked up anew: what asks for this begins a page. */
    public static function current(): string
    {
        return self::$current = self::of(public_path());
    }

    public static function of(string $public): string
    {
        $files = [
            ...glob("$public/css/*") ?: [],
            ...glob("$public/js/*.js") ?: [],
            ...glob("$public/js/*/*.js") ?: [],
            ...glob("$public/vendor/*/*") ?: [],
        ];
        $made = array_map(static fn (string $f): string => basename($f).filemtime($f).'-'.filesize($f), $files);

        return substr(hash('sha256', implode('|', $made)), 0, 12);
    }

    /** Where a page finds a script or a style, as in js/bench/page.js. */
    public static function part(string $file): string
    {
        return '/parts/'.(self::$current ??= self::current())."/$file";
    }
}
