<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A pressure or force device that may send, known by a token of which only the hash is kept.
 *
 * @property int $id
 * @property string $public_id
 * @property string $name
 * @property string $token_hash
 * @property ?Carbon $revoked_at
 */
final class Device extends Model
{
    use HasUlids;

    protected $fillable = ['name', 'token_hash', 'revoked_at', 'created_by'];

    protected $hidden = ['token_hash'];

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
        return ['revoked_at' => 'datetime'];
    }

    public static function byToken(string $token): ?self
    {
        return $token === ''
            ? null
            : self::query()->where('token_hash', hash('sha256', $token))->whereNull('revoked_at')->first();
    }
}
