<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/** What the role under which the application runs may do to the tables, which are another role's. */
final readonly class AppRole
{
    /** Rows are added to these and never changed: a falsified record would need the owner. */
    private const ADDED_TO = ['audit_entries', 'audit_seals'];

    /** Of these no row is taken out: an academy that could be made anew could be called a sample and cleared. */
    private const KEPT = ['academies'];

    /** What only who owns the tables can do, by the names of commands. */
    private const OWNERS = [
        'migrate',
        'migrate:fresh',
        'migrate:install',
        'migrate:refresh',
        'migrate:reset',
        'migrate:rollback',
        'db:wipe',
        'archive:import',
        'demo:grow',
    ];

    /** A command that changes tables runs as their owner, every other as the application. */
    public static function forCommand(?string $command): void
    {
        if (in_array($command, self::OWNERS, true)) {
            DB::setDefaultConnection('owner');
        }
    }

    /** Said anew after every migration: new tables are there then. */
    public static function grant(): void
    {
        $app = config('database.app_role');
        $owner = DB::connection('owner');
        $isOwners = $app === config('database.connections.owner.username');
        if (! is_string($app) || $isOwners || ! self::exists($owner, $app)) {
            return;
        }
        $role = self::quoted($app);
        $owner->unprepared(<<<SQL
            revoke all on schema public from public;
            revoke all on all tables in schema public from $role;
            grant usage on schema public to $role;
            grant select, insert, update, delete on all tables in schema public to $role;
            grant usage, select on all sequences in schema public to $role;
            grant execute on all functions in schema public to $role;
            SQL);
        foreach (self::ADDED_TO as $table) {
            $owner->unprepared("revoke update, delete on $table from $role");
        }
        foreach (self::KEPT as $table) {
            $owner->unprepared("revoke delete on $table from $role");
        }
        $owner->unprepared("revoke insert, update, delete on migrations from $role");
    }

    private static function exists(Connection $on, string $role): bool
    {
        return $on->selectOne('select 1 from pg_roles where rolname = ?', [$role]) !== null;
    }

    private static function quoted(string $name): string
    {
        return '"'.str_replace('"', '""', $name).'"';
    }
}
