<?php

declare(strict_types=1);

namespace App\Models;

use Core\Reading\Reading as CoreReading;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * @property int $id
 * @property string $public_id
 * @property int $round_case_id
 * @property int $user_id
 * @property int $position
 * @property list<string> $first_causes
 * @property string $cue
 * @property int $version
 * @property ?string $last_save  the client's own id of the save that made this version
 * @property ?Carbon $handed_in_at
 * @property RoundCase $case
 * @property User $user
 * @property \Illuminate\Database\Eloquent\Collection<int, Call> $calls
 */
final class Reading extends Model
{
    use HasUlids;

    protected $fillable = ['round_case_id', 'user_id', 'stage', 'position', 'first_causes', 'cue', 'version', 'last_save', 'handed_in_at'];

    protected $attributes = ['first_causes' => '[]', 'cue' => '', 'version' => 0];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['public_id'];
    }

    /** Random throughout: an identifier in order of time would give away the order of the cases. */
    public function newUniqueId(): string
    {
        return Str::lower(Str::random(26));
    }

    protected function isValidUniqueId(mixed $value): bool
    {
        return is_string($value) && preg_match('/^[a-z0-9]{26}$/', $value) === 1;
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['first_causes' => 'array', 'handed_in_at' => 'datetime'];
    }

    /** @return BelongsTo<RoundCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(RoundCase::class, 'round_case_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Call, $this> */
    public function calls(): HasMany
    {
        return $this->hasMany(Call::class);
    }

    public function isLocked(): bool
    {
        return $this->handed_in_at !== null || $this->case->round->state !== 'open';
    }

    public function toCore(): CoreReading
    {
        $calls = [];
        foreach ($this->calls as $call) {
            $calls[$call->fault] = $call->toCore();
        }

        return new CoreReading($calls, $this->first_causes, $this->cue);
    }
}
