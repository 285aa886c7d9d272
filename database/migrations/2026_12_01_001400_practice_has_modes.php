<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Questions of other kinds than whether a fault is there: each has a kind, what it is about, and an answer in words.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            alter table practice_sittings add column mode varchar(12) not null default 'fault'
                check (mode in ('fault', 'alike', 'moment', 'seen', 'advice'));
            alter table practice_answers drop constraint practice_answers_presence_check;
            alter table practice_answers drop constraint practice_answers_check;
            alter table practice_answers rename column presence to said;
            alter table practice_answers alter column said type varchar(60);
            alter table practice_answers
                add column mode varchar(12) not null default 'fault'
                    check (mode in ('fault', 'alike', 'moment', 'seen', 'advice')),
                add column skill varchar(90),
                add column topic jsonb not null default '{}',
                add column off_ms double precision,
                alter column fault drop not null,
                alter column key_entry_id drop not null,
                add constraint practice_answers_whole check (num_nulls(said, "right", answered_at) in (0, 3)),
                add constraint practice_answers_off check (off_ms is null or (mode = 'moment' and said is not null)),
                add constraint practice_answers_keyed check (mode <> 'fault' or (fault is not null and key_entry_id is not null));
            update practice_answers set skill = fault;
            alter table practice_answers alter column skill set not null;
            create index practice_answers_skill on practice_answers (practice_sitting_id, skill);
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            delete from practice_answers where mode <> 'fault';
            alter table practice_answers drop constraint practice_answers_whole, drop constraint practice_answers_off,
                drop constraint practice_answers_keyed, drop column mode, drop column skill, drop column topic,
                drop column off_ms, alter column fault set not null, alter column key_entry_id set not null;
            alter table practice_answers rename column said to presence;
            alter table practice_answers alter column presence type varchar(12);
            alter table practice_answers add constraint practice_answers_presence_check
                check (presence in ('present', 'absent', 'cannot-tell'));
            alter table practice_answers add constraint practice_answers_check
                check (num_nulls(presence, "right", answered_at) in (0, 3));
            delete from practice_sittings where mode <> 'fault';
            alter table practice_sittings drop column mode;
            SQL);
    }
};
