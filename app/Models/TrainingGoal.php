<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\GoalKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What one person is to have done by a day, and who said so.
 *
 * @property int $id
 * @property string $public_id
 * @property int $user_id
 * @property int $set_by
 * @property GoalKind $kind
 * @property ?string $fault
 * @property int $amount
 * @property string $words
 * @property Carbon $due_on
 * @property ?Carbon $done_at  where the person says when; else it is counted
 * @property ?Carbon $dropped_at
 * @property Carbon $created_at
 * @property User $user
 * @property User $setter
 */
final class TrainingGoal extends Row
{
    use HasUlids;

    protected $fillable = ['user_id', 'set_by', 'kind', 'fault', 'amount', 'words', 'due_on', 'done_at', 'dropped_at'];

    protected $attributes = ['fault' => null, 'amount' => 1, 'words' => '', 'done_at' => null, 'dropped_at' => null];

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
            'kind' => GoalKind::class,
            'amount' => 'integer',
            'due_on' => 'date',
            'done_at' => 'datetime',
            'dropped_at' => 'datetime',
        ];
    }

    /** @param  Builder<self>  $query */
    public function scopeStanding(Builder $query): void
    {
        $query->whereNull('dropped_at');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function setter(): BelongsTo
    {
        return $this->belongsTo(User::class, 'set_by');
    }
}
