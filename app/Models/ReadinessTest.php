<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\TestState;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A test of one person by one rule, case after case, until it is decided.
 *
 * @property int $id
 * @property string $public_id
 * @property int $user_id
 * @property int $readiness_rule_id
 * @property ?int $sitting_id  null while it is only asked for
 * @property TestState $state
 * @property ?list<array{calls: float, alike: float}> $assumed  of each criterion, fixed before it began
 * @property int $asked_by
 * @property ?Carbon $began_at
 * @property ?Carbon $ended_at
 * @property Carbon $created_at
 * @property User $user
 * @property ReadinessRule $rule
 * @property ?Sitting $sitting
 */
final class ReadinessTest extends Row
{
    use HasUlids;

    protected $fillable = [
        'user_id', 'readiness_rule_id', 'sitting_id', 'state', 'assumed', 'asked_by', 'began_at', 'ended_at',
    ];

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
        return ['state' => TestState::class, 'assumed' => 'array', 'began_at' => 'datetime', 'ended_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<ReadinessRule, $this> */
    public function rule(): BelongsTo
    {
        return $this->belongsTo(ReadinessRule::class, 'readiness_rule_id');
    }

    /** @return BelongsTo<Sitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class)->withoutGlobalScope(Sitting::SHARED);
    }
}
