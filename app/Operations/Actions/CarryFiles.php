<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Models\Casts\Cell;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\Storage;

/**
 * Carries what lies in this machine's folders to the disks it is configured to lie on, such as a store that several
 * machines share. What is there already with the same bytes stays; nothing here is taken away. Safe to run again.
 */
final readonly class CarryFiles
{
    /** The folders that are an academy's, by disk. */
    private const THEIRS = ['films' => '', 'imports' => 'imports', 'papers' => 'papers', 'exports' => 'rounds'];

    /**
     * @param  callable(string, bool): void|null  $told  of each file: its name, and whether it had to be carried
     * @return array{carried: int, there: int}
     */
    public function __invoke(?callable $told = null): array
    {
        $done = ['carried' => 0, 'there' => 0];
        foreach (self::THEIRS as $kind => $folder) {
            /** @var FilesystemAdapter $to */
            $to = Storage::disk($kind);
            if ($to instanceof LocalFilesystemAdapter) {
                continue;
            }
            /** @var FilesystemAdapter $here */
            $here = Storage::build(['driver' => 'local', 'root' => config("filesystems.here.$kind"), 'throw' => true]);
            foreach (array_map(Cell::text(...), $here->allFiles($folder)) as $path) {
                $is = self::same($here, $to, $path);
                if (! $is) {
                    $this->carry($here, $to, $path);
                }
                $done[$is ? 'there' : 'carried']++;
                if ($told !== null) {
                    $told("$kind/$path", ! $is);
                }
            }
        }

        return $done;
    }

    private function carry(FilesystemAdapter $here, FilesystemAdapter $to, string $path): void
    {
        $from = $here->readStream($path) ?? throw new \RuntimeException("$path cannot be read");
        try {
            $to->put($path, $from);
        } finally {
            is_resource($from) && fclose($from);
        }
        if (! self::same($here, $to, $path)) {
            throw new \RuntimeException("$path did not come over whole");
        }
    }

    private static function same(FilesystemAdapter $here, FilesystemAdapter $to, string $path): bool
    {
        return $to->exists($path) && $to->size($path) === $here->size($path) &&
            self::sum($to, $path) === self::sum($here, $path);
    }

    private static function sum(FilesystemAdapter $of, string $path): string
    {
        $from = $of->readStream($path) ?? throw new \RuntimeException("$path cannot be read");
        $sum = hash_init('sha256');
        hash_update_stream($sum, $from);
        fclose($from);

        return hash_final($sum);
    }
}
