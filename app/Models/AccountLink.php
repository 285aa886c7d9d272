<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\LinkPurpose;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link that lets whoever holds it do one thing, once and for a while. Only a hash of it is kept.
 *
 * @property int $id
 * @property LinkPurpose $purpose
 * @property string $token_hash
 * @property ?int $user_id
 * @property ?string $email  the new address, where it is about one
 * @property Carbon $expires_at
 * @property ?Carbon $used_at
 * @property ?User $user
 */
final class AccountLink extends Row
{
    public const UPDATED_AT = null;

    protected $fillable = ['purpose', 'token_hash', 'user_id', 'email', 'expires_at', 'used_at'];

    protected $hidden = ['token_hash'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'purpose' => LinkPurpose::class,
            'expires_at' => 'datetime',
            'used_at' => 'datetime',
            'created_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function isOpen(): bool
    {
        return $this->used_at === null && $this->expires_at->isFuture();
    }
}
