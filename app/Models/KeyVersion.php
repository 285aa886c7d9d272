<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $round_id
 * @property int $number
 * @property string $lens
 * @property ?Carbon $frozen_at
 * @property Round $round
 */
final class KeyVersion extends Model
{
    protected $fillable = ['round_id', 'number', 'lens', 'core_version', 'frozen_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['frozen_at' => 'datetime'];
    }

    /** @return BelongsTo<Round, $this> the panel round it was made from */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /** @return HasMany<KeyEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(KeyEntry::class);
    }
}
