<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A line of the record. It is written by one class alone and never changes.
 *
 * @property string $action
 * @property string $subject
 * @property array<string, mixed> $details
 * @property ?string $personal  sealed under the subject's own key
 * @property Carbon $created_at
 * @property ?User $user
 */
final class AuditEntry extends Row
{
    public const UPDATED_AT = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['details' => 'array', 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
