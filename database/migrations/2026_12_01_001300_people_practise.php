<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Practice: short sittings of questions, each answered at once; none of it enters agreement. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table practice_sittings (
                id bigserial primary key,
                public_id char(26) not null unique,
                user_id bigint not null references users (id),
                fault varchar(40),
                questions smallint not null check (questions between 5 and 10),
                ended_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now()
            );
            create unique index practice_sittings_one_open on practice_sittings (user_id) where ended_at is null;
            create table practice_answers (
                id bigserial primary key,
                practice_sitting_id bigint not null references practice_sittings (id) on delete cascade,
                place smallint not null check (place between 1 and 10),
                recording_id bigint not null references recordings (id) on delete cascade,
                fault varchar(40) not null,
                key_entry_id bigint not null references key_entries (id),
                why jsonb not null,
                difficulty double precision not null default 0,
                presence varchar(12) check (presence in ('present', 'absent', 'cannot-tell')),
                "right" boolean,
                asked_at timestamptz not null default now(),
                answered_at timestamptz,
                unique (practice_sitting_id, place),
                check (num_nulls(presence, "right", answered_at) in (0, 3))
            );
            create index practice_answers_recording on practice_answers (recording_id);
            create index practice_answers_entry on practice_answers (key_entry_id);
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop table practice_answers; drop table practice_sittings;');
    }
};
