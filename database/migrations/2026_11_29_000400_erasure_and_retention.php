<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // The record names swings by number, never by a golfer's name.
        DB::statement(<<<'SQL'
            update audit_entries set subject = 'fault ' || split_part(subject, ', ', 1) || ', recording '
                || (details->>'recording') where action = 'rule' and details->>'recording' is not null
            SQL);
        Schema::table('golfers', fn (Blueprint $table) => $table->timestampTz('erased_at')->nullable());
        Schema::create('erasures', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->string('subject', 40);
            $table->string('why', 12);
            $table->foreignId('user_id')->nullable()->constrained();
            $table->jsonb('counts');
            $table->timestampTz('created_at')->useCurrent();
        });
        DB::statement("alter table erasures add constraint erasures_why check (why in ('request', 'retention'))");
        Schema::table('academies', function (Blueprint $table): void {
            $table->smallInteger('erase_after_consent_days')->nullable();
            $table->smallInteger('erase_film_after_days')->nullable();
        });
        DB::statement('alter table academies add constraint academies_retention check ('
            .'(erase_after_consent_days is null or erase_after_consent_days between 1 and 3650) and '
            .'(erase_film_after_days is null or erase_film_after_days between 1 and 3650))');
    }

    public function down(): void
    {
        DB::statement('alter table academies drop constraint academies_retention');
        Schema::table('academies', fn (Blueprint $table) => $table->dropColumn([
            'erase_after_consent_days', 'erase_film_after_days',
        ]));
        Schema::dropIfExists('erasures');
        Schema::table('golfers', fn (Blueprint $table) => $table->dropColumn('erased_at'));
    }
};
