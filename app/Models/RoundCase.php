<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Shown;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $round_id
 * @property int $recording_id
 * @property int $occasion
 * @property bool $shows_film
 * @property bool $shows_trace
 * @property Round $round
 * @property Recording $recording
 * @property \Illuminate\Database\Eloquent\Collection<int, Reading> $readings
 */
final class RoundCase extends Model
{
    public $timestamps = false;

    protected $fillable = ['round_id', 'recording_id', 'occasion', 'shows_film', 'shows_trace'];

    /** @return BelongsTo<Round, $this> */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class);
    }

    /** What a rater of this case is shown. */
    public function shown(): Shown
    {
        return new Shown(
            $this->shows_trace ? $this->recording->deviceClass() : null, $this->shows_film,
            rateHz: $this->recording->rate_hz, stance: $this->recording->stance !== null, mass: $this->recording->mass_kg !== null, flare: ($this->recording->stance['lead_foot']['flare_deg'] ?? null) !== null,
        );
    }
}
