<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $public_id
 * @property string $name
 * @property string $kind
 * @property string $state
 * @property string $lens
 * @property string $codebook_version
 * @property string $seed
 * @property bool $reveals  whether each case is read again with the ball and the numbers
 * @property ?int $key_version_id
 * @property ?Carbon $opened_at
 * @property ?Carbon $closed_at
 * @property ?Carbon $published_at
 * @property ?KeyVersion $keyVersion
 * @property \Illuminate\Database\Eloquent\Collection<int, RoundCase> $cases
 * @property ?RoundResult $result
 */
final class Round extends Model
{
    use HasUlids;

    public const PANEL = 'panel';

    public const STAFF = 'staff';

    protected $fillable = ['name', 'kind', 'state', 'lens', 'codebook_version', 'seed', 'reveals', 'key_version_id', 'opened_at', 'closed_at', 'published_at', 'created_by'];

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
        return ['reveals' => 'boolean', 'opened_at' => 'datetime', 'closed_at' => 'datetime', 'published_at' => 'datetime'];
    }

    /** @return HasMany<RoundCase, $this> */
    public function cases(): HasMany
    {
        return $this->hasMany(RoundCase::class);
    }

    /**
     * A case of these swings, in order; the first is the case's own recording.
     *
     * @param  list<Recording>  $swings  one at least
     */
    public function addCase(string $kind, array $swings, bool $film, bool $trace, int $occasion = 1): void
    {
        $case = $this->cases()->create(['kind' => $kind, 'recording_id' => $swings[0]->id, 'occasion' => $occasion, 'shows_film' => $film, 'shows_trace' => $trace]);
        foreach (array_slice($swings, 1) as $i => $swing) {
            $case->swings()->create(['recording_id' => $swing->id, 'position' => $i + 2]);
        }
    }

    /** @return BelongsToMany<User, $this> */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'round_members');
    }

    /** @return HasManyThrough<Reading, RoundCase, $this> the blind readings; what is scored */
    public function readings(): HasManyThrough
    {
        /** @var HasManyThrough<Reading, RoundCase, $this> */
        return $this->hasManyThrough(Reading::class, RoundCase::class)->where('readings.stage', Reading::BLIND);
    }

    /** @return BelongsTo<KeyVersion, $this> */
    public function keyVersion(): BelongsTo
    {
        return $this->belongsTo(KeyVersion::class);
    }

    /** @return HasMany<KeyVersion, $this> the keys made from this round, when it is a panel's */
    public function keys(): HasMany
    {
        return $this->hasMany(KeyVersion::class)->orderByDesc('number');
    }

    /** @return HasOne<RoundResult, $this> */
    public function result(): HasOne
    {
        return $this->hasOne(RoundResult::class);
    }

    public function isPanel(): bool
    {
        return $this->kind === self::PANEL;
    }
}
