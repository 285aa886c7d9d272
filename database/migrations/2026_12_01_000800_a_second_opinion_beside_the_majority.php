<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** How likely a fault is there if a panel's members differ in how often they err, beside the majority. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('alter table key_entries add column second double precision check (second between 0 and 1)');
    }

    public function down(): void
    {
        DB::unprepared('alter table key_entries drop column second');
    }
};
