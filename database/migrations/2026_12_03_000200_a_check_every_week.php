<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    private const KINDS = "'opened', 'published', 'reopened', 'all-in', 'came', 'due', 'consents'";

    public function up(): void
    {
        $kinds = self::KINDS;
        DB::unprepared(<<<SQL
            create table check_plans (
                id bigserial primary key,
                public_id char(26) not null unique,
                key_version_id bigint not null references key_versions (id),
                weekday smallint not null check (weekday between 1 and 7),
                cases jsonb not null check (jsonb_typeof(cases) = 'array' and jsonb_array_length(cases) >= 6),
                started_by bigint not null references users (id),
                started_at timestamptz not null,
                ended_at timestamptz check (ended_at >= started_at),
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now()
            );
            create unique index check_plans_one on check_plans ((ended_at is null)) where ended_at is null;

            create table checks (
                id bigserial primary key,
                check_plan_id bigint not null references check_plans (id),
                sitting_id bigint not null unique references sittings (id),
                week_on date not null,
                looked_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                unique (check_plan_id, week_on)
            );

            create table check_looks (
                id bigserial primary key,
                check_id bigint not null references checks (id),
                user_id bigint not null references users (id),
                units integer not null,
                z_right double precision not null check (z_right between -100 and 100),
                z_present double precision not null check (z_present between -100 and 100),
                z_limit double precision not null check (z_limit between 0 and 100),
                p double precision not null check (p > 0 and p <= 1),
                beyond boolean not null,
                created_at timestamptz not null default now(),
                unique (check_id, user_id)
            );

            alter table notices drop constraint notices_kind;
            alter table notices add constraint notices_kind check (kind in ($kinds, 'moved'));
            SQL);
    }

    public function down(): void
    {
        $kinds = self::KINDS;
        DB::table('notices')->where('kind', 'moved')->delete();
        DB::unprepared(<<<SQL
            alter table notices drop constraint notices_kind;
            alter table notices add constraint notices_kind check (kind in ($kinds));
            drop table check_looks, checks, check_plans;
            SQL);
    }
};
