<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a panel study calls a consensus is its own; one of before keeps what was everybody's. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('
            alter table sittings
                add column majority double precision check (majority > 0.5 and majority <= 1),
                add column able smallint check (able between 2 and 50),
                add column following_rounds smallint check (following_rounds between 0 and 5),
                add column stability double precision check (stability > 0.5 and stability <= 1),
                add constraint panel_rules_whole check (
                    num_nulls(majority, able, following_rounds, stability) in (0, 4))
        ');
    }

    public function down(): void
    {
        DB::unprepared('alter table sittings drop constraint panel_rules_whole, drop column majority, drop column able,
            drop column following_rounds, drop column stability');
    }
};
