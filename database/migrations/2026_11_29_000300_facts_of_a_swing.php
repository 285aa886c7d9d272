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
            $table->double('loft_deg')->nullable();
            $table->smallInteger('effort_pct')->nullable();
            $table->boolean('has_ball')->nullable();
            $table->string('size', 14)->nullable();
            $table->smallInteger('place')->nullable();
            $table->integer('facts_version')->default(0);
            $table->timestampTz('facts_changed_at')->nullable();
        });
        DB::statement('alter table recordings add constraint recordings_facts check ((loft_deg is null or loft_deg '
            .'between 0 and 80) and (effort_pct is null or effort_pct between 1 and 120) '
            ."and (size is null or size in ('full', 'three-quarter', 'half', 'short')) "
            .'and (place is null or place between 1 and 500))');
        Schema::table('films', function (Blueprint $table): void {
            $table->double('camera_height_cm')->nullable();
            $table->double('camera_tilt_deg')->nullable();
        });
        DB::statement('alter table films add constraint films_camera check ((camera_height_cm is null or '
            .'camera_height_cm between 0 and 1000) and (camera_tilt_deg is null or camera_tilt_deg between -90 and 90))');
        // Files that were sent together.
        Schema::table('imports', function (Blueprint $table): void {
            $table->ulid('batch')->nullable()->index();
        });

        // What can be taken back for a minute.
        Schema::create('undos', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->jsonb('payload');
            $table->timestampTz('expires_at');
            $table->timestampTz('used_at')->nullable();
            $table->timestampTz('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('undos');
        Schema::table('imports', fn (Blueprint $table) => $table->dropColumn('batch'));
        DB::statement('alter table films drop constraint films_camera');
        Schema::table('films', function (Blueprint $table): void {
            $table->dropColumn(['camera_height_cm', 'camera_tilt_deg']);
        });
        DB::statement('alter table recordings drop constraint recordings_facts');
        Schema::table('recordings', function (Blueprint $table): void {
            $table->dropColumn(['loft_deg', 'effort_pct', 'has_ball', 'size', 'place', 'facts_version',
                'facts_changed_at']);
        });
    }
};
