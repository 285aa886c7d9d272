<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A panel goes once more over what lacks a majority: each keeps or changes their own call, with a reason, and says
 * where the difference lies. It can be said while the following round is open, and changed no more after.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table following_answers (
                id bigserial primary key,
                sitting_id bigint not null references sittings (id),
                user_id bigint not null references users (id),
                case_id bigint not null references cases (id),
                fault varchar(40) not null,
                was varchar(12) not null check (was in ('present', 'absent', 'cannot-tell')),
                presence varchar(12) not null check (presence in ('present', 'absent', 'cannot-tell')),
                severity smallint check (severity between 1 and 3),
                onset char(2),
                reason varchar(240) not null default '',
                lies varchar(12) not null check (lies in ('seeing', 'definition', 'school', 'evidence')),
                answered_at timestamptz not null,
                constraint following_answers_once unique (sitting_id, user_id, case_id, fault),
                constraint following_answers_reason check (presence = was or length(reason) >= 3),
                constraint following_answers_present_only check (presence = 'present' or
                    (severity is null and onset is null))
            );
            create index following_answers_case_id_index on following_answers (case_id);
            create or replace function refuse_closed_following() returns trigger language plpgsql as $$
            begin
                if (select state from sittings where id = coalesce(new.sitting_id, old.sitting_id)) <> 'open' then
                    raise exception 'the following round is closed' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end $$;
            create trigger following_answers_open before insert or update or delete on following_answers
                for each row execute function refuse_closed_following();
            create unique index sittings_one_following on sittings (parent_id)
                where kind = 'following' and state = 'open';
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop index sittings_one_following;
            drop table following_answers;
            drop function refuse_closed_following();
            SQL);
    }
};
