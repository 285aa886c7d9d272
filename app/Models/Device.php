<?php

declare(strict_types=1);

namespace App\Models;

use Core\Trace\DeviceClass;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Support\Carbon;

/**
 * A pressure or force device that may send, known by a token of which only the hash is kept.
 *
 * @property int $id
 * @property string $public_id
 * @property string $name
 * @property string $token_hash
 * @property ?array<string, float|string> $constant_errors  as somebody has checked it, and how
 * @property Carbon $token_expires_at
 * @property ?DeviceClass $class  the one kind it may send as; any where null
 * @property ?string $previous_hash  of the token before, which still holds until previous_until
 * @property ?Carbon $previous_until
 * @property ?Carbon $revoked_at
 */
final class Device extends Row
{
    use HasUlids;

    /** Days for which a token holds. */
    private const TOKEN_DAYS = 180;

    protected $fillable = [
        'name',
        'class',
        'token_hash',
        'token_expires_at',
        'previous_hash',
        'previous_until',
        'revoked_at',
        'created_by',
        'constant_errors',
    ];

    protected $attributes = ['class' => null, 'previous_hash' => null, 'previous_until' => null];

    protected $hidden = ['token_hash', 'previous_hash'];

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
            'class' => DeviceClass::class,
            'token_expires_at' => 'datetime',
            'previous_until' => 'datetime',
            'revoked_at' => 'datetime',
            'constant_errors' => 'array',
        ];
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

    /** Whose token it is, and still holds. */
    public static function byToken(string $token): ?self
    {
        $hash = hash('sha256', $token);

        return $token === '' ? null : self::query()
            ->whereNull('revoked_at')
            ->where(static fn (Builder $q) => $q
                ->where(static fn (Builder $q) => $q->where('token_hash', $hash)->where('token_expires_at', '>', now()))
                ->orWhere(static fn (Builder $q) => $q->where('previous_hash', $hash)->where('previous_until', '>', now())))
            ->first();
    }

    public static function tokenEnds(): Carbon
    {
        return now()->addDays(self::TOKEN_DAYS);
    }

    /** Whether its token ends within a month, or has ended. */
    public function endsSoon(): bool
    {
        return $this->token_expires_at->lt(now()->addDays(30));
    }
}
