<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// What pages ask for of a million calls and a long record, in the order they ask for it.
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create index readings_of_user on readings (user_id, position, stage);
            create index readings_handed_in on readings (sitting_case_id)
                where stage = 'blind' and handed_in_at is not null;
            create index audit_entries_newest on audit_entries (created_at desc, id desc);
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop index readings_of_user, readings_handed_in, audit_entries_newest');
    }
};
