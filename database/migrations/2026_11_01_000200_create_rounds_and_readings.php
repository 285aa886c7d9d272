<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rounds', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->string('name', 120);
            $table->string('kind', 10);
            $table->string('state', 10)->default('draft');
            $table->string('lens', 40);
            $table->string('codebook_version', 20);
            $table->char('seed', 32);
            $table->timestampTz('opened_at')->nullable();
            $table->timestampTz('closed_at')->nullable();
            $table->timestampTz('published_at')->nullable();
            $table->foreignId('created_by')->constrained('users');
            $table->timestampsTz();
        });
        DB::statement("alter table rounds add constraint rounds_kind check (kind in ('panel', 'staff'))");
        DB::statement(
            "alter table rounds add constraint rounds_state check (state in ('draft', 'open', 'closed', 'published'))",
        );

        Schema::create('round_cases', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->constrained()->cascadeOnDelete();
            $table->foreignId('recording_id')->constrained();
            $table->unsignedSmallInteger('occasion')->default(1);
            $table->boolean('shows_film')->default(true);
            $table->boolean('shows_trace')->default(true);
            $table->unique(['round_id', 'recording_id', 'occasion']);
        });
        DB::statement('alter table round_cases add constraint round_cases_shows check (shows_film or shows_trace)');

        Schema::create('round_members', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->unique(['round_id', 'user_id']);
        });

        Schema::create('readings', function (Blueprint $table): void {
            $table->id();
            $table->ulid('public_id')->unique();
            $table->foreignId('round_case_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('stage', 10)->default('blind');
            $table->unsignedSmallInteger('position');
            $table->jsonb('first_causes')->default('[]');
            $table->string('cue', 120)->default('');
            $table->unsignedInteger('version')->default(0);
            $table->string('last_save', 40)->nullable();
            $table->timestampTz('handed_in_at')->nullable();
            $table->timestampsTz();
            $table->unique(['round_case_id', 'user_id', 'stage']);
        });

        Schema::create('calls', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('reading_id')->constrained()->cascadeOnDelete();
            $table->string('fault', 40);
            $table->string('presence', 12);
            $table->unsignedSmallInteger('severity')->nullable();
            $table->char('onset', 2)->nullable();
            $table->string('decision', 6)->nullable();
            $table->unsignedSmallInteger('confidence')->nullable();
            $table->jsonb('pins')->default('[]');
            $table->unique(['reading_id', 'fault']);
        });
        DB::statement(
            "alter table calls add constraint calls_presence check (presence in ('present', 'absent', 'cannot-tell'))",
        );
        DB::statement(
            "alter table calls add constraint calls_present_only check (presence = 'present' or (severity is null and "
                .'onset is null and decision is null))',
        );
        DB::statement('alter table calls add constraint calls_severity check (severity between 1 and 3)');
        DB::statement(
            'alter table calls add constraint calls_confidence check (confidence is null or (confidence between 50 '
                ."and 100 and presence <> 'cannot-tell'))",
        );
        DB::statement("alter table calls add constraint calls_decision check (decision in ('now', 'later', 'leave'))");

        Schema::create('key_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->constrained();
            $table->unsignedInteger('number');
            $table->string('lens', 40);
            $table->string('core_version', 20);
            $table->timestampTz('frozen_at')->nullable();
            $table->timestampsTz();
            $table->unique(['round_id', 'number']);
        });
        Schema::table('rounds', function (Blueprint $table): void {
            $table->foreignId('key_version_id')->nullable()->constrained();
        });

        Schema::create('key_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('key_version_id')->constrained();
            $table->foreignId('recording_id')->constrained();
            $table->string('fault', 40);
            $table->string('label', 10);
            $table->string('grade', 12);
            $table->unsignedSmallInteger('present');
            $table->unsignedSmallInteger('absent');
            $table->unsignedSmallInteger('cannot_tell');
            $table->double('severity')->nullable();
            $table->char('onset', 2)->nullable();
            $table->string('verdict', 20);
            $table->double('margin')->nullable();
            $table->text('sentence');
            $table->string('ruling', 10)->nullable();
            $table->text('ruling_reason')->nullable();
            $table->foreignId('ruled_by')->nullable()->constrained('users');
            $table->timestampTz('ruled_at')->nullable();
            $table->unique(['key_version_id', 'recording_id', 'fault']);
        });
        DB::statement(
            "alter table key_entries add constraint key_entries_label check (label in ('present', 'absent', 'none'))",
        );
        DB::statement(
            "alter table key_entries add constraint key_entries_grade check (grade in ('verified', 'panel only', "
                ."'borderline', 'conflict', 'contested'))",
        );
        DB::statement(
            'alter table key_entries add constraint key_entries_ruling check (ruling is null or (ruling in '
                ."('present', 'absent', 'none') and length(ruling_reason) >= 10 and ruled_by is not null))",
        );

        Schema::create('round_results', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->unique()->constrained()->cascadeOnDelete();
            $table->string('core_version', 20);
            $table->char('inputs_checksum', 64);
            $table->jsonb('results');
            $table->timestampsTz();
        });

        // The rules the program relies on hold in the database itself, whatever code writes to it.
        DB::unprepared(<<<'SQL'
            create or replace function refuse_frozen_key() returns trigger language plpgsql as $$
            begin
                if exists (select 1 from key_versions where id = coalesce(old.key_version_id,
                    new.key_version_id) and frozen_at is not null) then
                    raise exception 'the key is frozen' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end $$;
            create trigger key_entries_frozen before insert or update or delete on key_entries
                for each row execute function refuse_frozen_key();

            create or replace function refuse_thaw() returns trigger language plpgsql as $$
            begin
                if old.frozen_at is not null then
                    raise exception 'the key is frozen' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end $$;
            create trigger key_versions_frozen before update or delete on key_versions
                for each row execute function refuse_thaw();

            create or replace function refuse_locked_reading() returns trigger language plpgsql as $$
            declare reading readings%rowtype;
            begin
                if tg_table_name = 'calls' then
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
            create trigger calls_locked before insert or update or delete on calls
                for each row execute function refuse_locked_reading();
            create trigger readings_locked before update or delete on readings
                for each row execute function refuse_locked_reading();

            create or replace function refuse_step_back() returns trigger language plpgsql as $$
            begin
                if array_position(array['draft', 'open', 'closed', 'published'],
                    new.state::text) < array_position(array['draft', 'open', 'closed', 'published'],
                    old.state::text) then
                    raise exception 'a round does not go back
                        from % to %', old.state, new.state using errcode = 'check_violation';
                end if;
                return new;
            end $$;
            create trigger rounds_forward before update on rounds for each row execute function refuse_step_back();
        SQL);
    }

    public function down(): void
    {
        Schema::table('rounds', fn (Blueprint $table) => $table->dropConstrainedForeignId('key_version_id'));
        foreach (
            [
                'round_results',
                'key_entries',
                'key_versions',
                'calls',
                'readings',
                'round_members',
                'round_cases',
                'rounds',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
        DB::unprepared('drop function refuse_frozen_key(), refuse_thaw(), refuse_locked_reading(), refuse_step_back()');
    }
};
