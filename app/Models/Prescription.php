<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\ExpectedChange;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What a golfer takes home from a session: what was seen, the drill chosen for it and how, what should change. A draft
 * until it is handed over, never changed afterwards.
 *
 * @property int $id
 * @property string $public_id
 * @property int $lesson_id
 * @property int $prescribed_by
 * @property string $codebook_version
 * @property string $lens
 * @property array<string, string> $faults  what to do with each fault that was seen, by key
 * @property list<string> $causes
 * @property ?string $drill
 * @property ?array<string, string|int> $plan  how it is done, by name of the field
 * @property list<string> $against  Core\Prescription\Reason::key() of what spoke against it when it was handed over
 * @property string $reason  why it was chosen all the same
 * @property list<array{measure: string, change: array{way: string, value?: float, at?: string}, mean: ?float, n: int,
 *     least: ?float}> $expected
 * @property array<string, list<list<float>>> $lines  drawn over stills, in parts of the picture
 * @property ?Carbon $until
 * @property ?Carbon $next_on
 * @property ?Carbon $issued_at
 * @property Lesson $lesson
 * @property User $prescriber
 * @property \Illuminate\Database\Eloquent\Collection<int, FollowUp> $followUps
 */
final class Prescription extends Row
{
    use HasUlids;

    protected $fillable = [
        'lesson_id',
        'prescribed_by',
        'codebook_version',
        'lens',
        'faults',
        'causes',
        'drill',
        'plan',
        'against',
        'reason',
        'expected',
        'lines',
        'until',
        'next_on',
        'issued_at',
    ];

    protected $attributes = ['against' => '[]', 'reason' => '', 'expected' => '[]', 'lines' => '{}'];

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
            ...array_fill_keys(['faults', 'causes', 'plan', 'against', 'expected', 'lines'], 'array'),
            'until' => 'date',
            'next_on' => 'date',
            'issued_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return BelongsTo<User, $this> */
    public function prescriber(): BelongsTo
    {
        return $this->belongsTo(User::class, 'prescribed_by');
    }

    /** @return HasMany<FollowUp, $this> */
    public function followUps(): HasMany
    {
        return $this->hasMany(FollowUp::class)->orderBy('id');
    }

    /** @return array<string, ExpectedChange> by measure */
    public function changes(): array
    {
        $out = [];
        foreach ($this->expected as $of) {
            $out[$of['measure']] = ExpectedChange::fromArray($of['measure'], $of['change']);
        }

        return $out;
    }
}
