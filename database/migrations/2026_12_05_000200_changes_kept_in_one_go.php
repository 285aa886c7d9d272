<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /** What a save writes of a reading: the changes taken, the calls as they stand after them, its version. */
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create or replace function keep_changes(
                of bigint, taken json, called json, at_version integer, more_ms bigint, at timestamptz
            ) returns void language plpgsql volatile as $$
            begin
                insert into reading_changes (
                    reading_id, client_id, writer, version, target, value, made_at, created_at
                )
                    select of, t.client_id, t.writer, t.version, t.target, t.value::jsonb, t.made_at, at
                    from json_to_recordset(taken) as t (
                        client_id text, writer text, version integer, target text, value text, made_at timestamptz
                    );
                if json_array_length(called) > 0 then
                    insert into calls as c (
                        reading_id, fault, presence, severity, onset, decision, confidence, pins, trend, reaction, sound
                    )
                        select of, k.fault, k.presence, k.severity, k.onset, k.decision, k.confidence, k.pins, k.trend,
                            k.reaction, k.sound
                        from json_to_recordset(called) as k (
                            fault text, presence text, severity smallint, onset text, decision text,
                            confidence smallint, pins jsonb, trend text, reaction text, sound boolean
                        )
                    on conflict (reading_id, fault) do update set presence = excluded.presence,
                        severity = excluded.severity, onset = excluded.onset, decision = excluded.decision,
                        confidence = excluded.confidence, pins = excluded.pins, trend = excluded.trend,
                        reaction = excluded.reaction, sound = excluded.sound;
                end if;
                update readings r set version = at_version, active_ms = r.active_ms + more_ms,
                    updated_at = date_trunc('second', at)
                    where r.id = of and (r.version <> at_version or more_ms > 0);
            end $$;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(
            'drop function if exists keep_changes(bigint, json, json, integer, bigint, timestamptz);',
        );
    }
};
