<?php

declare(strict_types=1);

namespace App\Operations;

use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/**
 * A table as an archive of the whole academy carries it: a JSON object a row, every value as PostgreSQL writes it, so
 * that nothing is rounded on the way. What lies under the application's key here is opened on the way out, in base64,
 * and laid under the other machine's key there.
 */
final readonly class HouseTable
{
    /** Rows fetched at once. */
    private const AT_ONCE = 200;

    /** Rows are written when they hold so much, bytes. */
    private const ENOUGH = 2_000_000;

    /** PostgreSQL takes so many values in a statement. */
    private const MOST_VALUES = 60_000;

    /** @param  list<string>  $columns  in the table's own order; the first one or two tell its rows apart */
    private function __construct(public string $name, public array $columns)
    {
    }

    /** @return list<self> by name */
    public static function carried(): array
    {
        $columns = [];
        $rows = DB::table('information_schema.columns')
            ->where('table_schema', 'public')
            ->orderBy('table_name')
            ->orderBy('ordinal_position')
            ->get(['table_name', 'column_name']);
        foreach ($rows as $row) {
            $columns[Cell::text($row->table_name)][] = Cell::text($row->column_name);
        }
        $out = [];
        foreach (Tables::PLACES as $table => [2 => $carried]) {
            if ($carried) {
                $out[] = new self($table, $columns[$table]);
            }
        }

        return $out;
    }

    /**
     * Within a transaction: the rows come by a cursor, since a table may be larger than memory.
     *
     * @return \Generator<int, string> lines, each with its end
     */
    public function lines(): \Generator
    {
        $secret = Tables::SECRET[$this->name] ?? [];
        $wanted = implode(', ', array_map(static fn (string $c): string => "\"$c\"::text", $this->columns));
        DB::statement("declare house_rows no scroll cursor for select $wanted from \"$this->name\" order by "
            .implode(', ', array_map(static fn (string $c): string => "\"$c\"", array_slice($this->columns, 0, 2))));
        try {
            do {
                $rows = DB::select('fetch '.self::AT_ONCE.' from house_rows');
                foreach ($rows as $row) {
                    $cells = (array) $row;
                    foreach ($secret as $column) {
                        $cells[$column] = is_string($cells[$column])
                            ? base64_encode(Crypt::decryptString($cells[$column]))
                            : null;
                    }
                    yield json_encode($cells, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)
                        ."\n";
                }
            } while (count($rows) === self::AT_ONCE);
        } finally {
            DB::statement('close house_rows');
        }
    }

    /**
     * @param  iterable<string>  $lines
     *
     * @throws ActionException where a line is no row of this table
     */
    public function put(iterable $lines): int
    {
        $secret = Tables::SECRET[$this->name] ?? [];
        $all = 0;
        $rows = [];
        $held = 0;
        $most = intdiv(self::MOST_VALUES, count($this->columns));
        foreach ($lines as $line) {
            $cells = json_decode($line, true, 4);
            if (! is_array($cells) || array_keys($cells) !== $this->columns) {
                throw ActionException::because('refusals.house.no-row', ['table' => $this->name, 'line' => $all + 1]);
            }
            foreach ($secret as $column) {
                $plain = is_string($cells[$column]) ? base64_decode($cells[$column], true) : null;
                $cells[$column] = is_string($plain) ? Crypt::encryptString($plain) : null;
            }
            $rows[] = $cells;
            $held += strlen($line);
            $all++;
            if ($held >= self::ENOUGH || count($rows) === $most) {
                DB::table($this->name)->insert($rows);
                [$rows, $held] = [[], 0];
            }
        }
        DB::table($this->name)->insert($rows);

        return $all;
    }

    /** The numbers that come next stand behind those that came along. */
    public function countOn(): void
    {
        foreach ($this->columns as $column) {
            $sequence = DB::scalar('select pg_get_serial_sequence(?, ?)', [$this->name, $column]);
            if (is_string($sequence)) {
                DB::statement("select setval('$sequence', coalesce((select max(\"$column\") from \"$this->name\"), 0) "
                    .'+ 1, false)');
            }
        }
    }
}
