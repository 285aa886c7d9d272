<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            alter table golfers add column level varchar(8)
                check (level in ('new', 'learning', 'steady', 'skilled'));
            alter table lessons add column given_by bigint references users (id) on delete set null;
            create index lessons_given_by on lessons (given_by);

            create table prescriptions (
                id bigserial primary key,
                public_id char(26) not null unique,
                lesson_id bigint not null references lessons (id) on delete cascade,
                prescribed_by bigint not null references users (id),
                codebook_version varchar(40) not null,
                lens varchar(40) not null,
                faults jsonb not null default '{}' check (jsonb_typeof(faults) = 'object'),
                causes jsonb not null default '[]' check (jsonb_typeof(causes) = 'array'),
                drill varchar(40),
                plan jsonb check (jsonb_typeof(plan) = 'object'),
                against jsonb not null default '[]' check (jsonb_typeof(against) = 'array'),
                reason text not null default '',
                expected jsonb not null default '[]' check (jsonb_typeof(expected) = 'array'),
                lines jsonb not null default '{}' check (jsonb_typeof(lines) = 'object'),
                until date,
                next_on date,
                issued_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                check (issued_at is null or (drill is not null and plan is not null)),
                check (issued_at is null or against = '[]' or length(trim(reason)) >= 10)
            );
            create unique index prescriptions_one_draft on prescriptions (lesson_id) where issued_at is null;
            create index prescriptions_of on prescriptions (prescribed_by, issued_at);

            create table follow_ups (
                id bigserial primary key,
                public_id char(26) not null unique,
                prescription_id bigint not null references prescriptions (id) on delete cascade,
                lesson_id bigint not null references lessons (id) on delete cascade,
                felt varchar(6) check (felt in ('better', 'same', 'worse')),
                felt_says text not null default '',
                judged varchar(6) check (judged in ('better', 'same', 'worse')),
                judged_says text not null default '',
                felt_late boolean not null default false,
                locked_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                unique (prescription_id, lesson_id),
                check ((locked_at is null) = (felt is null)),
                check ((felt is null) = (judged is null))
            );
            create index follow_ups_of on follow_ups (lesson_id);

            create table follow_up_swings (
                follow_up_id bigint not null references follow_ups (id) on delete cascade,
                recording_id bigint not null references recordings (id) on delete cascade,
                rung varchar(12) not null check (rung in (
                    'rehearsal', 'with-club', 'half-swing', 'mid-iron', 'long-club', 'full-speed', 'course')),
                primary key (follow_up_id, recording_id)
            );

            create or replace function refuse_change_of_prescription() returns trigger language plpgsql as $$
            begin
                if old.issued_at is not null then
                    raise exception 'what was handed to a student is never changed';
                end if;
                return new;
            end $$;
            create trigger prescriptions_fixed before update on prescriptions
                for each row execute function refuse_change_of_prescription();
            create or replace function refuse_change_of_feel() returns trigger language plpgsql as $$
            begin
                if old.locked_at is not null and (to_jsonb(new) - 'updated_at') <> (to_jsonb(old) - 'updated_at') then
                    raise exception 'what was felt is never changed once it is kept';
                end if;
                return new;
            end $$;
            create trigger follow_ups_fixed before update on follow_ups
                for each row execute function refuse_change_of_feel();
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop table follow_up_swings, follow_ups, prescriptions;
            drop function refuse_change_of_prescription, refuse_change_of_feel;
            alter table lessons drop column given_by;
            alter table golfers drop column level;
            SQL);
    }
};
