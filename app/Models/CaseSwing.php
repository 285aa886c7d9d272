<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One swing of a case, in its place.
 *
 * @property int $id
 * @property int $case_id
 * @property int $recording_id
 * @property int $position
 * @property Recording $recording
 */
final class CaseSwing extends Row
{
    public $timestamps = false;

    protected $table = 'case_swings';

    protected $fillable = ['case_id', 'recording_id', 'position'];

    /** @return BelongsTo<RatedCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(RatedCase::class, 'case_id');
    }

    /** @return HasMany<SittingCase, $this> where this swing's case is asked about */
    public function sittingCases(): HasMany
    {
        return $this->hasMany(SittingCase::class, 'case_id', 'case_id');
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }
}
