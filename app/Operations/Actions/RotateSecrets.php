<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Academy\ConsentPapers;
use App\Models\Casts\Cell;
use App\Operations\EnvFile;
use App\Operations\Events\SecretsRotated;
use App\Operations\Tables;
use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Gives the installation other secrets. The application's key of before goes on opening what it closed – cookies,
 * links, the record's codes –, and what is kept for long is laid under the new one. It may be killed anywhere and run
 * again.
 */
final readonly class RotateSecrets
{
    private const CIPHER = 'AES-256-CBC';

    public function __construct(private ConsentPapers $papers)
    {
    }

    /** @return int how much was laid under the new key */
    public function key(EnvFile $env): int
    {
        $before = $env->get('APP_KEY');
        $new = 'base64:'.base64_encode(Encrypter::generateKey(self::CIPHER));
        $earlier = array_filter(
            explode(',', $env->get('APP_PREVIOUS_KEYS')),
            static fn (string $key): bool => $key !== '',
        );
        // From here on both keys open: whoever is at work notices nothing.
        $env->set(['APP_KEY' => $new, 'APP_PREVIOUS_KEYS' => implode(',', array_unique([$before, ...$earlier]))]);
        $bytes = static fn (string $key): string => (string) base64_decode(Str::after($key, 'base64:'), true);
        $crypt = (new Encrypter($bytes($new), self::CIPHER))
            ->previousKeys(array_map($bytes, array_values(array_unique([$before, ...$earlier]))));
        config(['app.key' => $new, 'app.previous_keys' => array_values(array_unique([$before, ...$earlier]))]);
        app()->instance('encrypter', $crypt);
        Crypt::clearResolvedInstances();

        return $this->layUnder();
    }

    /** @return int how much was laid under the key that is in use */
    public function layUnder(): int
    {
        $done = 0;
        foreach (Tables::SECRET as $table => $columns) {
            foreach ($columns as $column) {
                $by = $table === 'subject_keys' ? 'subject' : 'id';
                foreach (DB::table($table)->whereNotNull($column)->orderBy($by)->pluck($by) as $id) {
                    DB::transaction(static function () use ($table, $column, $by, $id): void {
                        $row = DB::table($table)->where($by, $id)->lockForUpdate()->first([$column]);
                        $held = Cell::text($row->$column ?? '');
                        if ($held !== '') {
                            DB::table($table)->where($by, $id)->update([
                                $column => Crypt::encryptString(Crypt::decryptString($held)),
                            ]);
                        }
                    });
                    $done++;
                }
            }
        }
        $done += $this->papers->layUnder();
        event(new SecretsRotated('key', $done));

        return $done;
    }

    /** Other passwords for both roles of the database. Connections that are open stay open. */
    public function database(EnvFile $env): void
    {
        $passwords = ['DB_PASSWORD' => Str::random(32), 'DB_APP_PASSWORD' => Str::random(32)];
        $roles = [
            'DB_PASSWORD' => config('database.connections.owner.username'),
            'DB_APP_PASSWORD' => config('database.app_role'),
        ];
        DB::connection('owner')->transaction(static function () use ($env, $passwords, $roles): void {
            foreach ($roles as $name => $role) {
                DB::connection('owner')->unprepared(sprintf(
                    'alter role "%s" password \'%s\'',
                    str_replace('"', '""', Cell::text($role)),
                    $passwords[$name],
                ));
            }
            $env->set($passwords);
        });
        event(new SecretsRotated('database', 2));
    }
}
