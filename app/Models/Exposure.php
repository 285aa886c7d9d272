<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * That a truth about a recording came within somebody's sight, and when. Whoever was exposed reads no blind reading of
 * it afterwards.
 *
 * @property int $user_id
 * @property int $recording_id
 * @property 'key'|'numbers' $what
 * @property ?int $sitting_id
 * @property Carbon $shown_at
 */
final class Exposure extends Row
{
    public $timestamps = false;

    protected $fillable = ['user_id', 'recording_id', 'what', 'sitting_id', 'shown_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['shown_at' => 'datetime'];
    }
}
