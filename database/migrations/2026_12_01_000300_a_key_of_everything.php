<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What a panel says together of a case beyond what is present, and a round's figures of it. Keys of before had no
 * readers who could say it.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table key_cases (
                id bigserial primary key,
                key_version_id bigint not null references key_versions (id),
                case_id bigint not null references cases (id),
                body jsonb not null check (jsonb_typeof(body) = 'object'),
                constraint key_cases_once unique (key_version_id, case_id)
            );
            create index key_cases_case_id_index on key_cases (case_id);
            create trigger key_cases_frozen before insert or update or delete on key_cases
                for each row execute function refuse_frozen_key();
            alter table result_parts drop constraint result_parts_part_check;
            alter table result_parts add constraint result_parts_part_check check (part in ('summary', 'item', 'map',
                'arms', 'change', 'times', 'talk', 'scale', 'advice', 'person'));
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop table key_cases;
            delete from result_parts where part = 'advice';
            alter table result_parts drop constraint result_parts_part_check;
            alter table result_parts add constraint result_parts_part_check
                check (part in ('summary', 'item', 'map', 'arms', 'change', 'times', 'talk', 'scale', 'person'));
            SQL);
    }
};
