<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        // The one thing that empties tables on a page's behalf, and only those of the invented academy: no academy
        // becomes one.
        DB::unprepared(<<<'SQL'
            create or replace function sample_is_no_choice() returns trigger language plpgsql as $$
            begin
                if new.is_sample and not old.is_sample then
                    raise exception 'an academy does not become a sample' using errcode = 'check_violation';
                end if;
                return new;
            end $$;
            create trigger academies_sample before update on academies
                for each row execute function sample_is_no_choice();

            create or replace function clear_sample() returns void language plpgsql security definer
                set search_path = public, pg_temp as $$
            declare every text;
            begin
                perform 1 from academies where is_sample for update;
                if not found then
                    raise exception 'there is no sample to clear' using errcode = 'check_violation';
                end if;
                select string_agg(format('%I', tablename), ', ') into every from pg_tables
                    where schemaname = 'public' and tablename not in ('migrations', 'cache_locks');
                execute 'truncate ' || every || ' restart identity cascade';
            end $$;
            revoke all on function clear_sample() from public;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop function clear_sample();
            drop trigger academies_sample on academies;
            drop function sample_is_no_choice();
            SQL);
    }
};
