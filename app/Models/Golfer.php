<?php

declare(strict_types=1);

namespace App\Models;

use Core\Prescription\Level;
use Core\Sight\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * Whose swings are held, under a name that is nobody's.
 *
 * @property int $id
 * @property string $pseudonym
 * @property string $handedness
 * @property ?string $limits  in words, as they were noted before they were coded
 * @property bool $is_minor
 * @property ?int $height_cm
 * @property ?float $mass_kg
 * @property ?int $born_year
 * @property ?string $notes
 * @property ?Level $level  how far they have come
 * @property ?Carbon $erased_at  when all but the place in rounds was taken out
 * @property \Illuminate\Database\Eloquent\Collection<int, Consent> $consents
 * @property \Illuminate\Database\Eloquent\Collection<int, GolferLimit> $limitsNoted
 * @property \Illuminate\Database\Eloquent\Collection<int, GolferLimit> $limitsInForce
 */
final class Golfer extends Row
{
    /** Born so many years ago somebody may still be a minor this year. */
    private const MINOR_YEARS = 18;

    public function resolveRouteBinding($value, $field = null): ?self
    {
        return self::query()->whereNull('erased_at')->whereKey($value)->first();
    }

    protected $table = 'golfers';

    protected $fillable = [
        'pseudonym',
        'handedness',
        'limits',
        'is_minor',
        'height_cm',
        'mass_kg',
        'born_year',
        'notes',
        'level',
    ];

    protected $attributes = [
        'limits' => null,
        'is_minor' => false,
        'height_cm' => null,
        'mass_kg' => null,
        'born_year' => null,
        'notes' => null,
        'level' => null,
        'erased_at' => null,
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'is_minor' => 'boolean',
            'height_cm' => 'integer',
            'mass_kg' => 'float',
            'born_year' => 'integer',
            'erased_at' => 'datetime',
            'level' => Level::class,
        ];
    }

    /** @return HasMany<Consent, $this> */
    public function consents(): HasMany
    {
        return $this->hasMany(Consent::class);
    }

    /** @return HasMany<Recording, $this> */
    public function recordings(): HasMany
    {
        return $this->hasMany(Recording::class);
    }

    /** @return HasMany<GolferLimit, $this> */
    public function limitsNoted(): HasMany
    {
        return $this->hasMany(GolferLimit::class)->orderByRaw('ended_on is not null, id');
    }

    /** @return HasMany<GolferLimit, $this> */
    public function limitsInForce(): HasMany
    {
        return $this->hasMany(GolferLimit::class)->inForce()->orderBy('id');
    }

    /**
     * Whether a row of consents holds today, in a statement that has its golfer beside it. A minor's consent without a
     * guardian is none. Asks for the two values of coveredOn(). The function agreed_for_sheets says the same of sheets.
     */
    public const COVERED = 'consents.golfer_id = golfers.id and consents.withdrawn_at is null
        and consents.expires_on >= ? and (consents.guardian is not null or (golfers.is_minor = false
            and (golfers.born_year is null or golfers.born_year < ?)))';

    /**
     * @return array{string, int} what COVERED asks for: the day it is, and the earliest year of birth of who may be a
     *     minor
     */
    public static function coveredOn(): array
    {
        return [Academy::today(), now()->year - self::MINOR_YEARS];
    }

    /**
     * Golfers who agree today to one of these uses; to staff training where none is named.
     *
     * @param  Builder<Golfer>  $query
     */
    public function scopeConsenting(Builder $query, Scope ...$to): void
    {
        $uses = array_column($to === [] ? [Scope::StaffTraining] : $to, 'value');
        $query->whereRaw(
            'exists (select 1 from consents where '.self::COVERED
                .' and consents.scope in ('.implode(', ', array_fill(0, count($uses), '?')).'))',
            [...self::coveredOn(), ...$uses],
        );
    }

    /** Whether one of these uses is agreed to today; staff training where none is named. */
    public function consentsTo(Scope ...$uses): bool
    {
        $uses = $uses === [] ? [Scope::StaffTraining] : $uses;

        return $this->consents->contains(
            fn (Consent $c): bool => in_array($c->scope, $uses, true) && $this->isCoveredBy($c),
        );
    }

    public function isCoveredBy(Consent $consent): bool
    {
        return $consent->isValid() && (! $this->mayBeMinor() || $consent->guardian !== null);
    }

    /** Said to be one, or born so late that they may be. */
    public function mayBeMinor(): bool
    {
        return $this->is_minor || ($this->born_year !== null && $this->born_year >= now()->year - self::MINOR_YEARS);
    }
}
