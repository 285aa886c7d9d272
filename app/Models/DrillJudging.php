<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A panel judges how appropriate drills are, each for its case.
 *
 * @property int $id
 * @property string $public_id
 * @property int $sitting_id  the panel
 * @property int $opened_by
 * @property Carbon $opened_at
 * @property ?Carbon $closed_at
 * @property Sitting $sitting
 */
final class DrillJudging extends Row
{
    use HasUlids;

    public $timestamps = false;

    protected $fillable = ['sitting_id', 'opened_by', 'opened_at', 'closed_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['opened_at' => 'datetime', 'closed_at' => 'datetime'];
    }

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['public_id'];
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /** @return BelongsTo<Sitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class);
    }

    /** @return HasMany<DrillQuestion, $this> */
    public function questions(): HasMany
    {
        return $this->hasMany(DrillQuestion::class)->orderBy('case_id')->orderBy('id');
    }

    public function panel(): Sitting
    {
        return $this->loadMissing('sitting')->sitting;
    }

    public function isOpen(): bool
    {
        return $this->closed_at === null;
    }
}
