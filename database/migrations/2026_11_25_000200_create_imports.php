<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Files that are being looked at before they go on the Shelf, and the column mappings remembered from earlier ones. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('golfer_id')->constrained();
            $table->string('format', 10);
            $table->string('file_name', 120);
            $table->string('path', 200);
            $table->string('meta_name', 120)->nullable();
            $table->string('meta_path', 200)->nullable();
            $table->char('checksum', 64);
            $table->jsonb('settings')->default('{}');
            $table->timestampsTz();
        });
        DB::statement("alter table imports add constraint imports_format check (format in ('csv', 'bundle', 'c3d'))");

        Schema::create('column_maps', function (Blueprint $table): void {
            $table->id();
            $table->char('header_checksum', 64)->unique();
            $table->string('device_name', 120)->nullable();
            $table->jsonb('map');
            $table->timestampsTz();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('column_maps');
        Schema::dropIfExists('imports');
    }
};
