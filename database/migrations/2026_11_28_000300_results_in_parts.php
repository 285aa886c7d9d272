<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// A round's figures are kept in the parts in which pages read them.
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            alter table works drop constraint works_kind;
            alter table works add constraint works_kind
                check (kind in ('measure', 'open', 'key', 'publish', 'figures', 'export'));
            alter table sitting_results add column format smallint;
            create table result_parts (
                id bigserial primary key,
                sitting_result_id bigint not null references sitting_results (id) on delete cascade,
                part text not null
                    check (part in ('summary', 'item', 'map', 'arms', 'change', 'times', 'talk', 'sums', 'person')),
                subject text not null default '',
                body json not null,
                unique (sitting_result_id, part, subject)
            );
            -- Large bodies are written a round at a time: quickly, where the server can.
            do $$ begin
                alter table result_parts alter column body set compression lz4;
            exception when feature_not_supported then null;
            end $$;
            SQL);
        foreach (DB::table('sitting_results')->orderBy('id')->cursor() as $row) {
            $all = self::decoded($row->results);
            foreach (self::parts($all) as [$part, $subject, $body]) {
                DB::table('result_parts')->insert([
                    'sitting_result_id' => $row->id,
                    'part' => $part,
                    'subject' => $subject,
                    'body' => self::encoded($body),
                ]);
            }
            DB::table('sitting_results')->where('id', $row->id)->update(['format' => $all['version'] ?? 1]);
        }
        DB::unprepared(<<<'SQL'
            alter table sitting_results drop column results;
            alter table sitting_results alter column format set not null;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('alter table sitting_results add column results jsonb;');
        foreach (DB::table('sitting_results')->orderBy('id')->cursor() as $row) {
            $parts = DB::table('result_parts')->where('sitting_result_id', $row->id)->orderBy('id')->get();
            DB::table('sitting_results')->where('id', $row->id)->update([
                'results' => self::encoded(self::whole($parts->all(), min(2, (int) $row->format))),
            ]);
        }
        DB::unprepared(<<<'SQL'
            alter table sitting_results alter column results set not null;
            alter table sitting_results drop column format;
            drop table result_parts;
            delete from works where kind in ('figures', 'export');
            alter table works drop constraint works_kind;
            alter table works add constraint works_kind check (kind in ('measure', 'open', 'key', 'publish'));
            SQL);
    }

    /**
     * @param  array<string, mixed>  $all
     * @return list<array{string, string, mixed}> part, subject, body
     */
    private static function parts(array $all): array
    {
        $study = $all['study'] ?? null;
        $brief = static fn (array $item): array => array_intersect_key(
            $item,
            array_flip(['item', 'cases', 'specific_agreement', 'coefficients', 'three_way']),
        );
        $pooled = $study['pooled'] ?? null;
        $summary = [
            'pooled' => $pooled === null ? null : $brief($pooled),
            'items' => array_map($brief, $study['items'] ?? []),
            'raters_vs_rest' => $pooled['raters_vs_rest'] ?? [],
            ...array_diff_key($all, array_flip(['version', 'study', 'map', 'arms'])),
        ];
        $out = [['summary', '', $summary], ['map', '', $all['map'] ?? []]];
        $out[] = ['arms', '', $all['arms'] ?? ['arms' => [], 'differences' => []]];
        if ($pooled !== null) {
            $out[] = ['item', '', $pooled];
            foreach ($study['items'] as $item) {
                $out[] = ['item', $item['item'], array_diff_key($item, ['item' => true])];
            }
        }

        return $out;
    }

    /**
     * @param  list<stdClass>  $parts
     * @return array<string, mixed>
     */
    private static function whole(array $parts, int $version): array
    {
        $summary = $map = $arms = $pooled = null;
        $items = [];
        foreach ($parts as $part) {
            $body = self::decoded($part->body);
            match ($part->part) {
                'summary' => $summary = $body,
                'map' => $map = $body,
                'arms' => $arms = $body,
                'item' => $part->subject === ''
                    ? $pooled = $body
                    : $items[] = ['item' => $part->subject, ...$body],
                default => null,
            };
        }

        return [
            'version' => $version,
            'study' => $pooled === null ? null : [
                'scale' => 'nominal',
                'confidence' => 0.95,
                'bootstrap' => $summary['bootstrap'] ?? 0,
                'seed' => $summary['seed'] ?? 1,
                'items' => $items,
                'pooled' => $pooled,
            ],
            'map' => $map ?? [],
            'arms' => $arms,
            ...array_diff_key($summary ?? [], array_flip(['pooled', 'items', 'raters_vs_rest'])),
        ];
    }

    /** @return array<string, mixed> */
    private static function decoded(string $json): array
    {
        return json_decode($json, true, 64, JSON_THROW_ON_ERROR);
    }

    private static function encoded(mixed $body): string
    {
        return json_encode($body, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }
};
