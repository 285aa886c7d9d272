<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Rung;
use Core\Prescription\Seen;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\Pivot;
use Illuminate\Support\Carbon;

/**
 * A later session held against a prescription: what the golfer felt and who teaches thinks, kept before any number,
 * then the swings by the rung they were swung on.
 *
 * @property int $id
 * @property string $public_id
 * @property int $prescription_id
 * @property int $lesson_id
 * @property ?Seen $felt
 * @property string $felt_says
 * @property ?Seen $judged  by who teaches
 * @property string $judged_says
 * @property bool $felt_late  whether numbers of its swings could be seen before it was said
 * @property ?Carbon $locked_at
 * @property Prescription $prescription
 * @property Lesson $lesson
 * @property \Illuminate\Database\Eloquent\Collection<int, Recording> $swings
 */
final class FollowUp extends Row
{
    use HasUlids;

    protected $fillable = [
        'prescription_id',
        'lesson_id',
        'felt',
        'felt_says',
        'judged',
        'judged_says',
        'felt_late',
        'locked_at',
    ];

    protected $attributes = ['felt_says' => '', 'judged_says' => '', 'felt_late' => false];

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
            'felt' => Seen::class,
            'judged' => Seen::class,
            'felt_late' => 'boolean',
            'locked_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Prescription, $this> */
    public function prescription(): BelongsTo
    {
        return $this->belongsTo(Prescription::class);
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return BelongsToMany<Recording, $this> */
    public function swings(): BelongsToMany
    {
        return $this->belongsToMany(Recording::class, 'follow_up_swings')->withPivot('rung')->orderBy('recordings.id');
    }

    /** @return array<int, Rung> by recording */
    public function rungs(): array
    {
        $out = [];
        foreach ($this->swings as $swing) {
            $pivot = $swing->getRelation('pivot');
            $rung = $pivot instanceof Pivot ? $pivot->getAttribute('rung') : null;
            if (is_string($rung)) {
                $out[$swing->id] = Rung::from($rung);
            }
        }

        return $out;
    }
}
