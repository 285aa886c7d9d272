<?php

declare(strict_types=1);

namespace App\Operations;

use App\Exceptions\ActionException;
use App\Film\FilmFiles;
use App\Models\Casts\Cell;
use App\Models\ConsentPaper;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** What an academy keeps beside its tables: films with what was made of them, files on their way in, scanned forms. */
final readonly class HouseFiles
{
    private const DISKS = ['films', 'imports', 'papers'];

    /**
     * Those that a row speaks of; what lies about beside them is nobody's.
     *
     * @return \Generator<string> "disk/path" of each
     */
    public function named(): \Generator
    {
        $films = Storage::disk('films');
        foreach (DB::table('films')->orderBy('id')->pluck('public_id') as $id) {
            yield from self::on('films', $films->allFiles(Cell::text($id)));
            yield from self::on('films', $films->allFiles(FilmFiles::arriving(Cell::text($id))));
        }
        foreach (DB::table('renditions')->orderBy('id')->pluck('public_id') as $id) {
            yield from self::on('films', $films->allFiles('renditions/'.Cell::text($id)));
        }
        foreach (DB::table('imports')->orderBy('id')->get(['path', 'meta_path']) as $import) {
            yield from self::there('imports', $import->path, $import->meta_path);
        }
        foreach (DB::table('consent_papers')->orderBy('id')->pluck('public_id') as $id) {
            yield from self::there(ConsentPaper::DISK, 'papers/'.Cell::text($id));
        }
    }

    /**
     * @param  string  $folder  of this machine, for what does not lie here as it is to travel
     * @return string a file of this machine with the bytes that travel
     */
    public function outgoing(string $name, string $folder): string
    {
        [$disk, $path] = explode('/', $name, 2);
        $of = self::disk($disk);
        // Pictures may be made anew while the archive is written; films are written once.
        if ($disk !== ConsentPaper::DISK && $of instanceof LocalFilesystemAdapter && ! str_ends_with($path, '.jpg')) {
            return $of->path($path);
        }
        $to = $folder.'/'.hash('sha256', $name);
        file_put_contents($to, $disk === ConsentPaper::DISK
            ? Crypt::decryptString((string) $of->get($path))
            : $of->readStream($path) ?? throw new \RuntimeException("$name cannot be read"));

        return $to;
    }

    /** Whether the file lies here already, byte for byte. */
    public function has(string $name, string $hash): bool
    {
        [$disk, $path] = $this->place($name);
        $of = self::disk($disk);
        if (! $of->exists($path)) {
            return false;
        }
        if ($disk === ConsentPaper::DISK) {
            return hash('sha256', Crypt::decryptString((string) $of->get($path))) === $hash;
        }
        $stream = $of->readStream($path);
        if ($stream === null) {
            return false;
        }
        $sum = hash_init('sha256');
        hash_update_stream($sum, $stream);

        return hash_final($sum) === $hash;
    }

    /** Lays a file down from one of this machine. */
    public function take(string $name, string $from): void
    {
        [$disk, $path] = $this->place($name);
        if ($disk === ConsentPaper::DISK) {
            self::disk($disk)->put($path, Crypt::encryptString((string) file_get_contents($from)));

            return;
        }
        $stream = fopen($from, 'rb') ?: throw new \RuntimeException("$from cannot be read");
        try {
            self::disk($disk)->put($path, $stream);
        } finally {
            is_resource($stream) && fclose($stream);
        }
    }

    /**
     * As it lies on its disk, closed or not, for a backup.
     *
     * @param  string  $folder  of this machine, for what does not lie here or may be made anew meanwhile
     * @return ?string a file of this machine; null where it has gone
     */
    public function raw(string $name, string $folder): ?string
    {
        [$disk, $path] = explode('/', $name, 2);
        $of = self::disk($disk);
        if ($of instanceof LocalFilesystemAdapter && ! str_ends_with($path, '.jpg')) {
            return is_file($of->path($path)) ? $of->path($path) : null;
        }
        $from = $of->exists($path) ? $of->readStream($path) : null;
        if ($from === null) {
            return null;
        }
        $to = $folder.'/'.hash('sha256', $name);
        file_put_contents($to, $from);

        return $to;
    }

    /**
     * Lays a file down as it lay on its disk.
     *
     * @param  callable(callable(string): void): array{bytes: int, sha256: string}  $opened  hands on its bytes
     */
    public function lay(string $name, string $sha256, callable $opened): void
    {
        [$disk, $path] = $this->place($name);
        $new = tempnam(sys_get_temp_dir(), 'vc-lay-') ?: throw new \RuntimeException('there is no room for a file');
        $to = fopen($new, 'w+b') ?: throw new \RuntimeException("$new cannot be written");
        try {
            $is = $opened(static function (string $bytes) use ($to): void {
                fwrite($to, $bytes) === strlen($bytes) || throw new \RuntimeException('the disk is full');
            });
            if ($is['sha256'] !== $sha256) {
                throw new \RuntimeException("$name: other bytes");
            }
            rewind($to);
            self::disk($disk)->put($path, $to);
        } finally {
            is_resource($to) && fclose($to);
            unlink($new);
        }
    }

    /**
     * Names come from outside: only places that such files have here are taken.
     *
     * @return array{string, string}
     *
     * @throws ActionException
     */
    private function place(string $name): array
    {
        $parts = explode('/', $name);
        foreach ($parts as $part) {
            if (preg_match('/^[A-Za-z0-9_-][A-Za-z0-9._-]{0,120}$/D', $part) !== 1) {
                throw ActionException::because('refusals.house.no-place', ['name' => mb_substr($name, 0, 60)]);
            }
        }
        $disk = array_shift($parts);
        if (! in_array($disk, self::DISKS, true) || count($parts) < 2 || count($parts) > 4) {
            throw ActionException::because('refusals.house.no-place', ['name' => mb_substr($name, 0, 60)]);
        }
        // These two lie on a disk with other things on it.
        if ($disk !== 'films' && $parts[0] !== $disk) {
            throw ActionException::because('refusals.house.no-place', ['name' => mb_substr($name, 0, 60)]);
        }

        return [$disk, implode('/', $parts)];
    }

    /**
     * @param  array<mixed>  $paths
     * @return \Generator<string>
     */
    private static function on(string $disk, array $paths): \Generator
    {
        foreach ($paths as $path) {
            yield "$disk/".Cell::text($path);
        }
    }

    /** @return \Generator<string> */
    private static function there(string $disk, mixed ...$paths): \Generator
    {
        foreach ($paths as $path) {
            if (is_string($path) && self::disk($disk)->exists($path)) {
                yield "$disk/$path";
            }
        }
    }

    private static function disk(string $name): FilesystemAdapter
    {
        /** @var FilesystemAdapter */
        return Storage::disk($name);
    }
}
