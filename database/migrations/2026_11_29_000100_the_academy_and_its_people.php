<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('academies', function (Blueprint $table): void {
            $table->smallInteger('id')->primary();
            $table->string('name', 120);
            $table->string('zone', 60);
            $table->string('letterhead', 600)->nullable();
            $table->boolean('is_sample')->default(false);
            $table->timestampsTz();
        });
        DB::statement('alter table academies add constraint academies_one check (id = 1)');
        // Before this only the sample's loader could make a person.
        if (DB::table('users')->exists()) {
            DB::table('academies')->insert([
                'id' => 1,
                'name' => 'Fernhollow Golf Academy',
                'zone' => config()->string('academy.zone'),
                'is_sample' => true,
                'created_at' => now(),
                'updated_at' => now(),
            ]);
        }

        Schema::table('users', function (Blueprint $table): void {
            $table->string('state', 10)->default('active');
            $table->timestampTz('state_since')->nullable();
            $table->boolean('on_panel')->default(false);
            $table->foreignId('golfer_id')->nullable()->unique()->constrained()->nullOnDelete();
            $table->string('zone', 60)->nullable();
            $table->text('factor_secret')->nullable();
            $table->timestampTz('factor_since')->nullable();
            $table->bigInteger('factor_step')->nullable();
            $table->jsonb('recovery_codes')->nullable();
        });
        DB::statement(
            "alter table users add constraint users_state check (state in ('invited', 'active', 'disabled', 'left'))",
        );
        DB::statement(
            'alter table users add constraint users_factor check (factor_since is null or factor_secret is not null)',
        );
        DB::statement('create unique index users_email_lower on users (lower(email))');

        Schema::create('groups', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 10);
            $table->string('name', 60);
            $table->timestampsTz();
            $table->unique(['kind', 'name']);
        });
        DB::statement("alter table groups add constraint groups_kind check (kind in ('site', 'seniority', 'other'))");
        Schema::create('group_user', function (Blueprint $table): void {
            $table->foreignId('group_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->primary(['group_id', 'user_id']);
            $table->index('user_id');
        });

        // What a letter lets somebody do, once and for a while. Only a hash of what it holds is kept.
        Schema::create('account_links', function (Blueprint $table): void {
            $table->id();
            $table->string('purpose', 12);
            $table->char('token_hash', 64)->unique();
            $table->foreignId('user_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('email')->nullable();
            $table->timestampTz('expires_at');
            $table->timestampTz('used_at')->nullable();
            $table->timestampTz('created_at')->useCurrent();
            $table->index(['user_id', 'purpose']);
        });
        DB::statement(
            'alter table account_links add constraint account_links_purpose check (purpose in '
                ."('begin', 'invite', 'reset', 'address-from', 'address-to'))",
        );
        DB::statement(
            "alter table account_links add constraint account_links_whose check ((purpose = 'begin') = "
                .'(user_id is null))',
        );

        // Letters that no mailer took away: read on a page instead.
        Schema::create('outbox_letters', function (Blueprint $table): void {
            $table->id();
            $table->string('recipient');
            $table->string('subject');
            $table->text('body');
            $table->timestampTz('created_at')->useCurrent();
        });

        Schema::table('seats', function (Blueprint $table): void {
            $table->timestampTz('left_out_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('seats', fn (Blueprint $table) => $table->dropColumn('left_out_at'));
        foreach (['outbox_letters', 'account_links', 'group_user', 'groups', 'academies'] as $table) {
            Schema::dropIfExists($table);
        }
        DB::statement('drop index users_email_lower');
        Schema::table('users', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('golfer_id');
            $table->dropColumn([
                'state',
                'state_since',
                'on_panel',
                'zone',
                'factor_secret',
                'factor_since',
                'factor_step',
                'recovery_codes',
            ]);
        });
    }
};
