<?php

declare(strict_types=1);

namespace App\Models;

use Core\Training\DecisionKind;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One thing decided or asked about somebody's readiness; never changed, only followed by another.
 *
 * @property int $id
 * @property string $public_id
 * @property int $user_id
 * @property int $readiness_rule_id
 * @property ?int $readiness_test_id
 * @property DecisionKind $kind
 * @property int $decided_by
 * @property string $reason
 * @property string $conditions
 * @property ?Carbon $until  the last day on which it holds
 * @property array<string, mixed> $evidence  what stood there when it was decided
 * @property string $checksum  of all of it
 * @property ?string $code  by which a statement can be verified
 * @property Carbon $created_at
 * @property User $user
 * @property User $decider
 * @property ReadinessRule $rule
 */
final class ReadinessDecision extends Row
{
    use HasUlids;

    public const UPDATED_AT = null;

    protected $fillable = [
        'user_id', 'readiness_rule_id', 'readiness_test_id', 'kind', 'decided_by', 'reason', 'conditions', 'until',
        'evidence',
        'checksum', 'code', 'created_at',
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
        return ['kind' => DecisionKind::class, 'until' => 'date', 'evidence' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function decider(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }

    /** @return BelongsTo<ReadinessRule, $this> */
    public function rule(): BelongsTo
    {
        return $this->belongsTo(ReadinessRule::class, 'readiness_rule_id');
    }
}
