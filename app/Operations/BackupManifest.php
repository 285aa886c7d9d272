<?php

declare(strict_types=1);

namespace App\Operations;

use RuntimeException;

/**
 * What a backup holds. It lies open beside it, under a code of the vault's.
 *
 * @phpstan-type Part array{name: string, part: string, bytes: int, sha256: string}
 * @phpstan-type Counted array{rows: int, sum: string}
 */
final readonly class BackupManifest
{
    public const FORMAT = 'verified-consensus/backup';

    public const VERSION = 1;

    /**
     * @param  string  $release  of the program that made it
     * @param  array{int, string}  $record  the end of the record's chain
     * @param  array<string, Counted>  $tables
     * @param  Part  $database
     * @param  Part  $secrets
     * @param  list<Part>  $files  by "disk/path"
     * @param  list<string>  $gone  files that were taken away while it was made
     */
    public function __construct(
        public string $name,
        public string $madeAt,
        public string $release,
        public array $record,
        public array $tables,
        public array $database,
        public array $secrets,
        public array $files,
        public array $gone = [],
    ) {
    }

    /** @return list<string> the names of all parts that it needs */
    public function parts(): array
    {
        return array_values(array_unique([
            $this->database['part'],
            $this->secrets['part'],
            ...array_column($this->files, 'part'),
        ]));
    }

    public function write(string $path, BackupVault $vault): void
    {
        $text = json_encode(
            ['format' => self::FORMAT, 'version' => self::VERSION, ...get_object_vars($this)],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        )."\n";
        $mode = umask(0077);
        // The code first: what has no manifest yet is no backup.
        $isWritten = file_put_contents("$path.mac", $vault->mac($text)."\n") !== false &&
            file_put_contents("$path.new", $text) !== false && rename("$path.new", $path);
        umask($mode);
        if (! $isWritten) {
            throw new RuntimeException("$path could not be written");
        }
    }

    public static function read(string $path, BackupVault $vault): self
    {
        $text = @file_get_contents($path);
        $mac = @file_get_contents("$path.mac");
        if ($text === false || $mac === false || ! hash_equals($vault->mac($text), trim($mac))) {
            throw new RuntimeException(
                basename(dirname($path)).': its manifest was changed, or lies under another key',
            );
        }
        $is = json_decode($text, true, 16, JSON_THROW_ON_ERROR);
        if (! is_array($is) || ($is['format'] ?? null) !== self::FORMAT || ($is['version'] ?? null) !== self::VERSION) {
            throw new RuntimeException(basename(dirname($path)).' is no backup that this program knows');
        }

        // The code over it says that this class wrote it.
        /** @phpstan-ignore argument.type, argument.type, argument.type, argument.type, argument.type, argument.type */
        return new self(...array_diff_key($is, ['format' => 0, 'version' => 0]));
    }
}
