<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Shown;
use Core\Motion\View;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $round_id
 * @property int $recording_id
 * @property int $occasion
 * @property 'single'|'series'|'pair' $kind
 * @property bool $shows_film
 * @property bool $shows_trace
 * @property ?list<string> $film_views  frozen when the round opens; empty = the figure
 * @property Round $round
 * @property Recording $recording
 * @property \Illuminate\Database\Eloquent\Collection<int, CaseSwing> $swings
 * @property \Illuminate\Database\Eloquent\Collection<int, Reading> $readings
 */
final class RoundCase extends Model
{
    public const SINGLE = 'single';

    public const SERIES = 'series';

    public const PAIR = 'pair';

    public $timestamps = false;

    protected $fillable = ['round_id', 'recording_id', 'occasion', 'shows_film', 'shows_trace', 'film_views', 'kind'];

    protected $attributes = ['kind' => self::SINGLE];

    /** Every case has its swings; the first is its own recording. */
    protected static function booted(): void
    {
        self::created(static fn (self $case) => $case->swings()->create(['recording_id' => $case->recording_id, 'position' => 1]));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['film_views' => 'array'];
    }

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

    /** @return HasMany<CaseSwing, $this> */
    public function swings(): HasMany
    {
        return $this->hasMany(CaseSwing::class)->orderBy('position');
    }

    /** Two cases with the same sign ask about the same thing, so that the key of one serves the other. */
    public function sign(): string
    {
        return $this->kind.':'.$this->swings->pluck('recording_id')->implode(',');
    }

    /** How each swing is called: before and after, or its number, with the cold ones said to be cold. */
    public function swingName(CaseSwing $swing): string
    {
        return $this->kind === self::PAIR ? ($swing->position === 1 ? 'before' : 'after') : $swing->position.($swing->recording->is_cold ? ', cold' : '');
    }

    /** @return HasMany<Reading, $this> the blind readings */
    public function readings(): HasMany
    {
        /** @var HasMany<Reading, $this> */
        return $this->hasMany(Reading::class)->where('stage', Reading::BLIND);
    }

    /** @return list<View> the filmed views a rater is shown, those every swing has; none where the figure stands for film, or no film is shown */
    public function filmViews(): array
    {
        if (! $this->shows_film) {
            return [];
        }

        if ($this->film_views !== null) {
            return array_map(View::from(...), $this->film_views);
        }
        $this->loadMissing('swings.recording.films');
        $views = $this->swings->map(static fn (CaseSwing $s): array => array_column($s->recording->filmedViews(), 'value'))->all();

        return array_map(View::from(...), array_values(array_intersect(...$views)));
    }

    /** What a rater of this case is shown. */
    public function shown(): Shown
    {
        $filmed = $this->filmViews();

        return new Shown(
            $this->shows_trace ? $this->recording->deviceClass() : null, $this->shows_film && $filmed === [], views: $filmed,
            rateHz: $this->recording->rate_hz, stance: $this->recording->stance !== null, mass: $this->recording->mass_kg !== null, flare: ($this->recording->stance['lead_foot']['flare_deg'] ?? null) !== null,
        );
    }
}
