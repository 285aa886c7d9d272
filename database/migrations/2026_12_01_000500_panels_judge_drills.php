<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Once a panel's blind round is over and before it sees any spread, its members judge how appropriate drills are that
 * somebody chose or that a golfer's limits speak against. What is asked stands as it was opened.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table drill_judgings (
                id bigserial primary key,
                public_id char(26) not null unique,
                sitting_id bigint not null unique references sittings (id),
                opened_by bigint not null references users (id),
                opened_at timestamptz not null,
                closed_at timestamptz,
                constraint drill_judgings_order check (closed_at >= opened_at)
            );
            create table drill_questions (
                id bigserial primary key,
                drill_judging_id bigint not null references drill_judgings (id),
                case_id bigint not null references cases (id),
                drill varchar(40) not null,
                refused boolean not null,
                constraint drill_questions_once unique (drill_judging_id, case_id, drill)
            );
            create index drill_questions_case_id_index on drill_questions (case_id);
            create table drill_scores (
                id bigserial primary key,
                drill_question_id bigint not null references drill_questions (id),
                user_id bigint not null references users (id),
                rung varchar(16) not null check (rung in ('rehearsal', 'short-iron', 'longer-clubs', 'full-speed')),
                score smallint not null check (score between 1 and 9),
                harm varchar(12) check (harm in ('adds-fault', 'unsafe')),
                scored_at timestamptz not null,
                constraint drill_scores_once unique (drill_question_id, user_id, rung),
                constraint drill_scores_harm check ((harm is not null) = (score <= 3))
            );
            create index drill_scores_user_id_index on drill_scores (user_id);
            create or replace function refuse_closed_judging() returns trigger language plpgsql as $$
            declare ended timestamptz;
            begin
                if tg_table_name = 'drill_scores' then
                    select j.closed_at into ended from drill_judgings j
                        join drill_questions q on q.drill_judging_id = j.id
                        where q.id = coalesce(new.drill_question_id, old.drill_question_id);
                else
                    select closed_at into ended from drill_judgings
                        where id = coalesce(new.drill_judging_id, old.drill_judging_id);
                end if;
                if ended is not null then
                    raise exception 'the judging of drills is closed' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end $$;
            create trigger drill_scores_open before insert or update or delete on drill_scores
                for each row execute function refuse_closed_judging();
            create trigger drill_questions_open before insert or update or delete on drill_questions
                for each row execute function refuse_closed_judging();
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop table drill_scores;
            drop table drill_questions;
            drop table drill_judgings;
            drop function refuse_closed_judging();
            SQL);
    }
};
