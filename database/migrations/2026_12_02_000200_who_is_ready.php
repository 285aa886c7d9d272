<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Readiness: rules in versions that stay as they were, tests case by case, and decisions that are only ever added to.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table readiness_rules (
                id bigserial primary key,
                public_id char(26) not null unique,
                first_id bigint references readiness_rules (id),
                version smallint not null check (version > 0),
                name varchar(60) not null check (name <> ''),
                device varchar(12) check (device in ('mat', 'plate', 'dual-plate')),
                lens varchar(40) not null,
                rule jsonb not null,
                made_by bigint not null references users (id),
                retired_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                check ((first_id is null) = (version = 1))
            );
            create unique index readiness_rules_version on readiness_rules (coalesce(first_id, id), version);
            create unique index readiness_rules_current on readiness_rules (coalesce(first_id, id)) where retired_at is null;

            create table readiness_tests (
                id bigserial primary key,
                public_id char(26) not null unique,
                user_id bigint not null references users (id),
                readiness_rule_id bigint not null references readiness_rules (id),
                sitting_id bigint unique references sittings (id),
                state varchar(16) not null check (state in (
                    'asked', 'declined', 'open', 'signed off', 'refused', 'not signed off', 'stopped')),
                assumed jsonb,
                asked_by bigint not null references users (id),
                began_at timestamptz,
                ended_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                check ((state in ('asked', 'declined')) = (sitting_id is null)),
                check ((sitting_id is null) = (assumed is null)),
                check ((state in ('asked', 'open')) = (ended_at is null))
            );
            create unique index readiness_tests_one on readiness_tests (user_id, readiness_rule_id)
                where state in ('asked', 'open');
            create unique index readiness_tests_open on readiness_tests (user_id) where state = 'open';

            create table readiness_decisions (
                id bigserial primary key,
                public_id char(26) not null unique,
                user_id bigint not null references users (id),
                readiness_rule_id bigint not null references readiness_rules (id),
                readiness_test_id bigint references readiness_tests (id),
                kind varchar(12) not null check (kind in (
                    'signed-off', 'refused', 'suspended', 'reinstated', 'appealed', 'upheld', 'turned-down')),
                decided_by bigint not null references users (id),
                reason text not null check (length(trim(reason)) >= 10),
                conditions text not null default '',
                until date,
                evidence jsonb not null,
                checksum char(64) not null,
                code char(20) unique,
                created_at timestamptz not null default now(),
                check ((kind = 'signed-off') = (until is not null)),
                check ((kind = 'signed-off') = (code is not null)),
                check ((kind = 'appealed') = (decided_by = user_id))
            );
            create index readiness_decisions_of on readiness_decisions (user_id, readiness_rule_id, id);

            create or replace function refuse_change_of_decision() returns trigger language plpgsql as $$
            begin
                raise exception 'a decision on readiness is never changed';
            end $$;
            create trigger readiness_decisions_fixed before update or delete on readiness_decisions
                for each row execute function refuse_change_of_decision();
            create or replace function refuse_change_of_rule() returns trigger language plpgsql as $$
            begin
                if tg_op = 'DELETE' or (to_jsonb(new) - 'retired_at' - 'updated_at') <>
                    (to_jsonb(old) - 'retired_at' - 'updated_at') or old.retired_at is not null then
                    raise exception 'a rule of readiness is never changed';
                end if;
                return new;
            end $$;
            create trigger readiness_rules_fixed before update or delete on readiness_rules
                for each row execute function refuse_change_of_rule();
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop table readiness_decisions, readiness_tests, readiness_rules;
            drop function refuse_change_of_decision, refuse_change_of_rule;
            SQL);
    }
};
