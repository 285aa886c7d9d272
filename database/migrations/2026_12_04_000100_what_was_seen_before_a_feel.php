<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('alter table lessons add seen_before boolean not null default false;');
    }

    public function down(): void
    {
        DB::unprepared('alter table lessons drop seen_before;');
    }
};
