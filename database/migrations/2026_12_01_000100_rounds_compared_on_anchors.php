<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Rounds are compared from their calls, on the cases that both have: sums a case are not kept any more. Readers, cases
 * and faults are put on one scale.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            delete from result_parts where part in ('sums', 'change');
            alter table result_parts drop constraint result_parts_part_check;
            alter table result_parts add constraint result_parts_part_check
                check (part in ('summary', 'item', 'map', 'arms', 'change', 'times', 'talk', 'scale', 'person'));
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            delete from result_parts where part in ('change', 'scale');
            alter table result_parts drop constraint result_parts_part_check;
            alter table result_parts add constraint result_parts_part_check
                check (part in ('summary', 'item', 'map', 'arms', 'change', 'times', 'talk', 'sums', 'person'));
            SQL);
    }
};
