<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('golfers', function (Blueprint $table): void {
            $table->smallInteger('height_cm')->nullable();
            $table->double('mass_kg')->nullable();
            $table->smallInteger('born_year')->nullable();
            $table->text('notes')->nullable();
        });
        DB::statement(
            'alter table golfers add constraint golfers_body check ((height_cm is null or height_cm between 80 and 240) '
                .'and (mass_kg is null or mass_kg between 15 and 250) '
                .'and (born_year is null or born_year between 1900 and 2100))',
        );
        DB::statement('create unique index golfers_pseudonym_lower on golfers (lower(pseudonym))');

        // What was said before in words stays in golfers.limits, beside what is coded.
        Schema::create('golfer_limits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('golfer_id')->constrained()->cascadeOnDelete();
            $table->string('region', 20);
            $table->string('side', 6)->nullable();
            $table->string('severity', 12);
            $table->date('since')->nullable();
            $table->boolean('is_cleared')->default(false);
            $table->date('cleared_until')->nullable();
            $table->string('note', 200)->nullable();
            $table->date('ended_on')->nullable();
            $table->timestampsTz();
            $table->index('golfer_id');
        });
        DB::statement("alter table golfer_limits add constraint golfer_limits_codes check (region in ('ankle', 'knee', "
            ."'hip', 'back', 'shoulder', 'wrist', 'neck', 'balance', 'heart-and-breath', 'eyes', 'pregnancy', 'other') "
            ."and severity in ('careful', 'avoid', 'not-cleared') "
            ."and (side is not null) = (region in ('ankle', 'knee', 'hip', 'shoulder', 'wrist')) "
            ."and (side is null or side in ('lead', 'trail', 'both')) "
            .'and (cleared_until is null or is_cleared))');

        // Values of persons in the record lie under a key of each subject's own: deleting it erases them everywhere.
        Schema::create('subject_keys', function (Blueprint $table): void {
            $table->id();
            $table->string('subject', 60)->unique();
            $table->text('held');
            $table->timestampTz('created_at')->useCurrent();
        });
        Schema::table('audit_entries', fn (Blueprint $table) => $table->text('personal')->nullable());

        // A paper form's picture, encrypted where it lies.
        Schema::create('consent_papers', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('golfer_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 8);
            $table->unsignedInteger('bytes');
            $table->char('checksum', 64);
            $table->timestampTz('created_at')->useCurrent();
        });
        DB::statement("alter table consent_papers add constraint consent_papers_kind check (kind in ('pdf', 'jpg', "
            ."'png'))");

        DB::statement("update consents set scope = 'staff-training' where scope = 'training'");
        DB::statement("alter table consents add constraint consents_scope check (scope in ('lessons', "
            ."'staff-training', 'debrief-film', 'teaching-material', 'research'))");
        Schema::table('consents', function (Blueprint $table): void {
            $table->foreignId('paper_id')->nullable()->constrained('consent_papers')->nullOnDelete();
            $table->index(['golfer_id', 'scope']);
        });
    }

    public function down(): void
    {
        Schema::table('consents', function (Blueprint $table): void {
            $table->dropIndex(['golfer_id', 'scope']);
            $table->dropConstrainedForeignId('paper_id');
        });
        DB::statement('alter table consents drop constraint consents_scope');
        DB::statement("update consents set scope = 'training' where scope = 'staff-training'");
        Schema::dropIfExists('consent_papers');
        Schema::table('audit_entries', fn (Blueprint $table) => $table->dropColumn('personal'));
        Schema::dropIfExists('subject_keys');
        Schema::dropIfExists('golfer_limits');
        DB::statement('drop index golfers_pseudonym_lower');
        DB::statement('alter table golfers drop constraint golfers_body');
        Schema::table('golfers', function (Blueprint $table): void {
            $table->dropColumn(['height_cm', 'mass_kg', 'born_year', 'notes']);
        });
    }
};
