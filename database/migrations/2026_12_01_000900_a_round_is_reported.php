<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What no figure knows of a round and its report must say: why it was held, who read, what follows from it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table round_reports (
                sitting_id bigint primary key references sittings on delete cascade,
                purpose text not null default '' check (length(purpose) <= 2000),
                readers text not null default '' check (length(readers) <= 2000),
                meaning text not null default '' check (length(meaning) <= 1200),
                revision integer not null default 1 check (revision > 0),
                written_by bigint not null references users,
                written_at timestamptz not null
            )
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop table round_reports');
    }
};
