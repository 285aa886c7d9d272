<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /**
     * Planned once a connection, as in 2026_12_05_000100, which for a list of numbers has to be said: what a page shows
     * of a case beside its sheet – swings, golfers, what they are to be spared, renditions, how many cases the reader
     * has – and what the rules of sight ask of a sheet's swings.
     */
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create or replace function case_shown(of bigint, reader bigint, day date) returns table (
                in_recordings json, in_golfers json, in_limits json, in_renditions json, cases bigint
            ) language plpgsql stable set plan_cache_mode = force_generic_plan as $$
            declare
                swings bigint[];
                golfed bigint[];
            begin
                select array_agg(w.recording_id), array_agg(x.golfer_id) into swings, golfed
                    from sitting_cases c
                    join case_swings w on w.case_id = c.case_id
                    join recordings x on x.id = w.recording_id
                    where c.id = of;
                return query select
                    (select json_agg(x order by x.id) from recordings x where x.id = any (swings)),
                    (select json_agg(g order by g.id) from golfers g where g.id = any (golfed)),
                    (select json_agg(l order by l.id) from golfer_limits l
                        where l.golfer_id = any (golfed) and (l.ended_on is null or l.ended_on > day)),
                    (select json_agg(n order by n.id) from renditions n where n.sitting_case_id = of),
                    (select count(*) from readings r
                        join sitting_cases c on c.id = r.sitting_case_id
                        where c.sitting_id = (select s.sitting_id from sitting_cases s where s.id = of)
                            and r.user_id = reader and r.stage = 'blind' and c.withdrawn_at is null);
            end $$;

            create or replace function agreed_for_sheets(of bigint[], day date, born integer) returns table (
                id bigint, erased_at timestamptz, golfer_id bigint, staff boolean, lessons boolean
            ) language plpgsql stable set plan_cache_mode = force_generic_plan as $$
            begin
                return query select x.id, x.erased_at, x.golfer_id, a.staff, a.lessons
                    from recordings x join golfers g on g.id = x.golfer_id
                    cross join lateral (
                        select bool_or(c.scope = 'staff-training') as staff, bool_or(c.scope = 'lessons') as lessons
                        from consents c
                        where c.golfer_id = g.id and c.withdrawn_at is null and c.expires_on >= day
                            and (c.guardian is not null
                                or (g.is_minor = false and (g.born_year is null or g.born_year < born)))
                    ) a
                    where x.id = any (of);
            end $$;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop function if exists case_shown(bigint, bigint, date), agreed_for_sheets(bigint[], date, integer);
            SQL);
    }
};
