<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A debrief that is or was held over cases of a published round.
 *
 * @property int $id
 * @property string $public_id
 * @property int $sitting_id
 * @property int $started_by
 * @property string $code  by which people join
 * @property ?string $secret  that makes of a person a voter; gone once it is over
 * @property ?int $current_case_id  what is shown
 * @property int $step  counts whatever the room is shown
 * @property Carbon $started_at
 * @property ?Carbon $ended_at
 * @property Sitting $sitting
 * @property ?DebriefCase $current
 */
final class DebriefSession extends Row
{
    use HasUlids;

    public $timestamps = false;

    protected $fillable = [
        'sitting_id', 'started_by', 'code', 'secret', 'current_case_id', 'step', 'started_at', 'ended_at',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['secret' => 'encrypted', 'started_at' => 'datetime', 'ended_at' => 'datetime'];
    }

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['public_id'];
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /** @return BelongsTo<Sitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class);
    }

    /** @return BelongsTo<DebriefCase, $this> */
    public function current(): BelongsTo
    {
        return $this->belongsTo(DebriefCase::class, 'current_case_id');
    }

    /** @return HasMany<DebriefCase, $this> in their order */
    public function cases(): HasMany
    {
        return $this->hasMany(DebriefCase::class)->orderBy('position')->orderBy('id');
    }

    /** @return BelongsToMany<User, $this> who joined */
    public function people(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'debrief_people')->withPivot('joined_at');
    }

    public function isOpen(): bool
    {
        return $this->ended_at === null;
    }

    /** What stands for a person beside a vote; cannot be told back once the secret is gone. */
    public function voter(User $user): string
    {
        return hash_hmac('sha256', "voter|$user->id", $this->secret ?? throw new \LogicException('the debrief is over'));
    }

    /** Whatever the room is shown has changed. */
    public function changed(): void
    {
        $this->increment('step');
    }
}
