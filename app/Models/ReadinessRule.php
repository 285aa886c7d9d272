<?php

declare(strict_types=1);

namespace App\Models;

use Core\Format\Json\ReadinessJson;
use Core\Trace\DeviceClass;
use Core\Training\ReadinessRule as CoreRule;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Support\Carbon;

/**
 * A version of a rule of readiness; it stays as it was made, and a newer one takes its place.
 *
 * @property int $id
 * @property string $public_id
 * @property ?int $first_id  the first version; null of that itself
 * @property int $version
 * @property string $name
 * @property ?DeviceClass $device  null: whatever recorded it
 * @property string $lens
 * @property array<string, mixed> $rule  as Core\Format\Json\ReadinessJson has it
 * @property int $made_by
 * @property ?Carbon $retired_at
 * @property Carbon $created_at
 */
final class ReadinessRule extends Row
{
    use HasUlids;

    protected $fillable = ['first_id', 'version', 'name', 'device', 'lens', 'rule', 'made_by', 'retired_at'];

    private ?CoreRule $read = null;

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
            'device' => DeviceClass::class,
            'rule' => 'array',
            'retired_at' => 'datetime',
            'version' => 'integer',
            'first_id' => 'integer',
        ];
    }

    public function toCore(): CoreRule
    {
        return $this->read ??= ReadinessJson::read($this->rule);
    }

    /** What all its versions have in common. */
    public function line(): int
    {
        return $this->first_id ?? $this->id;
    }

    /** @param  Builder<self>  $query */
    public function scopeCurrent(Builder $query): void
    {
        $query->whereNull('retired_at');
    }

    /**
     * All versions of this rule.
     *
     * @return Builder<self>
     */
    public function versions(): Builder
    {
        return self::query()
            ->where(fn ($q) => $q->where('id', $this->line())->orWhere('first_id', $this->line()))
            ->orderBy('version');
    }
}
