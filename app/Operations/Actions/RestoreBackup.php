<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Exceptions\ActionException;
use App\Operations\AppRole;
use App\Operations\BackupDatabase;
use App\Operations\BackupStore;
use App\Operations\EnvFile;
use App\Operations\HouseFiles;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/** Lays a backup down in an installation that has nobody in it yet, with its files and the keys it needs. */
final readonly class RestoreBackup
{
    public function __construct(
        private BackupStore $store,
        private BackupDatabase $database,
        private VerifyBackup $verify,
        private HouseFiles $files,
    ) {
    }

    /**
     * @return array{rows: int, files: int}
     *
     * @throws ActionException where somebody is here already
     */
    public function __invoke(string $name, EnvFile $env): array
    {
        $manifest = $this->store->manifest($name);
        $owner = DB::connection('owner');
        if (Schema::connection('owner')->hasTable('users') && $owner->table('users')->exists()) {
            throw ActionException::because('refusals.operations.not-empty');
        }
        $dump = "{$this->store->root}/restore-".bin2hex(random_bytes(4));
        try {
            $this->verify->laid($manifest, $dump);
            // The files first: a database without them would promise what is not there.
            foreach ($manifest->files as $part) {
                $this->files->lay($part['name'], $part['sha256'], fn (callable $take): array => $this->store->vault()
                    ->open($this->store->part($part['part']), $take));
            }
            $owner->unprepared('drop schema public cascade; create schema public;');
            $this->database->restore($dump, BackupDatabase::database());
        } finally {
            is_file($dump) && unlink($dump);
        }
        $wrong = VerifyBackup::differences($manifest->tables, BackupDatabase::counted($owner));
        if ($wrong !== []) {
            throw new RuntimeException('what was laid down is not what was backed up: '.implode('; ', $wrong));
        }
        AppRole::grant();
        $env->set($this->secrets($manifest->secrets['part']));

        return ['rows' => array_sum(array_column($manifest->tables, 'rows')), 'files' => count($manifest->files)];
    }

    /** @return array<string, string> */
    private function secrets(string $part): array
    {
        $text = '';
        $this->store->vault()->open($this->store->part($part), static function (string $bytes) use (&$text): void {
            $text .= $bytes;
        });
        $secrets = json_decode($text, true, 4, JSON_THROW_ON_ERROR);

        $out = [];
        foreach (is_array($secrets) ? $secrets : [] as $name => $value) {
            if (is_string($value)) {
                $out[(string) $name] = $value;
            }
        }

        return $out;
    }
}
