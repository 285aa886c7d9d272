<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A debrief is a session over chosen cases: people join, the presenter shows one thing after the other, the room votes
 * before and after, and what is decided is written down. Who voted what cannot be told once the secret is gone.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table debrief_sessions (
                id bigserial primary key,
                public_id char(26) not null unique,
                sitting_id bigint not null references sittings (id),
                started_by bigint not null references users (id),
                code char(6) not null check (code ~ '^[0-9]{6}$'),
                secret text,
                current_case_id bigint,
                step bigint not null default 0,
                started_at timestamptz not null,
                ended_at timestamptz,
                constraint debrief_sessions_secret check ((ended_at is null) = (secret is not null))
            );
            create unique index debrief_sessions_code on debrief_sessions (code) where ended_at is null;
            create index debrief_sessions_sitting_id_index on debrief_sessions (sitting_id);
            create table debrief_cases (
                id bigserial primary key,
                debrief_session_id bigint not null references debrief_sessions (id),
                sitting_case_id bigint not null references sitting_cases (id),
                position smallint not null check (position >= 1),
                notes text not null default '' check (length(notes) <= 4000),
                revealed smallint not null default 0 check (revealed between 0 and 5),
                topic varchar(40),
                swing smallint not null default 1 check (swing between 1 and 6),
                moment double precision,
                constraint debrief_cases_once unique (debrief_session_id, sitting_case_id)
            );
            create index debrief_cases_sitting_case_id_index on debrief_cases (sitting_case_id);
            alter table debrief_sessions add constraint debrief_sessions_current
                foreign key (current_case_id) references debrief_cases (id);
            create table debrief_people (
                id bigserial primary key,
                debrief_session_id bigint not null references debrief_sessions (id),
                user_id bigint not null references users (id),
                joined_at timestamptz not null,
                constraint debrief_people_once unique (debrief_session_id, user_id)
            );
            create table debrief_questions (
                id bigserial primary key,
                debrief_case_id bigint not null references debrief_cases (id),
                kind varchar(10) not null check (kind in ('presence', 'cause', 'drill')),
                fault varchar(40) not null default '',
                options jsonb not null check (jsonb_typeof(options) = 'array'),
                answers jsonb check (answers is null or jsonb_typeof(answers) = 'array'),
                stage varchar(8) not null check (stage in ('before', 'between', 'after', 'done')),
                asked_at timestamptz not null,
                constraint debrief_questions_once unique (debrief_case_id, kind, fault),
                constraint debrief_questions_fault check ((kind = 'presence') = (fault <> ''))
            );
            create table debrief_votes (
                id bigserial primary key,
                debrief_question_id bigint not null references debrief_questions (id),
                stage varchar(8) not null check (stage in ('before', 'after')),
                voter char(64) not null check (voter ~ '^[0-9a-f]{64}$'),
                answer varchar(40) not null,
                constraint debrief_votes_once unique (debrief_question_id, stage, voter)
            );
            create or replace function refuse_closed_vote() returns trigger language plpgsql as $$
            begin
                if (select q.stage from debrief_questions q where q.id = coalesce(new.debrief_question_id,
                    old.debrief_question_id)) <> coalesce(new.stage, old.stage) then
                    raise exception 'that vote is closed' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end $$;
            create trigger debrief_votes_open before insert or update or delete on debrief_votes
                for each row execute function refuse_closed_vote();
            create table debrief_decisions (
                id bigserial primary key,
                debrief_session_id bigint not null references debrief_sessions (id),
                debrief_case_id bigint references debrief_cases (id),
                fault varchar(40) not null default '',
                lies varchar(12) not null check (lies in ('seeing', 'definition', 'school', 'evidence')),
                what varchar(400) not null check (length(what) >= 3),
                owner_id bigint not null references users (id),
                due_on date,
                decided_at timestamptz not null,
                done_at timestamptz,
                done_by bigint references users (id),
                outcome varchar(400) not null default '',
                constraint debrief_decisions_done check ((done_at is null) = (done_by is null))
            );
            create index debrief_decisions_owner_id_index on debrief_decisions (owner_id) where done_at is null;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop table debrief_decisions;
            drop table debrief_votes;
            drop table debrief_questions;
            drop table debrief_people;
            alter table debrief_sessions drop constraint debrief_sessions_current;
            drop table debrief_cases;
            drop table debrief_sessions;
            drop function refuse_closed_vote();
            SQL);
    }
};
