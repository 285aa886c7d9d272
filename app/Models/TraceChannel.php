<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\PackedFloats;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $name
 * @property list<float> $samples
 */
final class TraceChannel extends Model
{
    public $timestamps = false;

    protected $fillable = ['recording_id', 'name', 'samples'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['samples' => PackedFloats::class];
    }
}
