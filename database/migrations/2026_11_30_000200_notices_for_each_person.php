<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('notices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            // What it is of, so that nobody is told the same twice.
            $table->string('subject', 80);
            $table->foreignId('sitting_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('golfer_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->nullable()->constrained('users')->cascadeOnDelete();
            $table->timestampTz('created_at')->useCurrent();
            $table->timestampTz('seen_at')->nullable();
            $table->timestampTz('mailed_at')->nullable();
            $table->unique(['user_id', 'kind', 'subject']);
        });
        DB::statement("alter table notices add constraint notices_kind check (kind in ('opened', 'published', "
            ."'reopened', 'all-in', 'came', 'consents'))");
        DB::statement('create index notices_unseen on notices (user_id) where seen_at is null');
        Schema::table('users', function (Blueprint $table): void {
            $table->jsonb('notice_ways')->nullable();
            $table->date('digest_on')->nullable();
        });
    }

    public function down(): void
    {
        Schema::drop('notices');
        Schema::dropColumns('users', ['notice_ways', 'digest_on']);
    }
};
