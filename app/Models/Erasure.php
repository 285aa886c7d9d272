<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A receipt: what was erased, when and by whom, in counts. It names nobody who was erased.
 *
 * @property int $id
 * @property string $public_id
 * @property string $subject  golfer and number
 * @property string $why  request or retention
 * @property ?int $user_id
 * @property array<string, int> $counts
 * @property Carbon $created_at
 * @property ?User $user
 */
final class Erasure extends Row
{
    use HasUlids;

    public const UPDATED_AT = null;

    protected $fillable = ['subject', 'why', 'user_id', 'counts'];

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
        return ['counts' => 'array', 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
