<?php

declare(strict_types=1);

namespace App\Models;

use Core\Consensus\PanelRules;
use Core\Reading\CaseKind;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A number of cases put before a number of people: a panel study, a staff round.
 *
 * @phpstan-type Place array{kind: CaseKind, recordings: list<int>, film: bool, trace: bool, occasion: int, part: int,
 *     crossed?: bool, reserved?: bool}
 *
 * @property int $id
 * @property int $created_by  who planned it
 * @property string $public_id
 * @property string $name
 * @property SittingKind $kind
 * @property SittingState $state
 * @property string $lens
 * @property string $codebook_version
 * @property string $seed
 * @property bool $reveals  whether each case is read again with the ball and the numbers
 * @property int $wait_days  between its two parts; nought where there is one
 * @property ?int $parent_id
 * @property ?int $key_version_id
 * @property ?float $majority  of a panel, as its other rules; see panelRules()
 * @property ?int $able
 * @property ?int $following_rounds
 * @property ?float $stability
 * @property ?Carbon $due_on  by when it is to be read
 * @property ?Carbon $opened_at
 * @property-read int $done_count  readings handed in, where counted
 * @property ?Carbon $closed_at
 * @property ?Carbon $published_at
 * @property ?Carbon $updated_at
 * @property ?KeyVersion $keyVersion
 * @property \Illuminate\Database\Eloquent\Collection<int, SittingCase> $cases
 * @property ?int $readings_dealt  counted when it was closed
 * @property ?int $readings_handed_in  of those
 * @property ?SittingResult $result
 */
final class Sitting extends Row
{
    use HasUlids;

    protected $table = 'sittings';

    protected $fillable = [
        'name',
        'kind',
        'state',
        'lens',
        'codebook_version',
        'seed',
        'reveals',
        'wait_days',
        'parent_id',
        'key_version_id',
        'majority',
        'able',
        'following_rounds',
        'stability',
        'due_on',
        'opened_at',
        'closed_at',
        'published_at',
        'readings_dealt',
        'readings_handed_in',
        'created_by',
    ];

    protected $attributes = ['state' => 'draft', 'reveals' => false, 'wait_days' => 0];

    /**
     * A private review is nobody's but its reader's, a following round a part of its panel, a test of readiness a
     * thing between two, a weekly check quiet: whoever asks for sittings does not meet them.
     */
    public const SHARED = 'shared';

    protected static function booted(): void
    {
        self::addGlobalScope(
            self::SHARED,
            static fn (Builder $q) => $q->whereNotIn('sittings.kind', [
                SittingKind::Review,
                SittingKind::Following,
                SittingKind::Test,
                SittingKind::Check,
            ]),
        );
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

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => SittingKind::class,
            'state' => SittingState::class,
            'reveals' => 'boolean',
            'majority' => 'float',
            'able' => 'integer',
            'following_rounds' => 'integer',
            'stability' => 'float',
            'due_on' => 'date',
            'opened_at' => 'datetime',
            'closed_at' => 'datetime',
            'published_at' => 'datetime',
        ];
    }

    /**
     * Many at once, each with whether this person has a seat in it.
     *
     * @param  Builder<self>  $query
     */
    public function scopeWithSeatOf(Builder $query, User $user): void
    {
        $query->withExists([
            "members as seat_of_$user->id" => static fn (Builder $q): Builder => $q->whereKey($user->id),
        ]);
    }

    public function seats(User $user): bool
    {
        return (bool) ($this->getAttributes()["seat_of_$user->id"] ?? $this->members()->whereKey($user->id)->exists());
    }

    /** @return HasMany<SittingCase, $this> */
    public function cases(): HasMany
    {
        return $this->hasMany(SittingCase::class);
    }

    /** @param  list<int>  $recordings  in order; the first is what the case is called by */
    public function addCase(
        CaseKind $kind,
        array $recordings,
        bool $film,
        bool $trace,
        int $occasion = 1,
        int $part = 1,
    ): SittingCase {
        $this->addCases([compact('kind', 'recordings', 'film', 'trace', 'occasion', 'part')]);

        return $this->cases()->orderByDesc('id')->firstOrFail();
    }

    /** @param  list<Place>  $places */
    public function addCases(array $places): void
    {
        $cases = RatedCase::of($places);
        $arms = $rows = [];
        foreach ($places as $i => $place) {
            $shows = ($place['film'] ? 'film' : '').($place['trace'] ? 'trace' : '');
            $arms[$shows] ??= SittingArm::in($this, $place['film'], $place['trace'])->id;
            $crossed = $place['crossed'] ?? false;
            $rows[] = [
                'sitting_id' => $this->id,
                'case_id' => $cases[$i],
                // What each reader is shown of it is dealt when the sitting opens.
                'arm_id' => $crossed ? null : $arms[$shows],
                'reserved' => $place['reserved'] ?? false,
                'occasion' => $place['occasion'],
                'part' => $place['part'],
            ];
        }
        foreach (array_chunk($rows, 500) as $some) {
            SittingCase::query()->insert($some);
        }
    }

    /** @return BelongsToMany<User, $this> those who have a seat in it */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'seats');
    }

    /** @return HasManyThrough<Reading, SittingCase, $this> the blind readings; what is scored */
    public function readings(): HasManyThrough
    {
        /** @var HasManyThrough<Reading, SittingCase, $this> */
        return $this->hasManyThrough(Reading::class, SittingCase::class)->where('readings.stage', Stage::Blind);
    }

    /** @return BelongsTo<KeyVersion, $this> */
    public function keyVersion(): BelongsTo
    {
        return $this->belongsTo(KeyVersion::class);
    }

    /** @return HasMany<KeyVersion, $this> the keys made from it under its own lens, when it is a panel's */
    public function keys(): HasMany
    {
        return $this->keysUnder($this->lens);
    }

    /** @return HasMany<KeyVersion, $this> under one lens, the newest first */
    public function keysUnder(string $lens): HasMany
    {
        return $this->hasMany(KeyVersion::class)->where('lens', $lens)->orderByDesc('number');
    }

    /** @return HasOne<SittingResult, $this> */
    public function result(): HasOne
    {
        return $this->hasOne(SittingResult::class);
    }

    /** What this panel calls a consensus; a study of before keeps what was everybody's. */
    public function panelRules(): PanelRules
    {
        return new PanelRules(
            $this->majority ?? config()->float('academy.majority'),
            $this->able ?? config()->integer('academy.able'),
            $this->following_rounds ?? config()->integer('academy.following_rounds'),
            $this->stability ?? config()->float('academy.stability'),
        );
    }

    public function isPanel(): bool
    {
        return $this->kind->makesKey();
    }

    /** When inputs of what it came to were last erased; what was made from them is kept and not made again. */
    public function erasedAt(): ?Carbon
    {
        $at = DB::table('recordings')
            ->join('case_swings', 'case_swings.recording_id', '=', 'recordings.id')
            ->join('sitting_cases', 'sitting_cases.case_id', '=', 'case_swings.case_id')
            ->where('sitting_cases.sitting_id', $this->id)
            ->max('recordings.erased_at');

        return is_string($at) ? Carbon::parse($at) : null;
    }

    /** Whether some of its cases are asked about twice. */
    public function hasRepeats(): bool
    {
        return $this->cases()->where('occasion', '>', 1)->exists();
    }
}
