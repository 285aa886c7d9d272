<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// Lists draw a recording's shape without reading its trace. Those of before get theirs with the next measuring.
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('alter table measurement_sets add column shape text check (length(shape) <= 1000)');
    }

    public function down(): void
    {
        DB::unprepared('alter table measurement_sets drop column shape');
    }
};
