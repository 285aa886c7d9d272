<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Operations\BackupDatabase;
use App\Operations\BackupManifest;
use App\Operations\BackupStore;
use RuntimeException;

/** Opens every part of a backup, restores its database beside the one in use, and holds both against the manifest. */
final readonly class VerifyBackup
{
    public function __construct(private BackupStore $store, private BackupDatabase $database)
    {
    }

    /** @return list<string> what does not hold; nothing where it is whole */
    public function __invoke(string $name): array
    {
        $manifest = $this->store->manifest($name);
        $wrong = [];
        foreach ([$manifest->secrets, ...$manifest->files] as $part) {
            try {
                $is = $this->store->vault()
                    ->open($this->store->part($part['part']), static fn (string $bytes): null => null);
                if ($is['sha256'] !== $part['sha256']) {
                    $wrong[] = "{$part['name']}: other bytes";
                }
            } catch (RuntimeException $e) {
                $wrong[] = "{$part['name']}: {$e->getMessage()}";
            }
        }

        return [...$wrong, ...$this->database($manifest)];
    }

    /** @return list<string> */
    private function database(BackupManifest $manifest): array
    {
        $scratch = BackupDatabase::database().'_verify_'.bin2hex(random_bytes(4));
        $dump = "{$this->store->root}/verify-".bin2hex(random_bytes(4));
        try {
            $this->laid($manifest, $dump);
            $this->database->make($scratch);
            $this->database->restore($dump, $scratch);

            return self::differences($manifest->tables, BackupDatabase::counted(BackupDatabase::to($scratch)));
        } catch (RuntimeException $e) {
            return ["database: {$e->getMessage()}"];
        } finally {
            is_file($dump) && unlink($dump);
            $this->database->drop($scratch);
        }
    }

    /** Lays the database's dump down, open, for this machine's tools. */
    public function laid(BackupManifest $manifest, string $to): void
    {
        $mode = umask(0077);
        $out = fopen($to, 'wb') ?: throw new RuntimeException("$to cannot be written");
        umask($mode);
        try {
            $is = $this->store->vault()->open(
                $this->store->part($manifest->database['part']),
                static fn (string $bytes): mixed => fwrite($out, $bytes) === strlen($bytes)
                    ? null
                    : throw new RuntimeException('the disk is full'),
            );
        } finally {
            fclose($out);
        }
        if ($is['sha256'] !== $manifest->database['sha256']) {
            throw new RuntimeException('other bytes');
        }
    }

    /**
     * @param  array<string, array{rows: int, sum: string}>  $were
     * @param  array<string, array{rows: int, sum: string}>  $are
     * @return list<string>
     */
    public static function differences(array $were, array $are): array
    {
        $out = [];
        foreach ($were as $table => $was) {
            $is = $are[$table] ?? null;
            if ($is === null) {
                $out[] = "$table: not there";
            } elseif ($is['rows'] !== $was['rows']) {
                $out[] = "$table: {$is['rows']} rows in place of {$was['rows']}";
            } elseif ($is['sum'] !== $was['sum']) {
                $out[] = "$table: other rows";
            }
        }

        return $out;
    }
}
