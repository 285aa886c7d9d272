<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A session of a golfer: what was complained of, aimed at, thought and felt, what the balls did, what was tried.
 *
 * @property int $id
 * @property string $public_id
 * @property int $golfer_id
 * @property Carbon $held_on
 * @property ?string $complaint
 * @property ?string $aim
 * @property ?string $explanation  the golfer's own
 * @property ?string $traits  of last time
 * @property ?string $tried
 * @property bool $asks_feel
 * @property bool $seen_before  whether its numbers could be seen before the feel was asked for
 * @property ?string $feel
 * @property ?Carbon $feel_locked_at
 * @property ?int $given_by
 * @property ?User $giver  who gives it
 * @property Golfer $golfer
 * @property \Illuminate\Database\Eloquent\Collection<int, LessonBall> $balls
 * @property \Illuminate\Database\Eloquent\Collection<int, Recording> $recordings
 * @property \Illuminate\Database\Eloquent\Collection<int, Recording> $heldRecordings  those not erased
 * @property \Illuminate\Database\Eloquent\Collection<int, Prescription> $prescriptions
 * @property \Illuminate\Database\Eloquent\Collection<int, FollowUp> $followUps
 */
final class Lesson extends Row
{
    use HasUlids;

    protected $fillable = [
        'golfer_id',
        'held_on',
        'complaint',
        'aim',
        'explanation',
        'traits',
        'tried',
        'asks_feel',
        'seen_before',
        'feel',
        'feel_locked_at',
        'given_by',
        'created_by',
    ];

    protected $attributes = ['asks_feel' => true, 'seen_before' => false, 'feel' => null, 'feel_locked_at' => null];

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
        return [
            'held_on' => 'date',
            'asks_feel' => 'boolean',
            'seen_before' => 'boolean',
            'feel_locked_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Golfer, $this> */
    public function golfer(): BelongsTo
    {
        return $this->belongsTo(Golfer::class);
    }

    /** @return BelongsTo<User, $this> */
    public function giver(): BelongsTo
    {
        return $this->belongsTo(User::class, 'given_by');
    }

    /** @return HasMany<Prescription, $this> */
    public function prescriptions(): HasMany
    {
        return $this->hasMany(Prescription::class)->orderBy('id');
    }

    /** @return HasMany<FollowUp, $this> */
    public function followUps(): HasMany
    {
        return $this->hasMany(FollowUp::class)->orderBy('id');
    }

    /** @return HasMany<LessonBall, $this> */
    public function balls(): HasMany
    {
        return $this->hasMany(LessonBall::class)->orderBy('place');
    }

    /** @return HasMany<Recording, $this> */
    public function recordings(): HasMany
    {
        return $this->hasMany(Recording::class)->orderBy('id');
    }

    /** @return HasMany<Recording, $this> */
    public function heldRecordings(): HasMany
    {
        return $this->recordings()->whereNull('erased_at');
    }

    /**
     * Those whose golfer has still to say what was felt, before any number is shown.
     *
     * @param  Builder<self>  $query
     */
    public function scopeAwaitingFeel(Builder $query): void
    {
        $query->where('asks_feel', true)->whereNull('feel_locked_at');
    }

    public function awaitsFeel(): bool
    {
        return $this->asks_feel && $this->feel_locked_at === null;
    }
}
