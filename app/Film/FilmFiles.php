<?php

declare(strict_types=1);

namespace App\Film;

use App\Models\Casts\Cell;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * The films disk: a folder of this machine, or a store that several machines share. A film arrives as parts, each a
 * file of its own named by the byte it begins at, so that any machine may take any part; they are joined afterwards.
 */
final readonly class FilmFiles
{
    /** Digits of the byte a part begins at: names in order are parts in order. */
    private const DIGITS = 12;

    /**
     * Does something with the file as one of this machine: ffmpeg wants that. A distant disk's is copied for as long.
     *
     * @template T
     *
     * @param  callable(string): T  $work
     * @param  (callable(): void)|null  $beat  called now and then while it is copied
     * @return T
     */
    public function worked(string $path, callable $work, ?callable $beat = null): mixed
    {
        return $this->apart(fn (string $folder): mixed => $work($this->local($path, $folder, $beat)));
    }

    /**
     * @param  string  $folder  of this machine, for a copy of what does not lie here
     * @param  (callable(): void)|null  $beat
     * @return string a file of this machine
     */
    public function local(string $path, string $folder, ?callable $beat = null): string
    {
        $disk = $this->disk();
        if ($disk instanceof LocalFilesystemAdapter) {
            return $disk->path($path);
        }
        $copy = $folder.'/'.sha1($path);
        $to = fopen($copy, 'wb') ?: throw new \RuntimeException("$copy cannot be written");
        try {
            if (self::poured($disk, $path, $to, $beat) !== $disk->size($path)) {
                throw new \RuntimeException("$path could not be copied whole");
            }
        } finally {
            fclose($to);
        }

        return $copy;
    }

    /**
     * A folder for nobody else to look into, gone when the work is done.
     *
     * @template T
     *
     * @param  callable(string): T  $work
     * @return T
     */
    public function apart(callable $work): mixed
    {
        $folder = sys_get_temp_dir().'/vc-films-'.Str::uuid();
        File::makeDirectory($folder, 0700);
        try {
            return $work($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    public function has(string $path): bool
    {
        return $this->disk()->exists($path);
    }

    /** @return ?int bytes; null where there is none */
    public function size(string $path): ?int
    {
        return $this->has($path) ? $this->disk()->size($path) : null;
    }

    /** @param  (callable(): void)|null  $beat  called before each piece that goes to a distant disk */
    public function put(string $path, string $from, ?callable $beat = null): void
    {
        $stream = fopen($from, 'rb') ?: throw new \RuntimeException("$from cannot be read");
        try {
            $this->disk()->put($path, $stream, $beat === null ? [] : [
                'before_upload' => static function () use ($beat): void {
                    $beat();
                },
            ]);
        } finally {
            is_resource($stream) && fclose($stream);
        }
    }

    /** Lays a part down; the same place again replaces what a broken write left there. */
    public function putPart(string $folder, int $offset, string $bytes): void
    {
        $this->disk()->put(sprintf('%s/%0'.self::DIGITS.'d', self::arriving($folder), $offset), $bytes);
    }

    /**
     * The parts of a film one after the other.
     *
     * @param  string  $to  a file of this machine
     * @param  callable(): void  $beat
     * @return ?string the sum (SHA-256) of all; null where a part is missing, or not as long as the next one says
     */
    public function join(string $folder, int $bytes, string $to, callable $beat): ?string
    {
        $disk = $this->disk();
        $parts = array_map(Cell::text(...), $disk->files(self::arriving($folder)));
        sort($parts);
        $out = fopen($to, 'wb') ?: throw new \RuntimeException("$to cannot be written");
        $at = 0;
        try {
            foreach ($parts as $part) {
                if ((int) basename($part) !== $at) {
                    return null;
                }
                $at += self::poured($disk, $part, $out, $beat);
            }
        } finally {
            fclose($out);
        }

        return $at === $bytes ? (string) hash_file('sha256', $to) : null;
    }

    public function forgetParts(string $folder): void
    {
        $this->disk()->deleteDirectory(self::arriving($folder));
    }

    /** Removes all that is kept of a film, by its public name: original, stream, pictures, and parts on their way. */
    public function forget(string $folder): void
    {
        $this->disk()->deleteDirectory($folder);
        $this->forgetParts($folder);
    }

    public function keeps(string $folder): bool
    {
        return $folder !== '' && $this->disk()->files($folder) !== [];
    }

    /** Where the parts of a film lie, on the films disk. */
    public static function arriving(string $folder): string
    {
        return "arriving/$folder";
    }

    /**
     * @param  resource  $to
     * @param  (callable(): void)|null  $beat
     * @return int bytes
     */
    private static function poured(FilesystemAdapter $disk, string $path, $to, ?callable $beat): int
    {
        $from = $disk->readStream($path) ?? throw new \RuntimeException("$path is not on the films disk");
        $bytes = 0;
        while (! feof($from)) {
            $read = (string) fread($from, 1 << 16);
            fwrite($to, $read) === strlen($read) || throw new \RuntimeException('the disk is full');
            $bytes += strlen($read);
            if ($beat !== null) {
                $beat();
            }
        }
        fclose($from);

        return $bytes;
    }

    private function disk(): FilesystemAdapter
    {
        /** @var FilesystemAdapter */
        return Storage::disk('films');
    }
}
