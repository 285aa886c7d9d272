<?php

declare(strict_types=1);

namespace App\Models;

use Core\Training\Mode;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A question of a practice sitting, and its answer once there is one.
 *
 * @property int $id
 * @property int $practice_sitting_id
 * @property int $place  from 1
 * @property ?int $recording_id  null where the swing is a made one
 * @property ?int $made_swing_id
 * @property Mode $mode
 * @property string $skill  what is asked of the person, as the learner's model calls it
 * @property ?string $fault
 * @property ?int $key_entry_id  what a panel made of it
 * @property array<string, mixed> $topic  what else the question is about, by its kind
 * @property array{code: string, with: array<string, mixed>} $why  it was asked
 * @property float $difficulty
 * @property ?string $said
 * @property ?float $off_ms  of a moment, late where positive
 * @property ?bool $right
 * @property Carbon $asked_at
 * @property ?Carbon $answered_at
 * @property ?Recording $recording
 * @property ?MadeSwing $made
 * @property ?KeyEntry $entry
 * @property PracticeSitting $sitting
 */
final class PracticeAnswer extends Row
{
    public $timestamps = false;

    protected $fillable = [
        'practice_sitting_id', 'place', 'mode', 'skill', 'recording_id', 'made_swing_id', 'fault', 'key_entry_id',
        'topic', 'why',
        'difficulty', 'said', 'right', 'off_ms', 'asked_at', 'answered_at',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'why' => 'array',
            'difficulty' => 'float',
            'mode' => Mode::class,
            'topic' => 'array',
            'off_ms' => 'float',
            'right' => 'boolean',
            'asked_at' => 'datetime',
            'answered_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }

    /** The recording of a question of a kind that asks of recorded swings only. */
    public function recorded(): Recording
    {
        return $this->recording ?? throw new \LogicException("Question $this->id is about a made swing.");
    }

    /** Which swing it is about, recorded or made. */
    public function swing(): string
    {
        return $this->made_swing_id === null ? (string) $this->recording_id : "made $this->made_swing_id";
    }

    /** @return BelongsTo<MadeSwing, $this> */
    public function made(): BelongsTo
    {
        return $this->belongsTo(MadeSwing::class, 'made_swing_id');
    }

    /** @return HasMany<PracticeCall, $this> of a case asked whole */
    public function calls(): HasMany
    {
        return $this->hasMany(PracticeCall::class)->orderBy('id');
    }

    /** @return BelongsTo<KeyEntry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(KeyEntry::class, 'key_entry_id');
    }

    /** @return BelongsTo<PracticeSitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(PracticeSitting::class, 'practice_sitting_id');
    }
}
