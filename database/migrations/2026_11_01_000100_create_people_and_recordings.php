<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('email')->unique();
            $table->string('password');
            $table->string('role', 20);
            $table->rememberToken();
            $table->timestampsTz();
        });
        DB::statement(
            "alter table users add constraint users_role check (role in ('head-coach', 'panel', 'instructor'))",
        );

        Schema::create('golfers', function (Blueprint $table): void {
            $table->id();
            $table->string('pseudonym', 60)->unique();
            $table->string('handedness', 5);
            $table->string('limits', 200)->nullable();
            $table->boolean('is_minor')->default(false);
            $table->timestampsTz();
        });
        DB::statement("alter table golfers add constraint golfers_hand check (handedness in ('right', 'left'))");

        Schema::create('consents', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('golfer_id')->constrained()->cascadeOnDelete();
            $table->string('scope', 40);
            $table->date('given_on');
            $table->date('expires_on');
            $table->string('guardian', 120)->nullable();
            $table->timestampTz('withdrawn_at')->nullable();
            $table->timestampsTz();
        });
        DB::statement('alter table consents add constraint consents_order check (expires_on > given_on)');

        Schema::create('recordings', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('golfer_id')->constrained();
            $table->string('club', 40);
            $table->string('swing', 40)->default('full');
            $table->string('shape', 40)->nullable();
            $table->string('device_class', 12);
            $table->string('device_name', 120)->nullable();
            $table->double('rate_hz');
            $table->double('t0');
            $table->unsignedInteger('samples');
            $table->double('mass_kg')->nullable();
            $table->jsonb('stance')->nullable();
            $table->jsonb('quality');
            $table->char('checksum', 64)->unique();
            $table->string('source', 12);
            $table->timestampsTz();
        });
        DB::statement(
            "alter table recordings add constraint recordings_device check (device_class in ('mat', 'plate', "
                ."'dual-plate'))",
        );
        DB::statement('alter table recordings add constraint recordings_size check (samples >= 2 and rate_hz > 0)');

        Schema::create('trace_channels', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('recording_id')->constrained()->cascadeOnDelete();
            $table->string('name', 40);
            $table->binary('samples');
            $table->unique(['recording_id', 'name']);
        });
        Schema::create('motions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('recording_id')->unique()->constrained()->cascadeOnDelete();
            $table->double('rate_hz');
            $table->double('t0');
            $table->unsignedInteger('frames');
            $table->jsonb('points');
            $table->binary('coordinates');
        });
        Schema::create('station_times', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('recording_id')->constrained()->cascadeOnDelete();
            $table->char('code', 2);
            $table->double('t_s');
            $table->double('uncertainty_s');
            $table->string('source', 20);
            $table->unique(['recording_id', 'code']);
        });
        DB::statement(
            'alter table station_times add constraint station_times_code check (code in '
                ."('AD','TB','LB','TP','LD','SD','IM','ST','FI'))",
        );

        Schema::create('measurement_sets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('recording_id')->unique()->constrained()->cascadeOnDelete();
            $table->string('core_version', 20);
            $table->char('inputs_checksum', 64);
            $table->jsonb('measurements');
            $table->jsonb('faults');
            $table->timestampsTz();
        });

        Schema::create('audit_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('action', 40);
            $table->string('subject', 160);
            $table->jsonb('details');
            $table->timestampTz('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        foreach (
            [
                'audit_entries',
                'measurement_sets',
                'station_times',
                'motions',
                'trace_channels',
                'recordings',
                'consents',
                'golfers',
                'users',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
