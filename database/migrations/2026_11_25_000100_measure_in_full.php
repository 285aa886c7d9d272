<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Schema;

/**
 * Stations by several sources side by side, views of the body with a clock of their own, series of swings, and
 * codebooks as versioned documents.
 */
return new class extends Migration
{
    public function up(): void
    {
        // A station found by the program stays when a person marks it: one row a source, the best of them counts.
        DB::statement(
            "update station_times set source = 'motion' where source not in ('motion', 'trace', 'file', 'hand')",
        );
        Schema::table('station_times', function (Blueprint $table): void {
            $table->dropUnique(['recording_id', 'code']);
            $table->unique(['recording_id', 'code', 'source']);
            $table->string('doubt', 160)->nullable();
            $table->foreignId('marked_by')->nullable()->constrained('users');
        });
        DB::statement(
            "alter table station_times add constraint station_times_source check (source in ('motion', 'trace', "
                ."'file', 'hand'))",
        );
        DB::statement(
            "alter table station_times add constraint station_times_hand check (source <> 'hand' or marked_by is not "
                .'null)',
        );

        Schema::table('motions', function (Blueprint $table): void {
            $table->string('view', 20)->default('points');
            $table->dropUnique(['recording_id']);
            $table->unique(['recording_id', 'view']);
        });
        DB::statement(
            "alter table motions add constraint motions_view check (view in ('points', 'face-on', 'down-the-line'))",
        );

        Schema::table('recordings', function (Blueprint $table): void {
            $table->double('clock_jitter_s')->nullable();
            // t_trace = t_film + offset + drift · (t_film − first frame)
            $table->double('film_offset_s')->default(0);
            $table->double('film_drift_ppm')->default(0);
            $table->double('film_clock_uncertainty_s')->nullable();
            $table->string('film_clock_by', 12)->nullable();
            $table->string('series', 60)->nullable();
            $table->boolean('is_cold')->default(false);
            $table->index(['golfer_id', 'series']);
        });

        Schema::create('codebook_versions', function (Blueprint $table): void {
            $table->id();
            $table->string('version', 20)->unique();
            $table->jsonb('document');
            $table->text('note');
            $table->foreignId('created_by')->nullable()->constrained('users');
            $table->timestampTz('created_at')->useCurrent();
        });
        // Rounds from before had ten of the faults; they keep the codebook they were read by.
        if (DB::table('rounds')->exists()) {
            /** @var array{version: string, faults: array<string, mixed>, lenses: array<string, mixed>} $document */
            $document = File::json(resource_path('codebooks/1.json'));
            $ten = [
                'sway',
                'no-load',
                'late-load',
                'late-recentre',
                'early-lunge',
                'hang-back',
                'late-arrival',
                'spin-out',
                'late-push',
                'fall-off',
            ];
            $document['version'] = '0.1';
            $document['faults'] = array_intersect_key($document['faults'], array_flip($ten));
            $document['lenses'] = ['early-recentre' => $document['lenses']['early-recentre']];
            DB::table('codebook_versions')->insert([
                'version' => '0.1',
                'document' => json_encode($document, JSON_THROW_ON_ERROR),
                'note' => 'the first ten faults, under the default lens',
            ]);
            DB::table('rounds')
                ->where('codebook_version', '1')
                ->update(['codebook_version' => '0.1']);
        }
        // Derived figures are cheap to make again; those of the old shape are dropped.
        DB::table('measurement_sets')->delete();
        Schema::table('measurement_sets', function (Blueprint $table): void {
            $table->string('codebook_version', 20)->default('1');
            $table->jsonb('quality')->default('[]');
        });
        DB::unprepared(<<<'SQL'
            create or replace function refuse_codebook_change() returns trigger language plpgsql as $$
            begin
                raise exception 'a codebook version is never changed; make a new one' using errcode = 'check_violation';
            end $$;
            create trigger codebook_versions_fixed before update or delete on codebook_versions
                for each row execute function refuse_codebook_change();
        SQL);
    }

    public function down(): void
    {
        Schema::dropIfExists('codebook_versions');
        DB::unprepared('drop function refuse_codebook_change()');
        Schema::table('measurement_sets', fn (Blueprint $table) => $table->dropColumn(['codebook_version', 'quality']));
        Schema::table(
            'recordings',
            fn (Blueprint $table) => $table->dropColumn([
                'clock_jitter_s',
                'film_offset_s',
                'film_drift_ppm',
                'film_clock_uncertainty_s',
                'film_clock_by',
                'series',
                'is_cold',
            ]),
        );
        DB::statement("delete from motions where view <> 'points'");
        DB::statement('alter table motions drop constraint motions_view');
        Schema::table('motions', function (Blueprint $table): void {
            $table->dropUnique(['recording_id', 'view']);
            $table->unique('recording_id');
            $table->dropColumn('view');
        });
        DB::statement(
            'delete from station_times a using station_times b where a.recording_id = b.recording_id and a.code = '
                .'b.code and a.id > b.id',
        );
        Schema::table('station_times', function (Blueprint $table): void {
            $table->dropUnique(['recording_id', 'code', 'source']);
            $table->unique(['recording_id', 'code']);
            $table->dropConstrainedForeignId('marked_by');
            $table->dropColumn('doubt');
        });
        DB::statement('alter table station_times drop constraint station_times_source');
    }
};
