<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Cell;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * That every instructor reads a few kept cases every week, from which panel's key, and which cases are set apart for
 * it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $key_version_id
 * @property int $weekday  1 is Monday
 * @property int $started_by
 * @property list<int> $cases
 * @property Carbon $started_at
 * @property ?Carbon $ended_at
 * @property KeyVersion $keyVersion
 * @property \Illuminate\Database\Eloquent\Collection<int, Check> $checks
 */
final class CheckPlan extends Row
{
    use HasUlids;

    protected $fillable = ['key_version_id', 'weekday', 'cases', 'started_by', 'started_at', 'ended_at'];

    protected $attributes = ['ended_at' => null];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['public_id'];
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['weekday' => 'integer', 'cases' => 'array', 'started_at' => 'datetime', 'ended_at' => 'datetime'];
    }

    /** @param  Builder<self>  $query */
    public function scopeRunning(Builder $query): void
    {
        $query->whereNull('ended_at');
    }

    /** @return list<int> recordings that a running plan keeps to itself */
    public static function kept(): array
    {
        $plan = self::query()->running()->first();

        return $plan === null ? [] : array_values(DB::table('case_swings')
            ->whereIn('case_id', $plan->cases)
            ->pluck('recording_id')
            ->map(static fn (mixed $id): int => Cell::int($id))
            ->all());
    }

    /** @return BelongsTo<KeyVersion, $this> */
    public function keyVersion(): BelongsTo
    {
        return $this->belongsTo(KeyVersion::class);
    }

    /** @return HasMany<Check, $this> */
    public function checks(): HasMany
    {
        return $this->hasMany(Check::class)->orderBy('week_on');
    }
}
