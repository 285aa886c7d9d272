<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('lessons', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('golfer_id')->constrained()->cascadeOnDelete();
            $table->date('held_on');
            $table->text('complaint')->nullable();
            $table->text('aim')->nullable();
            $table->text('explanation')->nullable();
            $table->text('traits')->nullable();
            $table->text('tried')->nullable();
            // What the golfer feels, said before any number is shown; unasked: nobody waits for it.
            $table->boolean('asks_feel')->default(true);
            $table->text('feel')->nullable();
            $table->timestampTz('feel_locked_at')->nullable();
            $table->foreignId('created_by')->nullable()->constrained('users');
            $table->timestampsTz();
            $table->index(['golfer_id', 'held_on']);
        });
        DB::statement(
            'alter table lessons add constraint lessons_feel check (feel_locked_at is null or feel is not null)',
        );
        DB::unprepared(<<<'SQL'
            create or replace function refuse_changed_feel() returns trigger language plpgsql as $$
            begin
                if old.feel_locked_at is not null
                    and (new.feel is distinct from old.feel or new.feel_locked_at is distinct from old.feel_locked_at) then
                    raise exception 'what was felt is locked' using errcode = 'check_violation';
                end if;
                return new;
            end $$;
            create trigger lessons_feel_locked before update on lessons
                for each row execute function refuse_changed_feel();
            SQL);
        Schema::create('lesson_balls', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('place');
            $table->string('club', 40)->nullable();
            $table->jsonb('flight');
            $table->string('note', 200)->nullable();
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['lesson_id', 'place']);
        });
        DB::statement('alter table lesson_balls add constraint lesson_balls_place check (place between 1 and 500)');
        Schema::table('recordings', function (Blueprint $table): void {
            $table->foreignId('lesson_id')->nullable()->index()->constrained()->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('recordings', fn (Blueprint $table) => $table->dropConstrainedForeignId('lesson_id'));
        Schema::dropIfExists('lesson_balls');
        Schema::dropIfExists('lessons');
        DB::statement('drop function if exists refuse_changed_feel()');
    }
};
