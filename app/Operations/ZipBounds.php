<?php

declare(strict_types=1);

namespace App\Operations;

use App\Exceptions\ActionException;
use ZipArchive;

/** How large an archive may be before anything of it is opened: a few kilobytes can promise what no disk holds. */
final readonly class ZipBounds
{
    private const ENTRIES = 400_000;

    private const BYTES = 500 * 1024 ** 3;

    /** What numbers and films are never packed to; of small entries it says nothing. */
    private const RATIO = 300;

    private const SMALL = 1_048_576;

    /** @throws ActionException */
    public static function hold(ZipArchive $zip): void
    {
        $total = 0;
        for ($i = 0; $i < $zip->numFiles && $i <= self::ENTRIES; $i++) {
            $stat = $zip->statIndex($i);
            $bytes = $stat === false ? 0 : $stat['size'];
            $total += $bytes;
            if ($bytes > self::SMALL && $bytes > self::RATIO * max(1, $stat['comp_size'] ?? 0)) {
                throw ActionException::because('refusals.operations.swells', [
                    'name' => mb_substr(mb_scrub($stat['name'] ?? ''), 0, 60),
                ]);
            }
        }
        if ($zip->numFiles > self::ENTRIES || $total > self::BYTES) {
            throw ActionException::because('refusals.operations.too-much');
        }
    }
}
