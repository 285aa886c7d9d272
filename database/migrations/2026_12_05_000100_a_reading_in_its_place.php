<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /**
     * Functions, because a connection that is kept plans them once: planning takes nine tenths of such a statement. The
     * second takes a reading to be changed: its round first, in share mode, then the reading, then what was called,
     * each as it stands when its turn has come.
     */
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create or replace function reading_in_place(of bpchar) returns table (
                reading readings, in_case json, in_rated json, in_sitting json, in_arm json, in_swings json, in_academy json,
                is_kept boolean
            ) language plpgsql stable as $$
            begin
                return query
                    select r, row_to_json(c), row_to_json(k), row_to_json(s), row_to_json(a),
                        (select json_agg(w order by w.position) from case_swings w where w.case_id = k.id),
                        (select row_to_json(h) from academies h where h.id = 1),
                        exists (select 1 from codebook_versions v where v.version = s.codebook_version)
                    from readings r
                    join sitting_cases c on c.id = r.sitting_case_id
                    join cases k on k.id = c.case_id
                    join sittings s on s.id = c.sitting_id
                    join sitting_arms a on a.id = r.arm_id
                    where r.public_id = of;
            end $$;

            create or replace function hold_reading(of bigint) returns table (
                reading readings, in_sitting json, in_calls json
            ) language plpgsql volatile as $$
            declare
                held readings;
                round json;
            begin
                select row_to_json(s) into round from sittings s
                    where s.id = (select c.sitting_id from readings r join sitting_cases c on c.id = r.sitting_case_id
                        where r.id = of)
                    for share;
                select * into held from readings r where r.id = of for update;
                return query select held, round,
                    (select json_agg(k order by k.id) from calls k where k.reading_id = of)
                    where held.id is not null;
            end $$;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop function if exists reading_in_place(bpchar), hold_reading(bigint);');
    }
};
