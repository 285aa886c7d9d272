<?php

use Core\Codebook\CodebookDocument;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A version of the codebook is drafted on pages. What a verdict rests on is kept beside the measures, so that a draft
 * can be tried on every recording without measuring any; and a version keeps the order of its faults and lenses, which
 * jsonb loses.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            alter table measurement_sets add column held jsonb;
            create table codebook_drafts (
                id bigserial primary key,
                based_on varchar(20) not null,
                document json not null,
                revision integer not null default 1 check (revision > 0),
                state varchar(12) not null default 'open' check (state in ('open', 'published', 'dropped')),
                published_as varchar(20) references codebook_versions (version),
                started_by bigint references users (id),
                changed_by bigint references users (id),
                tried_revision integer,
                tried_recordings integer,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                check ((state = 'published') = (published_as is not null)),
                check ((tried_revision is null) = (tried_recordings is null))
            );
            -- What is not absent is rare, and all that most questions about calls ask for.
            create index calls_not_absent on calls (reading_id, fault, presence) where presence <> 'absent';
            create unique index codebook_drafts_one_open on codebook_drafts (state) where state = 'open';
            create table codebook_flips (
                id bigserial primary key,
                codebook_draft_id bigint not null references codebook_drafts (id) on delete cascade,
                recording_id bigint not null references recordings (id) on delete cascade,
                lens varchar(40) not null,
                fault varchar(40) not null,
                was varchar(24),
                "is" varchar(24),
                was_margin double precision,
                is_margin double precision,
                unique (codebook_draft_id, recording_id, lens, fault),
                check (was is distinct from "is")
            );
            create table codebook_examples (
                id bigserial primary key,
                public_id char(26) not null unique,
                fault varchar(40) not null,
                recording_id bigint not null references recordings (id) on delete cascade,
                shows boolean not null,
                note varchar(300) not null check (length(note) >= 5),
                added_by bigint references users (id),
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                unique (fault, recording_id)
            );
            alter table codebook_versions disable trigger codebook_versions_fixed;
            alter table codebook_versions alter column document type json using document::json;
            SQL);
        foreach (DB::table('codebook_versions')->get(['id', 'document']) as $row) {
            $document = json_decode((string) $row->document, true);
            DB::table('codebook_versions')
                ->where('id', $row->id)
                ->update(['document' => json_encode(self::inOrder($document), JSON_THROW_ON_ERROR)]);
        }
        DB::unprepared(<<<'SQL'
            alter table codebook_versions enable trigger codebook_versions_fixed;
            alter table works add column codebook_draft_id bigint references codebook_drafts (id) on delete cascade;
            alter table works drop constraint works_kind, drop constraint works_of;
            alter table works
                add constraint works_kind check (
                    kind in ('measure', 'open', 'key', 'publish', 'figures', 'export', 'try')),
                add constraint works_of check (
                    (kind = 'measure') = (recording_id is not null) and
                    (kind = 'try') = (codebook_draft_id is not null) and
                    (kind not in ('measure', 'try')) = (sitting_id is not null));
            create unique index works_draft on works (codebook_draft_id, kind)
                where state in ('waiting', 'running') and codebook_draft_id is not null;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            delete from works where codebook_draft_id is not null;
            alter table works drop constraint works_kind, drop constraint works_of, drop column codebook_draft_id;
            alter table works
                add constraint works_kind check (
                    kind in ('measure', 'open', 'key', 'publish', 'figures', 'export')),
                add constraint works_of check (
                    (kind = 'measure') = (recording_id is not null) and
                    (kind <> 'measure') = (sitting_id is not null));
            alter table codebook_versions disable trigger codebook_versions_fixed;
            alter table codebook_versions alter column document type jsonb using document::jsonb;
            alter table codebook_versions enable trigger codebook_versions_fixed;
            drop index calls_not_absent;
            drop table codebook_examples;
            drop table codebook_flips;
            drop table codebook_drafts;
            alter table measurement_sets drop column held;
            SQL);
    }

    /**
     * Faults and lenses in the order in which the shipped codebook has them, and after them the academy's own.
     *
     * @param  array<string, array<string, mixed>>  $document
     * @return array<string, mixed>
     */
    private static function inOrder(array $document): array
    {
        foreach (['faults', 'lenses'] as $part) {
            $order = array_flip(array_keys(CodebookDocument::standard()->toArray()[$part]));
            uksort(
                $document[$part],
                static fn (string $a, string $b): int => ($order[$a] ?? PHP_INT_MAX) <=> ($order[$b] ?? PHP_INT_MAX),
            );
        }

        return $document;
    }
};
