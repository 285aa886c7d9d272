<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Shown;
use Core\Motion\View;
use Core\Reading\Aid;
use Core\Reading\Chain;
use Core\Reading\Miss;
use Core\Reading\Misses;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Stage;
use Core\Reading\Stop;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * @property int $id
 * @property string $public_id
 * @property int $sitting_case_id
 * @property int $user_id
 * @property int $position
 * @property list<string> $first_causes
 * @property string $cue
 * @property int $version
 * @property Stage $stage
 * @property list<array{string, string}> $chain
 * @property ?string $drill
 * @property ?string $stop
 * @property ?string $miss  one miss, as the sheet of before asked it
 * @property array<string, int> $misses  per cent by miss
 * @property string $other_cause
 * @property ?int $breaks  where the change of a ladder breaks
 * @property int $sheet  1 could not say causes outside the feet, reactions, likelihoods of misses or what is sound
 * @property array<string, float> $marks
 * @property list<array{kind: string, view: string, points: list<array{x: float, y: float, t: float}>,
 *     swing?: int}> $aids
 * @property int $active_ms  time spent, without idle time
 * @property int $reopened  how often a hand-in was opened again
 * @property ?Carbon $handed_in_at
 * @property int $arm_id
 * @property bool $exposed  whether a truth about one of its swings had been shown before; no blind figure holds it
 * @property SittingArm $arm
 * @property SittingCase $case
 * @property User $user
 * @property \Illuminate\Database\Eloquent\Collection<int, Call> $calls
 */
final class Reading extends Row
{
    use HasUlids;

    /** From this sheet on causes outside the feet have codes, and misses likelihoods. */
    public const CODED = 2;

    protected $table = 'readings';

    protected $fillable = [
        'sitting_case_id',
        'user_id',
        'arm_id',
        'exposed',
        'stage',
        'position',
        'first_causes',
        'cue',
        'version',
        'handed_in_at',
        'chain',
        'drill',
        'stop',
        'miss',
        'misses',
        'other_cause',
        'breaks',
        'marks',
        'aids',
        'active_ms',
    ];

    protected $attributes = [
        'stage' => 'blind',
        'exposed' => false,
        'first_causes' => '[]',
        'cue' => '',
        'version' => 0,
        'chain' => '[]',
        'marks' => '{}',
        'aids' => '[]',
        'active_ms' => 0,
        'drill' => null,
        'stop' => null,
        'miss' => null,
        'misses' => '{}',
        'other_cause' => '',
        'breaks' => null,
    ];

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

    /**
     * In the order a reader meets them: round after round as they were opened, in each the reader's own order.
     *
     * @param  Builder<self>  $query
     */
    public function scopeAsRead(Builder $query): void
    {
        $round = SittingCase::query()
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->whereColumn('sitting_cases.id', 'readings.sitting_case_id');
        $query
            ->orderBy((clone $round)->select('sittings.opened_at'))
            ->orderBy((clone $round)->select('sittings.id'))
            ->orderBy('position')
            ->orderBy('stage')
            ->orderBy('id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'stage' => Stage::class,
            'exposed' => 'boolean',
            'first_causes' => 'array',
            'chain' => 'array',
            'misses' => 'array',
            'breaks' => 'integer',
            'marks' => 'array',
            'aids' => 'array',
            'active_ms' => 'integer',
            'handed_in_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<SittingCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(SittingCase::class, 'sitting_case_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Call, $this> */
    public function calls(): HasMany
    {
        // In the order in which they were made: where the database keeps a row says what happened to others.
        return $this->hasMany(Call::class)->orderBy('id');
    }

    public function isLocked(): bool
    {
        return $this->handed_in_at !== null || $this->case->sitting->state !== SittingState::Open;
    }

    /** What this reading's rater is shown. */
    public function shown(): Shown
    {
        return $this->case->shown($this->arm);
    }

    /** @return list<View> the filmed views shown; none where the figure stands for film, or no film is shown */
    public function filmViews(): array
    {
        return $this->arm->film ? $this->case->filmedViews() : [];
    }

    /** @return BelongsTo<SittingArm, $this> */
    public function arm(): BelongsTo
    {
        return $this->belongsTo(SittingArm::class);
    }

    public function toCore(): CoreReading
    {
        $calls = [];
        foreach ($this->calls as $call) {
            $calls[$call->fault] = $call->toCore();
        }

        return new CoreReading(
            $calls,
            $this->first_causes,
            $this->cue,
            new Chain($this->chain),
            $this->drill,
            $this->stop === null ? null : Stop::from($this->stop),
            $this->miss === null ? new Misses($this->misses) : Misses::certain(Miss::from($this->miss)),
            array_map(floatval(...), $this->marks),
            array_map(
                static fn (array $a): Aid => new Aid($a['kind'], $a['view'], $a['points'], $a['swing'] ?? 1),
                $this->aids,
            ),
            $this->other_cause,
            $this->breaks,
        );
    }

    /** @return array<string, mixed> attributes of a row for all but the calls */
    public static function row(CoreReading $core): array
    {
        return [
            'first_causes' => $core->firstCauses,
            'cue' => $core->cue,
            'chain' => $core->chain->links,
            'drill' => $core->drill,
            'stop' => $core->stop?->value,
            'miss' => null,
            'misses' => (object) $core->misses->percent,
            'other_cause' => $core->otherCause,
            'breaks' => $core->breaks,
            'marks' => (object) $core->marks,
            'aids' => array_map(static fn (Aid $a): array => $a->toArray(), $core->aids),
        ];
    }
}
