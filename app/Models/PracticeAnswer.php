<?php

declare(strict_types=1);

namespace App\Models;

use Core\Reading\Presence;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A question of a practice sitting, and its answer once there is one: whether one fault is there in one swing.
 *
 * @property int $id
 * @property int $practice_sitting_id
 * @property int $place  from 1
 * @property int $recording_id
 * @property string $fault
 * @property int $key_entry_id  what a panel made of it
 * @property array{code: string, with: array<string, mixed>} $why  it was asked
 * @property float $difficulty
 * @property ?Presence $presence
 * @property ?bool $right
 * @property Carbon $asked_at
 * @property ?Carbon $answered_at
 * @property Recording $recording
 * @property KeyEntry $entry
 * @property PracticeSitting $sitting
 */
final class PracticeAnswer extends Model
{
    public $timestamps = false;

    protected $fillable = [
        'practice_sitting_id', 'place', 'recording_id', 'fault', 'key_entry_id', 'why', 'difficulty', 'presence', 'right',
        'asked_at', 'answered_at',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'why' => 'array',
            'difficulty' => 'float',
            'presence' => Presence::class,
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
