<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Rounds become sittings, and a case gets an identity of its own: the same swings asked about twice are one case,
 * whichever sitting asks. Calls, key entries and results keep their rows; what they refer to is carried over and
 * compared before the old columns go.
 */
return new class extends Migration
{
    /** Tables whose triggers refuse changes of what is settled; their owner sets them aside for this transaction. */
    private const SETTLED = ['readings', 'calls', 'reading_changes', 'key_entries', 'key_versions'];

    public function up(): void
    {
        $before = $this->sums('recording_id', 'round_cases', 'round_case_id', 'round_id');
        $this->triggers('disable');

        foreach (
            [
                'rounds' => 'sittings',
                'round_members' => 'seats',
                'round_results' => 'sitting_results',
                'round_cases' => 'sitting_cases',
            ] as $from => $to
        ) {
            Schema::rename($from, $to);
        }
        foreach (['seats', 'sitting_results', 'sitting_cases', 'key_versions'] as $table) {
            DB::statement("alter table $table rename column round_id to sitting_id");
        }
        DB::statement('alter table readings rename column round_case_id to sitting_case_id');

        DB::statement('alter table sittings drop constraint rounds_kind');
        DB::statement("update sittings set kind = 'round' where kind = 'staff'");
        Schema::table('sittings', function (Blueprint $table): void {
            $table->foreignId('parent_id')->nullable()->constrained('sittings');
            // Days between the two parts of a sitting with hidden repeats; nought where there is one part.
            $table->unsignedSmallInteger('wait_days')->default(0);
        });
        DB::statement(
            "alter table sittings add constraint sittings_kind check (kind in ('panel', 'following', 'round', "
                ."'practice', 'check', 'test', 'review'))",
        );

        Schema::create('cases', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 6);
            $table->char('signature', 64)->unique();
            $table->timestampTz('created_at')->useCurrent();
        });
        DB::statement(
            "alter table cases add constraint cases_kind check (kind in ('single', 'series', 'pair', 'ladder'))",
        );
        DB::unprepared(<<<'SQL'
            drop table if exists signed;
            create temporary table signed on commit drop as
                select sc.id as sitting_case_id, sc.kind,
                       encode(sha256(convert_to(sc.kind || ':' || string_agg(cs.recording_id::text,
                           ',' order by cs.position), 'UTF8')), 'hex') as signature
                from sitting_cases sc join case_swings cs on cs.round_case_id = sc.id group by sc.id, sc.kind;
            -- In the order in which they were first asked about: the arithmetic takes cases by name.
            insert into cases (kind, signature) select kind, signature from signed group by kind,
                signature order by min(sitting_case_id);
            alter table sitting_cases add column case_id bigint references cases (id);
            update sitting_cases sc set case_id = c.id
                from signed s join cases c on c.signature = s.signature where s.sitting_case_id = sc.id;
            alter table sitting_cases alter column case_id set not null;

            alter table case_swings rename to case_swings_before;
            create table case_swings (
                id bigserial primary key,
                case_id bigint not null references cases (id) on delete cascade,
                recording_id bigint not null references recordings (id),
                position smallint not null check (position between 1 and 6),
                unique (case_id, position),
                unique (case_id, recording_id)
            );
            create index case_swings_by_recording on case_swings (recording_id);
            insert into case_swings (case_id, recording_id, position)
                select distinct sc.case_id, b.recording_id, b.position
                    from case_swings_before b join sitting_cases sc on sc.id = b.round_case_id;

            alter table key_entries add column case_id bigint references cases (id);
            update key_entries e set case_id = sc.case_id from key_versions k, sitting_cases sc
                where k.id = e.key_version_id and sc.sitting_id = k.sitting_id
                    and sc.recording_id = e.recording_id and sc.occasion = 1;
            alter table key_entries alter column case_id set not null;
        SQL);

        Schema::create('sitting_arms', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sitting_id')->constrained()->cascadeOnDelete();
            $table->string('code', 5);
            $table->boolean('film');
            $table->boolean('trace');
            $table->unique(['sitting_id', 'code']);
        });
        DB::statement(
            'alter table sitting_arms add constraint sitting_arms_shows check ((film or trace) and code = case when '
                ."film and trace then 'both' when film then 'film' else 'trace' end)",
        );
        Schema::table('sitting_cases', function (Blueprint $table): void {
            $table->foreignId('arm_id')->nullable()->constrained('sitting_arms');
            $table->unsignedSmallInteger('part')->default(1);
            $table->boolean('reserved')->default(false);
            $table->timestampTz('withdrawn_at')->nullable();
        });
        Schema::table('readings', function (Blueprint $table): void {
            $table->foreignId('arm_id')->nullable()->constrained('sitting_arms');
            // Whether a truth about one of its swings had been shown to this reader before; such a reading is no blind
            // one.
            $table->boolean('exposed')->default(false);
        });
        DB::unprepared(<<<'SQL'
            insert into sitting_arms (sitting_id, code, film, trace)
                select distinct sitting_id, case when shows_film
                    and shows_trace then 'both' when shows_film then 'film' else 'trace' end, shows_film,
                    shows_trace from sitting_cases;
            update sitting_cases c set arm_id = a.id from sitting_arms a where a.sitting_id = c.sitting_id
                and a.film = c.shows_film and a.trace = c.shows_trace;
            update readings r set arm_id = c.arm_id from sitting_cases c where c.id = r.sitting_case_id;
            alter table readings alter column arm_id set not null;
            -- Repeats of before were kept back for three weeks each; now they are the second part.
            update sitting_cases set part = 2 where occasion > 1;
            update sittings s set wait_days = 21 where exists (select 1 from sitting_cases c
                where c.sitting_id = s.id and c.part = 2);
        SQL);

        Schema::create('exposures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('recording_id')->constrained()->cascadeOnDelete();
            $table->string('what', 10);
            $table->foreignId('sitting_id')->nullable()->constrained()->cascadeOnDelete();
            $table->timestampTz('shown_at');
            $table->unique(['user_id', 'recording_id', 'what', 'sitting_id']);
            $table->index(['recording_id', 'user_id']);
        });
        DB::statement("alter table exposures add constraint exposures_what check (what in ('key', 'numbers'))");
        DB::unprepared(<<<'SQL'
            insert into exposures (user_id, recording_id, what, sitting_id, shown_at)
                select distinct m.user_id, cs.recording_id, 'key', s.id, s.published_at
                from sittings s join seats m on m.sitting_id = s.id
                    join sitting_cases c on c.sitting_id = s.id join case_swings cs on cs.case_id = c.case_id
                where s.state = 'published' and s.published_at is not null;
            insert into exposures (user_id, recording_id, what, sitting_id, shown_at)
                select distinct on (r.user_id, cs.recording_id, c.sitting_id) r.user_id, cs.recording_id,
                    'numbers', c.sitting_id, r.created_at
                from readings r join sitting_cases c on c.id = r.sitting_case_id
                    join case_swings cs on cs.case_id = c.case_id
                where r.stage = 'reveal' and r.created_at is not null order by r.user_id, cs.recording_id,
                    c.sitting_id, r.created_at;
        SQL);

        $after = $this->sums(
            '(select cs.recording_id from case_swings cs where cs.case_id = t.case_id and cs.position = 1)',
            'sitting_cases',
            'sitting_case_id',
            'sitting_id',
        );
        if ($before !== $after) {
            throw new RuntimeException('calls or key entries are not what they were; nothing was changed');
        }

        Schema::drop('case_swings_before');
        DB::unprepared(<<<'SQL'
            alter table sitting_cases drop constraint round_cases_shows, drop constraint round_cases_kind;
            alter table sitting_cases drop column recording_id, drop column shows_film, drop column shows_trace,
                drop column kind;
            alter table sitting_cases add constraint sitting_cases_once unique (sitting_id, case_id, occasion);
            alter table sitting_cases add constraint sitting_cases_part check (part in (1, 2) and occasion in (1, 2));
            alter table key_entries drop column recording_id;
            alter table key_entries add constraint key_entries_once unique (key_version_id, case_id, fault);
        SQL);
        DB::unprepared($this->lockedReading('sitting_cases', 'sittings', 'sitting_id', 'sitting_case_id'));
        $this->triggers('enable');
    }

    public function down(): void
    {
        $this->triggers('disable');
        DB::unprepared(<<<'SQL'
            drop table exposures;
            alter table sitting_cases add column recording_id bigint references recordings (id),
                add column kind varchar(6) not null default 'single',
                add column shows_film boolean not null default true,
                    add column shows_trace boolean not null default true;
            update sitting_cases c set kind = k.kind from cases k where k.id = c.case_id;
            update sitting_cases c set recording_id = cs.recording_id from case_swings cs
                where cs.case_id = c.case_id and cs.position = 1;
            update sitting_cases c set shows_film = a.film, shows_trace = a.trace from sitting_arms a
                where a.id = c.arm_id;
            alter table sitting_cases alter column recording_id set not null;
            alter table key_entries add column recording_id bigint references recordings (id);
            update key_entries e set recording_id = cs.recording_id from case_swings cs
                where cs.case_id = e.case_id and cs.position = 1;
            alter table key_entries alter column recording_id set not null;
            alter table case_swings rename to case_swings_after;
            create table case_swings (
                id bigserial primary key,
                round_case_id bigint not null references sitting_cases (id) on delete cascade,
                recording_id bigint not null references recordings (id),
                position smallint not null,
                unique (round_case_id, position),
                unique (round_case_id, recording_id)
            );
            create index on case_swings (recording_id);
            insert into case_swings (round_case_id, recording_id, position) select c.id, b.recording_id,
                b.position from case_swings_after b join sitting_cases c on c.case_id = b.case_id;
            alter table case_swings add constraint case_swings_position check (position between 1 and 6);
            alter table readings drop column arm_id, drop column exposed;
            alter table sitting_cases drop constraint sitting_cases_once, drop constraint sitting_cases_part;
            alter table sitting_cases drop column arm_id, drop column part, drop column reserved,
                drop column withdrawn_at, drop column case_id;
            alter table key_entries drop constraint key_entries_once, drop column case_id;
            drop table sitting_arms; drop table case_swings_after; drop table cases;
            alter table sittings drop constraint sittings_kind, drop column parent_id, drop column wait_days;
            delete from sittings where kind not in ('panel', 'round');
            update sittings set kind = 'staff' where kind = 'round';
            alter table sittings add constraint rounds_kind check (kind in ('panel', 'staff'));
            alter table sitting_cases add constraint round_cases_shows check (shows_film or shows_trace);
            alter table sitting_cases add constraint round_cases_kind check (kind in ('single', 'series', 'pair'));
            alter table readings rename column sitting_case_id to round_case_id;
        SQL);
        foreach (['seats', 'sitting_results', 'sitting_cases', 'key_versions'] as $table) {
            DB::statement("alter table $table rename column sitting_id to round_id");
        }
        foreach (
            [
                'sittings' => 'rounds',
                'seats' => 'round_members',
                'sitting_results' => 'round_results',
                'sitting_cases' => 'round_cases',
            ] as $from => $to
        ) {
            Schema::rename($from, $to);
        }
        DB::unprepared(
            <<<'SQL'
                alter table round_cases add constraint round_cases_round_id_recording_id_occasion_unique unique (round_id, recording_id, occasion);
                alter table key_entries add constraint key_entries_key_version_id_recording_id_fault_unique unique (key_version_id, recording_id, fault);
            SQL
            ,
        );
        DB::unprepared($this->lockedReading('round_cases', 'rounds', 'round_id', 'round_case_id'));
        $this->triggers('enable');
    }

    private function triggers(string $how): void
    {
        foreach (self::SETTLED as $table) {
            DB::statement("alter table $table $how trigger user");
        }
    }

    /**
     * What every call and key entry says, of which recording, in which sitting, as two checksums.
     *
     * @return array{string, string}
     */
    private function sums(string $recording, string $cases, string $caseId, string $sittingId): array
    {
        $ofEntry = $ofCase = $recording;
        if ($recording === 'recording_id') {
            [$ofEntry, $ofCase] = ['t.recording_id', 't.recording_id'];
        }

        return [
            (string) DB::scalar(
                "select count(*) || md5(coalesce(string_agg(concat_ws('|', t.key_version_id, $ofEntry, t.fault, "
                    .'t.label, t.grade, t.present, t.absent, t.cannot_tell, t.severity, t.onset, t.verdict, t.margin, '
                    ."t.sentence, t.ruling, t.ruling_reason), E'\\n' order by t.id), '')) from key_entries t",
            ),
            (string) DB::scalar(
                "select count(*) || md5(coalesce(string_agg(concat_ws('|', c.id, c.fault, c.presence, c.severity, "
                    .'c.onset, c.confidence, c.pins::text, r.user_id, r.stage, r.position, r.handed_in_at, '
                    ."t.$sittingId, t.occasion, $ofCase), E'\\n' order by c.id), '')) from calls c join readings r on "
                    ."r.id = c.reading_id join $cases t on t.id = r.$caseId",
            ),
        ];
    }

    private function lockedReading(string $cases, string $sittings, string $sittingId, string $caseId): string
    {
        return <<<SQL
            create or replace function refuse_locked_reading() returns trigger language plpgsql as \$\$
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
                if not exists (select 1 from $cases c join $sittings s on s.id = c.$sittingId
                    where c.id = reading.$caseId and s.state = 'open') then
                    raise exception 'the round is not open' using errcode = 'check_violation';
                end if;
                if tg_op = 'DELETE' then return old; end if;
                return new;
            end \$\$;
        SQL;
    }
};
