<?php

declare(strict_types=1);

namespace App\Undo;

use App\Models\Casts\Cell;
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
}
