<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What is put before a reader of a sitting: film, trace or both.
 *
 * @property int $id
 * @property int $sitting_id
 * @property 'both'|'film'|'trace' $code
 * @property bool $film
 * @property bool $trace
 */
final class SittingArm extends Row
{
    public $timestamps = false;

    protected $table = 'sitting_arms';

    protected $fillable = ['sitting_id', 'code', 'film', 'trace'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['film' => 'boolean', 'trace' => 'boolean'];
    }

    public static function in(Sitting $sitting, bool $film, bool $trace): self
    {
        $code = match (true) {
            $film && $trace => 'both',
            $film => 'film',
            default => 'trace',
        };

        return self::query()->firstOrCreate(
            ['sitting_id' => $sitting->id, 'code' => $code],
            ['film' => $film, 'trace' => $trace],
        );
    }
}
