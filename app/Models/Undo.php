<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Support\Carbon;

/**
 * Something that its doer can take back for a minute.
 *
 * @property int $id
 * @property string $public_id
 * @property int $user_id
 * @property string $kind
 * @property array<array-key, mixed> $payload  what stood there before
 * @property Carbon $expires_at
 * @property ?Carbon $used_at
 */
final class Undo extends Row
{
    use HasUlids;

    public const UPDATED_AT = null;

    protected $fillable = ['user_id', 'kind', 'payload', 'expires_at', 'used_at'];

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
        return ['payload' => 'array', 'expires_at' => 'datetime', 'used_at' => 'datetime'];
    }
}
