<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Live devices: who may send, what was sent and acknowledged, and the swings caught from it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('devices', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->string('name', 120);
            $table->char('token_hash', 64)->unique();
            $table->timestampTz('revoked_at')->nullable();
            $table->foreignId('created_by')->constrained('users');
            $table->timestampsTz();
        });
        Schema::create('capture_sessions', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('device_id')->constrained();
            $table->string('device_class', 12);
            $table->double('rate_hz');
            $table->jsonb('channels');
            $table->jsonb('stance')->nullable();
            $table->double('mass_kg')->nullable();
            $table->boolean('armed')->default(true);
            $table->unsignedBigInteger('newest_sample')->default(0);
            $table->unsignedInteger('chunks')->default(0);
            $table->unsignedInteger('repeated')->default(0);
            $table->double('last_impact_s')->default(-1);
            $table->unsignedBigInteger('looked_at_sample')->default(0);
            $table->timestampTz('last_seen_at', 3)->nullable();
            $table->timestampTz('closed_at')->nullable();
            $table->timestampsTz();
        });
        DB::statement(
            "alter table capture_sessions add constraint capture_sessions_device check (device_class in ('mat', "
                ."'plate', 'dual-plate') and rate_hz between 1 and 5000)",
        );
        Schema::create('capture_chunks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('capture_session_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('seq');
            $table->unsignedBigInteger('first_sample');
            $table->unsignedInteger('samples');
            $table->binary('data');
            $table->char('checksum', 64);
            $table->double('device_s');
            $table->double('server_s');
            $table->unique(['capture_session_id', 'seq']);
            $table->index(['capture_session_id', 'first_sample']);
        });
        Schema::create('caught_swings', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('capture_session_id')->constrained()->cascadeOnDelete();
            $table->double('from_s');
            $table->double('to_s');
            $table->double('impact_s');
            $table->text('bundle');
            $table->foreignId('recording_id')->nullable()->constrained()->nullOnDelete();
            $table->timestampTz('left_at')->nullable();
            $table->timestampsTz();
            $table->unique(['capture_session_id', 'impact_s']);
        });
    }

    public function down(): void
    {
        foreach (['caught_swings', 'capture_chunks', 'capture_sessions', 'devices'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
