<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('readings', fn (Blueprint $table) => $table->smallInteger('reopened')->default(0));
        // A hand-in is opened again by counting that it was; nothing else of it changes by that.
        self::rule(<<<'SQL'
            if tg_table_name = 'readings' then
                if tg_op = 'UPDATE' then
                    if old.handed_in_at is not null and new.handed_in_at is null and new.reopened = old.reopened + 1
                        and new.user_id = old.user_id and new.sitting_case_id = old.sitting_case_id
                        and new.stage = old.stage and new.version = old.version
                        and exists (select 1 from sitting_cases c join sittings s on s.id = c.sitting_id
                            where c.id = old.sitting_case_id and s.state = 'open') then
                        return new;
                    end if;
                end if;
            end if;
            SQL);
    }

    public function down(): void
    {
        self::rule('');
        Schema::table('readings', fn (Blueprint $table) => $table->dropColumn('reopened'));
    }

    private static function rule(string $again): void
    {
        DB::unprepared(<<<SQL
            create or replace function refuse_locked_reading() returns trigger language plpgsql as \$\$
            declare reading readings%rowtype;
            begin
                $again
                if tg_table_name in ('calls', 'reading_changes') then
                    select * into reading from readings where id = coalesce(new.reading_id, old.reading_id);
                else
                    reading := old;
                end if;
                if reading.handed_in_at is not null then
                    raise exception 'the reading has been handed in' using errcode = 'check_violation';
                end if;
                if not exists (select 1 from sitting_cases c join sittings s on s.id = c.sitting_id
                    where c.id = reading.sitting_case_id and s.state = 'open') then
                    raise exception 'the round is not open' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end \$\$;
            SQL);
    }
};
