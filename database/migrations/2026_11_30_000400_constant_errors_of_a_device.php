<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What the very device is off by, as somebody has checked it; a recording keeps what held when it came in. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['devices', 'recordings'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->jsonb('constant_errors')->nullable();
            });
            DB::statement(
                "alter table $name add constraint {$name}_constant_errors check (constant_errors is null or "
                    ."(jsonb_typeof(constant_errors) = 'object' and jsonb_exists(constant_errors, 'source')))",
            );
        }
    }

    public function down(): void
    {
        foreach (['devices', 'recordings'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->dropColumn('constant_errors');
            });
        }
    }
};
