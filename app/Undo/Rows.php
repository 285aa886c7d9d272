<?php

declare(strict_types=1);

namespace App\Undo;

use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\User;
use App\Undo\Events\PutBack;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Rows that are taken away, as they stood: what is offered is put back as it was, number and all. */
final class Rows
{
    /**
     * Before they go.
     *
     * @param  array<string, int|string>  $where
     * @return array{table: string, rows: list<array<string, string|null>>} every value as PostgreSQL writes it
     */
    public static function of(string $table, array $where): array
    {
        $columns = DB::table('information_schema.columns')
            ->where('table_schema', 'public')
            ->where('table_name', $table)
            ->orderBy('ordinal_position')
            ->pluck('column_name')
            ->map(static fn (mixed $c): string => '"'.Cell::text($c).'"::text')
            ->implode(', ');
        $rows = [];
        foreach (DB::table($table)->selectRaw($columns)->where($where)->get() as $row) {
            /** @var array<string, string|null> $cells */
            $cells = (array) $row;
            $rows[] = $cells;
        }

        return compact('table', 'rows');
    }

    /**
     * @param  array<array-key, mixed>  $payload  subject and parts, as they were offered
     *
     * @throws ActionException where something has come into their place, or what they hung on has gone
     */
    public static function putBack(array $payload, User $by): void
    {
        /** @var array{subject: string, parts: list<array{table: string, rows: list<array<string, string|null>>}>} $of */
        $of = $payload;
        try {
            DB::transaction(static function () use ($of): void {
                foreach ($of['parts'] as $part) {
                    DB::table($part['table'])->insert($part['rows']);
                }
            });
        } catch (QueryException $e) {
            throw ActionException::because('refusals.undo.changed', [], ActionException::CONFLICT, $e);
        }
        event(new PutBack($of['subject'], array_column($of['parts'], 'table'), $by));
    }
}
