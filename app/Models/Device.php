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
 * @property ?array<string, float|string> $constant_errors  as somebody has checked it, and how
 * @property ?Carbon $revoked_at
 */
final class Device extends Model
{
    use HasUlids;

    protected $fillable = ['name', 'token_hash', 'revoked_at', 'created_by', 'constant_errors'];

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
        return ['revoked_at' => 'datetime', 'constant_errors' => 'array'];
    }

    /** @return array<string, mixed>|null what the device of this name was last found to be off by */
    public static function errorsOf(?string $name): ?array
    {
        return $name === null ? null : self::query()
            ->whereRaw('lower(name) = lower(?)', [$name])
            ->whereNull('revoked_at')
            ->whereNotNull('constant_errors')
            ->orderByDesc('id')
            ->first()?->constant_errors;
    }

    public static function byToken(string $token): ?self
    {
        return $token === ''
            ? null
            : self::query()->where('token_hash', hash('sha256', $token))->whereNull('revoked_at')->first();
    }
}
