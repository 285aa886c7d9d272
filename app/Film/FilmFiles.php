<?php

declare(strict_types=1);

namespace App\Film;

use App\Models\Casts\Cell;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\Storage;

/** The films disk seen as files of this machine: ffmpeg and byte ranges want those. */
final readonly class FilmFiles
{
    /** Where the file lies here; a distant disk's is copied once and kept. */
    public function local(string $path): string
    {
        $disk = $this->disk();
        if ($disk instanceof LocalFilesystemAdapter) {
            return $disk->path($path);
        }
        $copy = storage_path('app/private/copies/'.sha1($path));
        if (! is_file($copy)) {
            is_dir(dirname($copy)) || mkdir(dirname($copy), 0700, true);
            $part = $copy.'.'.bin2hex(random_bytes(4));
            file_put_contents(
                $part,
                $disk->readStream($path) ?? throw new \RuntimeException("$path is not on the films disk"),
            );
            rename($part, $copy);
        }

        return $copy;
    }

    public function has(string $path): bool
    {
        return $this->disk()->exists($path);
    }

    public function put(string $path, string $from): void
    {
        $stream = fopen($from, 'rb') ?: throw new \RuntimeException("$from cannot be read");
        try {
            $this->disk()->put($path, $stream);
        } finally {
            is_resource($stream) && fclose($stream);
        }
    }

    /** Removes all that is kept of a film, by its public name: original, stream and pictures. */
    public function forget(string $folder): void
    {
        foreach ($this->disk()->files($folder) as $path) {
            @unlink(storage_path('app/private/copies/'.sha1(Cell::text($path))));
        }
        $this->disk()->deleteDirectory($folder);
        @unlink(storage_path("app/private/arriving/$folder"));
    }

    public function keeps(string $folder): bool
    {
        return $folder !== '' && $this->disk()->files($folder) !== [];
    }

    private function disk(): FilesystemAdapter
    {
        /** @var FilesystemAdapter */
        return Storage::disk('films');
    }
}
