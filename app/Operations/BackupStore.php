<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Carbon;
use RuntimeException;

/**
 * Where backups lie: a folder each with its manifest, and beside them the parts, which backups share – a film that has
 * not changed lies there once.
 */
final readonly class BackupStore
{
    public string $root;

    public function __construct()
    {
        $root = config('backup.root');
        $this->root = is_string($root) ? rtrim($root, '/') : throw new RuntimeException('backup.root is not set');
    }

    public function vault(): BackupVault
    {
        $key = config('backup.key');

        return new BackupVault(is_string($key) ? $key : '');
    }

    public function prepare(): void
    {
        foreach ([$this->root, "$this->root/parts"] as $folder) {
            if (! is_dir($folder) && ! @mkdir($folder, 0700, true)) {
                throw new RuntimeException("$folder could not be made");
            }
        }
    }

    /** @return list<string> the names of those that are whole, the newest last */
    public function names(): array
    {
        $found = glob("$this->root/*/manifest.json") ?: [];
        sort($found);

        return array_map(static fn (string $path): string => basename(dirname($path)), $found);
    }

    /** @return list<Carbon> when each was made, the newest last */
    public function dates(): array
    {
        return array_map(
            static fn (string $name): Carbon => Carbon::parse(substr($name, 0, 16)),
            $this->names(),
        );
    }

    public function manifest(string $name): BackupManifest
    {
        if (preg_match('/^[0-9TZ-]{16,40}$/', $name) !== 1 || ! is_file("$this->root/$name/manifest.json")) {
            throw new RuntimeException("there is no backup $name");
        }

        return BackupManifest::read("$this->root/$name/manifest.json", $this->vault());
    }

    public function part(string $name): string
    {
        return "$this->root/parts/".substr($name, 0, 2)."/$name";
    }

    /**
     * Lays a part down, where it does not lie there already.
     *
     * @return array{name: string, part: string, bytes: int, sha256: string}
     */
    public function keep(string $name, string $file): array
    {
        $from = @fopen($file, 'rb') ?: throw new RuntimeException("$name cannot be read");
        $new = "$this->root/parts/new-".bin2hex(random_bytes(8));
        $vault = $this->vault();
        try {
            $sum = (string) hash_file('sha256', $file);
            $part = $vault->name($sum);
            $to = $this->part($part);
            if (is_file($to)) {
                return ['name' => $name, 'part' => $part, 'bytes' => (int) filesize($file), 'sha256' => $sum];
            }
            is_dir(dirname($to)) || mkdir(dirname($to), 0700);
            $closed = $vault->close($from, $new);
            if ($closed['sha256'] !== $sum) {
                throw new RuntimeException("$name was changed while it was copied");
            }
            if (! chmod($new, 0600) || ! rename($new, $to)) {
                throw new RuntimeException("$to could not be written");
            }

            return ['name' => $name, 'part' => $part, ...$closed];
        } finally {
            fclose($from);
            is_file($new) && unlink($new);
        }
    }

    /** Takes a backup away, and the parts that no other needs. */
    public function forget(string $name): void
    {
        foreach (glob("$this->root/$name/*") ?: [] as $file) {
            unlink($file);
        }
        rmdir("$this->root/$name");
        $needed = [];
        foreach ($this->names() as $other) {
            $needed += array_flip($this->manifest($other)->parts());
        }
        foreach (glob("$this->root/parts/??/*") ?: [] as $file) {
            isset($needed[basename($file)]) || unlink($file);
        }
    }

    /** One at a time: none is rotated out while another takes up its parts. */
    public function alone(callable $do): mixed
    {
        $this->prepare();
        $lock = fopen("$this->root/lock", 'cb') ?: throw new RuntimeException("$this->root cannot be written");
        try {
            if (! flock($lock, LOCK_EX | LOCK_NB)) {
                throw new RuntimeException('another backup is at work');
            }
            // Left by one that was killed.
            array_map(unlink(...), glob("$this->root/parts/new-*") ?: []);

            return $do();
        } finally {
            fclose($lock);
        }
    }
}
