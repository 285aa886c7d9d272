<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Limit;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/**
 * What a golfer's body is to be spared, since when, and whether a professional has cleared it.
 *
 * @property int $id
 * @property int $golfer_id
 * @property LimitRegion $region
 * @property ?LimitSide $side
 * @property LimitSeverity $severity
 * @property ?Carbon $since
 * @property bool $is_cleared
 * @property ?Carbon $cleared_until
 * @property ?string $note
 * @property ?Carbon $ended_on
 */
final class GolferLimit extends Row
{
    protected $table = 'golfer_limits';

    protected $fillable = [
        'golfer_id',
        'region',
        'side',
        'severity',
        'since',
        'is_cleared',
        'cleared_until',
        'note',
        'ended_on',
    ];

    protected $attributes = ['is_cleared' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'region' => LimitRegion::class,
            'side' => LimitSide::class,
            'severity' => LimitSeverity::class,
            'since' => 'date',
            'is_cleared' => 'boolean',
            'cleared_until' => 'date',
            'ended_on' => 'date',
        ];
    }

    /** @param  Builder<self>  $query */
    public function scopeInForce(Builder $query): void
    {
        $query->where(static fn (Builder $q) => $q->whereNull('ended_on')->orWhere('ended_on', '>', Academy::today()));
    }

    /** Whether a professional's word that it may be loaded holds today. */
    public function isClearedNow(): bool
    {
        return $this->is_cleared && ($this->cleared_until === null
            || $this->cleared_until->toDateString() >= Academy::today());
    }

    public function toCore(): Limit
    {
        return new Limit($this->region, $this->severity, $this->side);
    }
}
