<?php

use App\Audit\RecordChain;
use App\Models\Academy;
use Illuminate\Support\Facades\DB;

/**
 * What the database says to it as the application's role, past what switches roles for tests; null where it does it.
 */
function saidToTheApplication(string $sql): ?string
{
    DB::select('select 1');
    $pdo = DB::getPdo();
    $pdo->exec('savepoint tried');
    try {
        $pdo->exec($sql);

        return null;
    } catch (PDOException $e) {
        return (string) $e->getCode();
    } finally {
        $pdo->exec('rollback to savepoint tried');
    }
}

it('runs under a role that owns nothing and can do nothing to the cluster', function () {
    $role = DB::selectOne('select current_user as name, r.* from pg_roles r where rolname = current_user');
    expect($role->name)->toBe(config('database.app_role'))
        ->and([$role->rolsuper, $role->rolcreatedb, $role->rolcreaterole, $role->rolreplication, $role->rolbypassrls])
        ->toBe([false, false, false, false, false]);
    expect(
        DB::select('select relname from pg_class c join pg_roles r on r.oid = c.relowner where rolname = current_user'),
    )
        ->toBe([])
        ->and(
            DB::select(
                'select 1 from pg_auth_members m join pg_roles r on r.oid = m.member where rolname = current_user',
            ),
        )
        ->toBe([]);
});

it('lets the application change no table, guard or entry of the record', function () {
    noted($this->headCoach(), 'mark', 'x');
    app(RecordChain::class)->seal();
    foreach ([
        'alter table sittings disable trigger user', 'drop table cache', 'truncate calls cascade',
        'create table mine (id int)',
        'create function mine() returns int language sql as $$ select 1 $$', 'set session_replication_role = replica',
        'drop trigger calls_locked on calls', "update audit_entries set action = 'x'", 'delete from audit_entries',
        'delete from audit_seals', "update audit_seals set hash = ''", 'delete from academies',
        'delete from migrations',
        'alter role current_user superuser', "copy (select 1) to program 'true'", "select pg_read_file('/etc/passwd')",
        'select rolpassword from pg_authid', 'create temp table t (id int); create extension pgcrypto',
        "do $$ begin execute 'truncate audit_entries cascade'; end $$",
        'lock table audit_entries in access exclusive mode',
        'comment on table audit_entries is null', 'create schema mine',
    ] as $sql) {
        expect(saidToTheApplication($sql))->toBeIn(['42501', '42809'], $sql);
    }
});

it('empties tables on a page’s behalf only for the invented academy, and makes no academy that', function () {
    Academy::query()->update(['is_sample' => false]);
    expect(saidToTheApplication('select clear_sample()'))->toBe('23514')
        ->and(saidToTheApplication('update academies set is_sample = true'))->toBe('23514')
        ->and(saidToTheApplication("update academies set name = 'Another'"))->toBeNull()
        ->and(DB::table('users')->count())->toBeGreaterThan(3);
});

it('has every table that is read and written open to it, and no sequence closed', function () {
    foreach (DB::select("select tablename as name from pg_tables where schemaname = 'public'") as $table) {
        foreach (['select', 'insert'] as $what) {
            $may = DB::selectOne('select has_table_privilege(?, ?) as may', [$table->name, $what])->may;
            expect($may)->toBe($table->name !== 'migrations' || $what === 'select', "$what $table->name");
        }
    }
    foreach (DB::select("select sequencename as name from pg_sequences where schemaname = 'public'") as $sequence) {
        expect(DB::selectOne('select has_sequence_privilege(?, ?) as may', [$sequence->name, 'usage'])->may)
            ->toBeTrue();
    }
});
