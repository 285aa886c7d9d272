<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('recordings', function (Blueprint $table): void {
            // What a person has said yes to; what was recorded stays as it came.
            $table->jsonb('repairs')->default('[]');
        });
        DB::statement(
            "alter table recordings add constraint recordings_repairs check (jsonb_typeof(repairs) = 'array')",
        );
    }

    public function down(): void
    {
        Schema::table('recordings', function (Blueprint $table): void {
            $table->dropColumn('repairs');
        });
    }
};
