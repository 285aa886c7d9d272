<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Shown;
use Core\Motion\View;
use Core\Reading\CaseKind;
use Core\Reading\Stage;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOneThrough;
use Illuminate\Support\Carbon;

/**
 * A case as one sitting asks about it.
 *
 * @property int $id
 * @property int $sitting_id
 * @property int $case_id
 * @property int $occasion  2 where it is asked about again, unannounced
 * @property int $part  1 or 2; the second is dealt out after a wait
 * @property ?int $arm_id  what every reader is shown, where they are all shown the same
 * @property bool $reserved  kept from its readers after publishing too
 * @property ?Carbon $withdrawn_at
 * @property ?string $withdrawn_reason
 * @property ?list<string> $film_views  frozen when the sitting opens; empty = the figure
 * @property-read CaseKind $kind
 * @property RatedCase $rated
 * @property ?SittingArm $arm
 * @property Sitting $sitting
 * @property Recording $recording
 * @property \Illuminate\Database\Eloquent\Collection<int, CaseSwing> $swings
 * @property \Illuminate\Database\Eloquent\Collection<int, Reading> $readings
 * @property \Illuminate\Database\Eloquent\Collection<int, Rendition> $renditions
 */
final class SittingCase extends Row
{
    public $timestamps = false;

    protected $table = 'sitting_cases';

    protected $fillable = [
        'sitting_id',
        'case_id',
        'occasion',
        'part',
        'arm_id',
        'reserved',
        'withdrawn_at',
        'withdrawn_reason',
        'film_views',
    ];

    /** @var list<string> */
    protected $with = ['rated'];

    protected $attributes = ['occasion' => 1, 'part' => 1, 'reserved' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['film_views' => 'array', 'reserved' => 'boolean', 'withdrawn_at' => 'datetime'];
    }

    public function getKindAttribute(): CaseKind
    {
        return $this->rated->kind;
    }

    /** @return BelongsTo<RatedCase, $this> */
    public function rated(): BelongsTo
    {
        return $this->belongsTo(RatedCase::class, 'case_id');
    }

    /** @return BelongsTo<SittingArm, $this> */
    public function arm(): BelongsTo
    {
        return $this->belongsTo(SittingArm::class);
    }

    /** @return BelongsTo<Sitting, $this> a private review too: who holds the case may know where it stands */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class)->withoutGlobalScope(Sitting::SHARED);
    }

    /** @return HasMany<CaseSwing, $this> */
    public function swings(): HasMany
    {
        return $this->hasMany(CaseSwing::class, 'case_id', 'case_id')->orderBy('position');
    }

    /** @return HasOneThrough<Recording, CaseSwing, $this> the first swing: what the case is called by */
    public function recording(): HasOneThrough
    {
        /** @var HasOneThrough<Recording, CaseSwing, $this> */
        return $this->hasOneThrough(
            Recording::class,
            CaseSwing::class,
            'case_id',
            'id',
            'case_id',
            'recording_id',
        )->where('case_swings.position', 1);
    }

    /** @return HasMany<Reading, $this> the blind readings */
    public function readings(): HasMany
    {
        /** @var HasMany<Reading, $this> */
        return $this->hasMany(Reading::class)->where('stage', Stage::Blind);
    }

    /** @return HasMany<Rendition, $this> */
    public function renditions(): HasMany
    {
        return $this->hasMany(Rendition::class);
    }

    /**
     * How each swing is called: before and after, the step of a ladder, or its number, with the cold ones said to be
     * cold.
     */
    public function swingName(CaseSwing $swing): string
    {
        return match (true) {
            $this->kind === CaseKind::Ladder => $swing->position === 1
                ? 'before'
                : $swing->position.', '.__("reading.rungs.{$swing->recording->swing}"),
            $this->kind === CaseKind::Pair => $swing->position === 1 ? 'before' : 'after',
            default => $swing->position.($swing->recording->is_cold ? ', cold' : ''),
        };
    }

    /** Whether a swing of it is this person's own. */
    public function isOf(User $person): bool
    {
        return $person->golfer_id !== null &&
            $this->swings->contains(
                static fn (CaseSwing $s): bool => $s->recording->golfer_id === $person->golfer_id,
            );
    }

    /** @return list<View> the filmed views that every swing has; none where the figure stands for film */
    public function filmedViews(): array
    {
        if ($this->film_views !== null) {
            return array_map(View::from(...), $this->film_views);
        }
        $this->loadMissing('swings.recording.films');
        $views = $this->swings
            ->map(static fn (CaseSwing $s): array => array_column($s->recording->filmedViews(), 'value'))
            ->all();

        return array_map(View::from(...), array_values(array_intersect(...$views)));
    }

    /** What a reader in this arm is shown; the arm of all where none is given. */
    public function shown(?SittingArm $arm = null): Shown
    {
        $arm ??= $this->arm;
        $film = $arm === null || $arm->film;
        $filmed = $film ? $this->filmedViews() : [];

        return new Shown(
            $arm === null || $arm->trace ? $this->recording->deviceClass() : null,
            $film && $filmed === [],
            views: $filmed,
            rateHz: $this->recording->rate_hz,
            stance: $this->recording->stance !== null,
            mass: $this->recording->mass_kg !== null,
            flare: $this->recording->stance?->lead->flareDeg !== null,
        );
    }

    /** What it is called on pages of who may see whose it is. */
    public function called(): string
    {
        return $this->recording->called().($this->kind === CaseKind::Single ? ''
            : ', '.__('round.kinds.'.$this->kind->value));
    }
}
