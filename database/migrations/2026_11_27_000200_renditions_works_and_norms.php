<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Renditions of what a sitting with hidden repeats shows; long work with its progress; the academy's norms as dated
 * snapshots; limits of what a channel may hold; and what is left of a recording whose inputs were erased.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('renditions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sitting_case_id')->constrained()->cascadeOnDelete();
            $table->foreignId('recording_id')->constrained();
            $table->string('public_id', 26)->unique();
            $table->double('start_s');
            $table->double('end_s');
            $table->jsonb('nudges');
            $table->jsonb('films')->default('{}');
            $table->unique(['sitting_case_id', 'recording_id']);
        });
        DB::statement('alter table renditions add constraint renditions_span check (end_s > start_s)');

        Schema::create('works', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->string('kind', 12);
            $table->foreignId('sitting_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('recording_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('asked_by')->nullable()->constrained('users');
            $table->string('state', 10)->default('waiting');
            $table->float('progress')->default(0);
            $table->string('problem', 500)->nullable();
            $table->unsignedSmallInteger('attempts')->default(0);
            $table->boolean('cancelling')->default(false);
            $table->timestampTz('beat_at', 3)->nullable();
            $table->timestampsTz();
        });
        DB::statement(
            "alter table works add constraint works_kind check (kind in ('measure', 'open', 'key', 'publish'))",
        );
        DB::statement(
            "alter table works add constraint works_state check (state in ('waiting', 'running', 'done', 'failed', "
                ."'cancelled'))",
        );
        DB::statement(
            "alter table works add constraint works_of check ((kind = 'measure') = (recording_id is not null) and "
                ."(kind <> 'measure') = (sitting_id is not null))",
        );
        // One at a time of a kind: asked twice is asked once.
        DB::statement(
            "create unique index works_sitting on works (sitting_id, kind) where state in ('waiting', 'running') and "
                .'sitting_id is not null',
        );
        DB::statement(
            "create unique index works_recording on works (recording_id, kind) where state in ('waiting', 'running') "
                .'and recording_id is not null',
        );

        Schema::create('norm_snapshots', function (Blueprint $table): void {
            $table->id();
            $table->timestampTz('taken_at');
            $table->unsignedInteger('recordings');
            $table->jsonb('norms');
        });

        Schema::table('key_versions', function (Blueprint $table): void {
            $table->char('inputs_checksum', 64)->nullable();
        });
        Schema::table('recordings', function (Blueprint $table): void {
            $table->timestampTz('erased_at')->nullable();
        });
        Schema::table('trace_channels', function (Blueprint $table): void {
            $table->double('minimum')->nullable();
            $table->double('maximum')->nullable();
            $table->unsignedInteger('missing')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('trace_channels', fn (Blueprint $table) => $table->dropColumn(['minimum', 'maximum', 'missing']));
        Schema::table('recordings', fn (Blueprint $table) => $table->dropColumn('erased_at'));
        Schema::table('key_versions', fn (Blueprint $table) => $table->dropColumn('inputs_checksum'));
        foreach (['norm_snapshots', 'works', 'renditions'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
