<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * @property string $action
 * @property string $subject
 * @property array<string, mixed> $details
 * @property ?string $personal  sealed under the subject's own key
 * @property Carbon $created_at
 * @property ?User $user
 */
final class AuditEntry extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['user_id', 'action', 'subject', 'details', 'personal'];

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

    /** @param  array<string, mixed>  $details */
    public static function note(
        ?User $user,
        string $action,
        string $subject,
        array $details = [],
        ?string $personal = null,
    ): void {
        self::query()->create([
            'user_id' => $user?->id,
            'action' => $action,
            'subject' => $subject,
            'details' => $details,
            'personal' => $personal,
        ]);
    }
}
