<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * One change of a reading as its rater made it.
 *
 * @property int $reading_id
 * @property string $client_id
 * @property string $writer  the window or device it was made in
 * @property int $version  of the reading, after it
 * @property string $target
 * @property mixed $value
 * @property Carbon $made_at
 */
final class ReadingChange extends Row
{
    public $timestamps = false;

    protected $fillable = ['reading_id', 'client_id', 'writer', 'version', 'target', 'value', 'made_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['value' => 'json', 'made_at' => 'datetime'];
    }
}
