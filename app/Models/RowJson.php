<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;

/** Models out of a statement that brings rows of several tables: the first table's columns, the others' rows as JSON. */
final readonly class RowJson
{
    /** @var array<string, mixed> */
    private array $row;

    public function __construct(object $row)
    {
        /** @var array<string, mixed> $cells */
        $cells = (array) $row;
        $this->row = $cells;
    }

    /**
     * @template M of Model
     *
     * @param  M  $model
     * @return M of the columns that are no other table's
     */
    public function own(Model $model): Model
    {
        return self::made($model, array_filter(
            $this->row,
            static fn (string $column): bool => preg_match('/^(in|is)_/', $column) !== 1,
            ARRAY_FILTER_USE_KEY,
        ));
    }

    /**
     * @template M of Model
     *
     * @param  M  $model
     * @return M|null null where there is no such row
     */
    public function find(string $name, Model $model): ?Model
    {
        $row = $this->decoded($name);

        return $row === [] ? null : self::made($model, $row);
    }

    /**
     * @template M of Model
     *
     * @param  M  $model
     * @return M
     */
    public function one(string $name, Model $model): Model
    {
        return self::made($model, $this->decoded($name));
    }

    /**
     * @template M of Model
     *
     * @param  class-string<M>  $model
     * @return Collection<int, M>
     */
    public function many(string $name, string $model): Collection
    {
        $out = [];
        foreach ($this->decoded($name) as $row) {
            $out[] = self::made(new $model, is_array($row) ? $row : []);
        }

        return new Collection($out);
    }

    public function is(string $name): bool
    {
        return $this->row["is_$name"] === true;
    }

    /** @return array<mixed> */
    private function decoded(string $name): array
    {
        $json = $this->row["in_$name"];

        return is_string($json) ? (array) json_decode($json, true, flags: JSON_THROW_ON_ERROR) : [];
    }

    /**
     * @template M of Model
     *
     * @param  M  $model
     * @param  array<mixed>  $row
     * @return M
     */
    private static function made(Model $model, array $row): Model
    {
        // What a column holds as JSON stays text, as when it is asked for by itself.
        /** @var array<string, mixed> $cells */
        $cells = array_map(
            static fn (mixed $cell): mixed => is_array($cell)
                ? json_encode($cell, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)
                : $cell,
            $row,
        );

        return $model->newFromBuilder($cells);
    }
}
