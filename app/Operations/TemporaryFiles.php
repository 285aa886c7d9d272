<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\File;

/** What was left lying by a process that was killed: films on their way, archives half written. */
final readonly class TemporaryFiles
{
    private const HOURS = 24;

    /** Takes away what is old, in the installation's own folder and nowhere else; once an hour at most. */
    public static function sweep(?string $folder = null): int
    {
        $folder ??= sys_get_temp_dir();
        $own = realpath(storage_path()) ?: storage_path();
        if (! str_starts_with((string) realpath($folder), "$own/") || ! Cache::add('temporary-files-swept', 1, 3600)) {
            return 0;
        }
        $gone = 0;
        foreach (new \FilesystemIterator($folder) as $file) {
            if (! $file instanceof \SplFileInfo || $file->isLink() || $file->getMTime() >= time() - 3600 * self::HOURS) {
                continue;
            }
            $gone += (int) ($file->isDir() ? File::deleteDirectory($file->getPathname()) : @unlink($file->getPathname()));
        }

        return $gone;
    }
}
