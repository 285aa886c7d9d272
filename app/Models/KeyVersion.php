<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A version of a panel's key under one lens.
 *
 * @property int $id
 * @property int $sitting_id
 * @property int $number  of the versions under its lens
 * @property string $lens
 * @property ?string $inputs_checksum  of hand-ins and measurements it was made from
 * @property ?Carbon $frozen_at
 * @property ?Carbon $created_at
 * @property Sitting $sitting
 */
final class KeyVersion extends Row
{
    protected $fillable = ['sitting_id', 'number', 'lens', 'core_version', 'inputs_checksum', 'frozen_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['frozen_at' => 'datetime'];
    }

    /**
     * The newest of each panel under its own lens.
     *
     * @param  Builder<self>  $query
     */
    public function scopeNewest(Builder $query): void
    {
        $query->whereIn('id', DB::table('key_versions')
            ->join('sittings', 'sittings.id', '=', 'key_versions.sitting_id')
            ->whereColumn('key_versions.lens', 'sittings.lens')
            ->groupBy('sitting_id')
            ->selectRaw('max(key_versions.id)'));
    }

    /** @return BelongsTo<Sitting, $this> the panel study it was made from */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class);
    }

    /** @return HasMany<KeyEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(KeyEntry::class);
    }

    /** @return HasMany<KeyCase, $this> */
    public function cases(): HasMany
    {
        return $this->hasMany(KeyCase::class);
    }
}
