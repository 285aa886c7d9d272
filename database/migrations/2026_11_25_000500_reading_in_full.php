<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('readings', function (Blueprint $table): void {
            $table->jsonb('chain')->default('[]');
            $table->string('drill', 40)->nullable();
            $table->string('stop', 14)->nullable();
            $table->string('miss', 12)->nullable();
            $table->jsonb('marks')->default('{}');
            $table->jsonb('aids')->default('[]');
            $table->unsignedBigInteger('active_ms')->default(0);
            $table->dropColumn('last_save');
        });
        DB::statement("alter table readings add constraint readings_stage check (stage in ('blind', 'reveal'))");
        DB::statement('alter table readings add constraint readings_stop check (stop is null or drill is not null)');
        Schema::table('calls', function (Blueprint $table): void {
            $table->string('trend', 6)->nullable();
        });
        DB::statement(
            "alter table calls add constraint calls_trend check (trend is null or (trend in ('better', 'same', "
                ."'worse') and presence = 'present'))",
        );

        // Every change of a reading as it was made, once each: client_id is of the client's making.
        Schema::create('reading_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('reading_id')->constrained()->cascadeOnDelete();
            $table->string('client_id', 40);
            $table->string('writer', 40);
            $table->unsignedInteger('version');
            $table->string('target', 60);
            $table->jsonb('value')->nullable();
            $table->timestampTz('made_at', 3);
            $table->timestampTz('created_at', 3)->useCurrent();
            $table->unique(['reading_id', 'client_id']);
            $table->index(['reading_id', 'target', 'version']);
        });
        DB::unprepared(<<<'SQL'
            create or replace function refuse_locked_reading() returns trigger language plpgsql as $$
            declare reading readings%rowtype;
            begin
                if tg_table_name in ('calls', 'reading_changes') then
                    select * into reading from readings where id = coalesce(new.reading_id, old.reading_id);
                else
                    reading := old;
                end if;
                if reading.handed_in_at is not null then
                    raise exception 'the reading has been handed in' using errcode = 'check_violation';
                end if;
                if not exists (select 1 from round_cases c join rounds r on r.id = c.round_id
                    where c.id = reading.round_case_id and r.state = 'open') then
                    raise exception 'the round is not open' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end $$;
            create trigger reading_changes_locked before insert or update or delete on reading_changes
                for each row execute function refuse_locked_reading();
        SQL);

        Schema::table('rounds', function (Blueprint $table): void {
            $table->boolean('reveals')->default(false);
        });
        Schema::table('round_cases', function (Blueprint $table): void {
            $table->string('kind', 6)->default('single');
        });
        DB::statement(
            "alter table round_cases add constraint round_cases_kind check (kind in ('single', 'series', 'pair'))",
        );
        // The swings of every case in order; the first is the case's own recording.
        Schema::create('case_swings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_case_id')->constrained()->cascadeOnDelete();
            $table->foreignId('recording_id')->constrained();
            $table->unsignedSmallInteger('position');
            $table->unique(['round_case_id', 'position']);
            $table->unique(['round_case_id', 'recording_id']);
            $table->index('recording_id');
        });
        DB::statement(
            'insert into case_swings (round_case_id, recording_id, position) select id, recording_id, 1 from '
                .'round_cases',
        );
        DB::statement('alter table case_swings add constraint case_swings_position check (position between 1 and 6)');
        Schema::table('recordings', function (Blueprint $table): void {
            $table->jsonb('outcome')->nullable();
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->jsonb('keys')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('keys'));
        Schema::table('recordings', fn (Blueprint $table) => $table->dropColumn('outcome'));
        Schema::dropIfExists('case_swings');
        Schema::table('round_cases', fn (Blueprint $table) => $table->dropColumn('kind'));
        Schema::table('rounds', fn (Blueprint $table) => $table->dropColumn('reveals'));
        Schema::dropIfExists('reading_changes');
        Schema::table('calls', fn (Blueprint $table) => $table->dropColumn('trend'));
        DB::statement('alter table readings drop constraint readings_stop, drop constraint readings_stage');
        Schema::table('readings', function (Blueprint $table): void {
            $table->dropColumn(['chain', 'drill', 'stop', 'miss', 'marks', 'aids', 'active_ms']);
            $table->string('last_save', 40)->nullable();
        });
    }
};
