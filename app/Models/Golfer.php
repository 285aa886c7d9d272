<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $pseudonym
 * @property string $handedness
 * @property ?string $limits
 * @property bool $is_minor
 * @property \Illuminate\Database\Eloquent\Collection<int, Consent> $consents
 */
final class Golfer extends Model
{
    protected $fillable = ['pseudonym', 'handedness', 'limits', 'is_minor'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_minor' => 'boolean'];
    }

    /** @return HasMany<Consent, $this> */
    public function consents(): HasMany
    {
        return $this->hasMany(Consent::class);
    }

    /**
     * Golfers whose recordings may be used for training today. A minor's consent without a guardian is none.
     *
     * @param  Builder<Golfer>  $query
     */
    public function scopeConsenting(Builder $query): void
    {
        $query->whereHas(
            'consents',
            static fn (Builder $c) => $c
                ->whereNull('withdrawn_at')
                ->whereDate('expires_on', '>=', now())
                ->where(static fn (Builder $g) => $g->whereNotNull('guardian')->orWhere('golfers.is_minor', false)),
        );
    }

    public function isConsenting(): bool
    {
        return $this->consents->contains(
            fn (Consent $c): bool => $c->isValid() && (! $this->is_minor || $c->guardian !== null),
        );
    }
}
