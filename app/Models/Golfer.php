<?php

declare(strict_types=1);

namespace App\Models;

use Core\Prescription\Level;
use Core\Sight\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
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
final class Golfer extends Model
{
    /** Born so many years ago somebody may still be a minor this year. */
    private const MINOR_YEARS = 18;

    public function resolveRouteBinding($value, $field = null): ?self
    {
        return self::query()->whereNull('erased_at')->whereKey($value)->first();
    }

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
     * Golfers who agree today to one of these uses. A minor's consent without a guardian is none.
     *
     * @param  Builder<Golfer>  $query
     */
    public function scopeConsenting(Builder $query, Scope ...$to): void
    {
        $query->whereHas(
            'consents',
            static fn (Builder $c) => $c
                ->whereIn('scope', $to === [] ? [Scope::StaffTraining] : $to)
                ->whereNull('withdrawn_at')
                ->where('expires_on', '>=', Academy::today())
                ->where(static fn (Builder $g) => $g
                    ->whereNotNull('guardian')
                    ->orWhere(static fn (Builder $adult) => $adult
                        ->where('golfers.is_minor', false)
                        ->where(static fn (Builder $born) => $born
                            ->whereNull('golfers.born_year')
                            ->orWhere('golfers.born_year', '<', now()->year - self::MINOR_YEARS)))),
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
