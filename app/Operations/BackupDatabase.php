<?php

declare(strict_types=1);

namespace App\Operations;

use App\Models\Casts\Cell;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * The database's own tools, as the owner of the tables.
 *
 * @phpstan-import-type Counted from BackupManifest
 */
final readonly class BackupDatabase
{
    /** @param  string  $snapshot  an exported one: everything is of that moment */
    public function dump(string $snapshot, string $to): void
    {
        $left = array_keys(array_filter(Tables::PLACES, static fn (array $place): bool => ! $place[3]));
        $this->run([
            'pg_dump', '--format=custom', '--compress=6', '--no-owner', '--no-privileges', "--snapshot=$snapshot",
            "--file=$to", ...array_map(static fn (string $t): string => "--exclude-table-data=public.$t", $left),
        ], self::database());
    }

    public function restore(string $from, string $database): void
    {
        $this->run(
            ['pg_restore', '--no-owner', '--no-privileges', '--exit-on-error', '--single-transaction', $from],
            $database,
            '--dbname',
        );
    }

    public function make(string $database): void
    {
        DB::connection('owner')->statement(sprintf('create database "%s"', $database));
    }

    public function drop(string $database): void
    {
        DB::connection('owner')->statement(sprintf('drop database if exists "%s" with (force)', $database));
    }

    /**
     * @return array<string, Counted> rows of every table that is backed up, and a sum that does not go by their order
     */
    public static function counted(Connection $on): array
    {
        $on->statement("set timezone to 'UTC'");
        $out = [];
        foreach (Tables::PLACES as $table => $place) {
            if ($place[3]) {
                $row = $on->selectOne(
                    'select count(*) as rows, coalesce(sum(hashtextextended(t::text, 0)::numeric), 0)::text as sum '
                        ."from \"$table\" t",
                );
                $is = (array) $row;
                $out[$table] = ['rows' => Cell::int($is['rows'] ?? 0), 'sum' => Cell::text($is['sum'] ?? '0')];
            }
        }

        return $out;
    }

    /** A connection of its own to another database on the same server. */
    public static function to(string $database): Connection
    {
        $is = config('database.connections.owner');
        config(['database.connections.scratch' => [...is_array($is) ? $is : [], 'database' => $database]]);
        DB::purge('scratch');

        return DB::connection('scratch');
    }

    public static function database(): string
    {
        return Cell::text(config('database.connections.owner.database'));
    }

    /** @param  list<string>  $command */
    private function run(array $command, string $database, string $option = ''): void
    {
        $owner = config('database.connections.owner');
        $of = static fn (string $what): string => is_array($owner) && is_scalar($owner[$what] ?? null)
            ? (string) $owner[$what]
            : '';
        $process = new Process(
            [
                ...$command, '-h', $of('host'), '-p', $of('port'), '-U', $of('username'),
                ...$option === '' ? [$database] : [$option, $database],
            ],
            null,
            ['PGPASSWORD' => $of('password'), 'PGCONNECT_TIMEOUT' => '10'],
            timeout: null,
        );
        if ($process->run() !== 0) {
            throw new RuntimeException($command[0].': '.trim($process->getErrorOutput()));
        }
    }
}
