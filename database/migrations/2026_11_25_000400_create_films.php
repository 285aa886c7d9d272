<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('films', function (Blueprint $table): void {
            $table->id();
            $table->string('public_id', 26)->unique();
            $table->foreignId('recording_id')->constrained()->cascadeOnDelete();
            $table->string('view', 14);
            $table->string('name', 160);
            $table->unsignedBigInteger('bytes');
            $table->unsignedBigInteger('received')->default(0);
            $table->unsignedSmallInteger('slowed')->default(1);
            $table->string('container', 10)->nullable();
            $table->char('checksum', 64)->nullable();
            $table->string('state', 12)->default('arriving');
            $table->float('progress')->default(0);
            $table->string('message', 300)->nullable();
            $table->unsignedSmallInteger('attempts')->default(0);
            $table->timestampTz('beat_at')->nullable();
            $table->jsonb('facts')->nullable();
            $table->double('rate_hz')->nullable();
            $table->unsignedInteger('frames')->nullable();
            $table->unsignedSmallInteger('width')->nullable();
            $table->unsignedSmallInteger('height')->nullable();
            $table->binary('taken')->nullable();
            $table->jsonb('stills')->default('{}');
            $table->double('offset_s')->default(0);
            $table->double('drift_ppm')->default(0);
            $table->double('clock_uncertainty_s')->nullable();
            $table->string('clock_by', 20)->nullable();
            $table->jsonb('clock_events')->default('[]');
            $table->timestampsTz();
            $table->unique(['recording_id', 'view']);
        });
        DB::statement("alter table films add constraint films_view check (view in ('face-on', 'down-the-line'))");
        DB::statement(
            "alter table films add constraint films_state check (state in ('arriving', 'waiting', 'converting', "
                ."'ready', 'refused'))",
        );
        DB::statement('alter table films add constraint films_received check (received <= bytes and bytes > 0)');
        DB::statement('alter table films add constraint films_slowed check (slowed in (1, 2, 4, 8, 10))');
        DB::statement(
            "alter table films add constraint films_ready check (state <> 'ready' or (rate_hz > 0 and frames > 1 and "
                .'width > 0 and height > 0 and taken is not null and checksum is not null))',
        );

        // What a case showed, written down when its round opens: a film that comes later changes no case.
        Schema::table('round_cases', function (Blueprint $table): void {
            $table->jsonb('film_views')->nullable();
        });

        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::table('round_cases', fn (Blueprint $table) => $table->dropColumn('film_views'));
        foreach (['failed_jobs', 'jobs', 'films'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
