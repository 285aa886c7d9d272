<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One week's check.
 *
 * @property int $id
 * @property int $check_plan_id
 * @property int $sitting_id
 * @property Carbon $week_on  its Monday
 * @property ?Carbon $looked_at
 * @property Sitting $sitting
 * @property CheckPlan $plan
 * @property \Illuminate\Database\Eloquent\Collection<int, CheckLook> $looks
 */
final class Check extends Row
{
    protected $fillable = ['check_plan_id', 'sitting_id', 'week_on', 'looked_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['week_on' => 'date', 'looked_at' => 'datetime'];
    }

    /** @return BelongsTo<CheckPlan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(CheckPlan::class, 'check_plan_id');
    }

    /** @return BelongsTo<Sitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class)->withoutGlobalScope(Sitting::SHARED);
    }

    /** @return HasMany<CheckLook, $this> */
    public function looks(): HasMany
    {
        return $this->hasMany(CheckLook::class);
    }
}
