<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One swing of a case, in its place.
 *
 * @property int $id
 * @property int $round_case_id
 * @property int $recording_id
 * @property int $position
 * @property Recording $recording
 */
final class CaseSwing extends Model
{
    public $timestamps = false;

    protected $fillable = ['round_case_id', 'recording_id', 'position'];

    /** @return BelongsTo<RoundCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(RoundCase::class, 'round_case_id');
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }
}
