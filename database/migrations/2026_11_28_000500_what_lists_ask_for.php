<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// What long lists would else count, unpack or scan for: how far a closed round was read, which faults are supported.
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            alter table sittings add column readings_dealt int, add column readings_handed_in int;
            alter table sittings disable trigger user;
            update sittings s set readings_dealt = n.dealt, readings_handed_in = n.done
            from (
                select c.sitting_id, count(*) as dealt, count(r.handed_in_at) as done
                from sitting_cases c join readings r on r.sitting_case_id = c.id group by c.sitting_id
            ) n where n.sitting_id = s.id and s.state in ('closed', 'published');
            alter table sittings enable trigger user;
            alter table measurement_sets add column supported jsonb;
            create index measurement_sets_supported on measurement_sets using gin (supported jsonb_path_ops);
            create index readings_progress on readings (sitting_case_id, stage, user_id)
                include (handed_in_at, exposed, updated_at);
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop index readings_progress;
            alter table measurement_sets drop column supported;
            alter table sittings drop column readings_dealt, drop column readings_handed_in;
            SQL);
    }
};
