<?php

declare(strict_types=1);

namespace App\Models;

use Core\Planning\CaseSet;
use Core\Reading\Aid;
use Core\Reading\Chain;
use Core\Reading\Miss;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Stop;
use Illuminate\Database\Eloquent\Builder;
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
 * @property 'blind'|'reveal' $stage
 * @property list<array{string, string}> $chain
 * @property ?string $drill
 * @property ?string $stop
 * @property ?string $miss
 * @property array<string, float> $marks
 * @property list<array{kind: string, view: string, points: list<array{x: float, y: float, t: float}>, swing?: int}> $aids
 * @property int $active_ms  time spent, without idle time
 * @property ?Carbon $handed_in_at
 * @property RoundCase $case
 * @property User $user
 * @property \Illuminate\Database\Eloquent\Collection<int, Call> $calls
 */
final class Reading extends Model
{
    use HasUlids;

    /** First without ball flight and numbers; then, where the round asks for it, with them. */
    public const BLIND = 'blind';

    public const REVEAL = 'reveal';

    protected $fillable = ['round_case_id', 'user_id', 'stage', 'position', 'first_causes', 'cue', 'version', 'handed_in_at', 'chain', 'drill', 'stop', 'miss', 'marks', 'aids', 'active_ms'];

    protected $attributes = ['stage' => self::BLIND, 'first_causes' => '[]', 'cue' => '', 'version' => 0, 'chain' => '[]', 'marks' => '{}', 'aids' => '[]', 'active_ms' => 0, 'drill' => null, 'stop' => null, 'miss' => null];

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
        return ['first_causes' => 'array', 'chain' => 'array', 'marks' => 'array', 'aids' => 'array', 'active_ms' => 'integer', 'handed_in_at' => 'datetime'];
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

    /** Whether this person still has to read one of this case's swings blind, elsewhere: until then its numbers stay hidden. */
    public function awaitsABlindOne(): bool
    {
        return self::query()->where('user_id', $this->user_id)->where('stage', self::BLIND)->whereNull('handed_in_at')
            ->whereHas('case.round', static fn (Builder $q) => $q->where('state', 'open'))
            ->whereHas('case.swings', fn (Builder $q) => $q->whereIn('recording_id', $this->case->swings->pluck('recording_id')))->exists();
    }

    public function isNext(): bool
    {
        return $this->stage === self::BLIND ? ! $this->comesTooSoon() : ! $this->awaitsABlindOne();
    }

    /**
     * A hidden repeat is kept back until the first reading is three weeks old and ten other cases were handed in since,
     * so that it is read and not remembered.
     */
    public function comesTooSoon(): bool
    {
        if ($this->handed_in_at !== null || $this->case->occasion < 2) {
            return false;
        }
        $mine = static fn (Reading $of): Builder => self::query()->where('user_id', $of->user_id)->where('stage', self::BLIND);
        $first = $mine($this)->whereHas('case', fn (Builder $q) => $q->where('round_id', $this->case->round_id)->where('recording_id', $this->case->recording_id)->where('occasion', $this->case->occasion - 1))->first()?->handed_in_at;

        return $first === null || $first->copy()->addDays(CaseSet::DAYS)->isFuture() || $mine($this)->where('handed_in_at', '>', $first)->count() < CaseSet::BETWEEN;
    }

    public function toCore(): CoreReading
    {
        $calls = [];
        foreach ($this->calls as $call) {
            $calls[$call->fault] = $call->toCore();
        }

        return new CoreReading(
            $calls, $this->first_causes, $this->cue, new Chain($this->chain), $this->drill,
            $this->stop === null ? null : Stop::from($this->stop), $this->miss === null ? null : Miss::from($this->miss),
            array_map(floatval(...), $this->marks), array_map(static fn (array $a): Aid => new Aid($a['kind'], $a['view'], $a['points'], $a['swing'] ?? 1), $this->aids),
        );
    }

    /** @return array<string, mixed> attributes of a row for all but the calls */
    public static function row(CoreReading $core): array
    {
        return [
            'first_causes' => $core->firstCauses, 'cue' => $core->cue, 'chain' => $core->chain->links, 'drill' => $core->drill, 'stop' => $core->stop?->value, 'miss' => $core->miss?->value,
            'marks' => (object) $core->marks, 'aids' => array_map(static fn (Aid $a): array => $a->toArray(), $core->aids),
        ];
    }
}
