<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A sheet names causes outside the feet, what is a reaction to them, how likely each miss is, what is sound, and where
 * a ladder breaks. Readings handed in before could say none of it and are marked as such.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            alter table readings
                add column sheet smallint not null default 1 check (sheet in (1, 2)),
                add column misses jsonb not null default '{}' check (jsonb_typeof(misses) = 'object'),
                add column other_cause varchar(60) not null default '',
                add column breaks smallint check (breaks between -1 and 5 and breaks <> 1);
            alter table readings alter column sheet set default 2;
            -- Those of rounds that are over stay locked, handed in or not.
            update readings r set sheet = 2 from sitting_cases c join sittings s on s.id = c.sitting_id
                where c.id = r.sitting_case_id and s.state = 'open' and r.handed_in_at is null;
            alter table calls
                add column reaction varchar(24),
                add column sound boolean not null default false,
                add constraint calls_reaction check (reaction is null or
                    (presence = 'present' and reaction like 'outside-%')),
                add constraint calls_sound check (not sound or presence = 'absent');
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            alter table calls drop column reaction, drop column sound;
            alter table readings drop column sheet, drop column misses, drop column other_cause, drop column breaks;
            SQL);
    }
};
