<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Swings made by the simulator, and the sets in which they stand beside each other; practice asks about them as it does
 * about recorded ones. Three kinds of questions more; a full case holds a call on each of several faults.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table made_swings (
                id bigserial primary key,
                key char(64) not null unique,
                spec jsonb not null,
                rate_hz double precision not null check (rate_hz > 0),
                mass_kg double precision not null check (mass_kg > 0),
                channels jsonb not null,
                samples bytea not null,
                points_hz double precision not null check (points_hz > 0),
                points jsonb not null,
                coordinates bytea not null,
                stations jsonb not null,
                stance jsonb not null,
                measured jsonb not null,
                truly jsonb not null,
                settled jsonb not null,
                core_version varchar(20) not null,
                made_at timestamptz not null default now()
            );
            create table contrast_sets (
                id bigserial primary key,
                public_id char(26) not null unique,
                key char(64) not null unique,
                kind varchar(12) not null check (kind in ('fault', 'alike', 'artefact', 'speed')),
                fault varchar(40) not null,
                other varchar(40),
                mishap varchar(40),
                device varchar(12) not null check (device in ('mat', 'plate', 'dual-plate')),
                hand varchar(5) not null check (hand in ('right', 'left')),
                lens varchar(40) not null,
                body smallint not null check (body >= 0),
                asked_by bigint references users (id),
                made_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                check ((kind = 'alike') = (other is not null)),
                check ((kind = 'artefact') = (mishap is not null))
            );
            create index contrast_sets_made on contrast_sets (kind, fault) where made_at is not null;
            create table contrast_swings (
                contrast_set_id bigint not null references contrast_sets (id) on delete cascade,
                place smallint not null check (place between 0 and 9),
                made_swing_id bigint not null references made_swings (id),
                primary key (contrast_set_id, place)
            );
            create index contrast_swings_made on contrast_swings (made_swing_id);

            alter table works add column contrast_set_id bigint references contrast_sets (id) on delete cascade;
            alter table works drop constraint works_kind, drop constraint works_of;
            alter table works
                add constraint works_kind check (
                    kind in ('measure', 'open', 'key', 'publish', 'figures', 'export', 'try', 'contrast')),
                add constraint works_of check (
                    (kind = 'measure') = (recording_id is not null) and
                    (kind = 'try') = (codebook_draft_id is not null) and
                    (kind = 'contrast') = (contrast_set_id is not null) and
                    (kind not in ('measure', 'try', 'contrast')) = (sitting_id is not null));
            create unique index works_contrast on works (contrast_set_id, kind)
                where state in ('waiting', 'running') and contrast_set_id is not null;

            alter table practice_sittings drop constraint practice_sittings_mode_check;
            alter table practice_sittings add constraint practice_sittings_mode_check check (
                mode in ('fault', 'alike', 'moment', 'seen', 'advice', 'artefact', 'speed', 'whole'));
            alter table practice_answers drop constraint practice_answers_mode_check;
            alter table practice_answers drop constraint practice_answers_keyed;
            alter table practice_answers
                alter column recording_id drop not null,
                add column made_swing_id bigint references made_swings (id),
                add constraint practice_answers_mode_check check (
                    mode in ('fault', 'alike', 'moment', 'seen', 'advice', 'artefact', 'speed', 'whole')),
                add constraint practice_answers_swing check (num_nonnulls(recording_id, made_swing_id) = 1),
                add constraint practice_answers_keyed check (
                    mode <> 'fault' or (fault is not null and num_nonnulls(key_entry_id, made_swing_id) = 1));
            create index practice_answers_made on practice_answers (made_swing_id);
            create table practice_calls (
                id bigserial primary key,
                practice_answer_id bigint not null references practice_answers (id) on delete cascade,
                asks varchar(12) not null check (asks in ('fault', 'cause', 'decision', 'drill')),
                fault varchar(40) not null default '',
                said varchar(60) not null,
                told varchar(60) not null,
                "right" boolean not null,
                unique (practice_answer_id, asks, fault)
            );
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop table practice_calls;
            delete from practice_answers where mode in ('artefact', 'speed', 'whole') or recording_id is null;
            delete from practice_sittings where mode in ('artefact', 'speed', 'whole');
            alter table practice_answers drop constraint practice_answers_swing, drop constraint practice_answers_keyed,
                drop constraint practice_answers_mode_check, drop column made_swing_id,
                alter column recording_id set not null;
            alter table practice_answers
                add constraint practice_answers_mode_check check (
                    mode in ('fault', 'alike', 'moment', 'seen', 'advice')),
                add constraint practice_answers_keyed check (
                    mode <> 'fault' or (fault is not null and key_entry_id is not null));
            alter table practice_sittings drop constraint practice_sittings_mode_check;
            alter table practice_sittings add constraint practice_sittings_mode_check check (
                mode in ('fault', 'alike', 'moment', 'seen', 'advice'));
            delete from works where contrast_set_id is not null;
            alter table works drop constraint works_kind, drop constraint works_of, drop column contrast_set_id;
            alter table works
                add constraint works_kind check (
                    kind in ('measure', 'open', 'key', 'publish', 'figures', 'export', 'try')),
                add constraint works_of check (
                    (kind = 'measure') = (recording_id is not null) and
                    (kind = 'try') = (codebook_draft_id is not null) and
                    (kind not in ('measure', 'try')) = (sitting_id is not null));
            drop table contrast_swings, contrast_sets, made_swings;
            SQL);
    }
};
