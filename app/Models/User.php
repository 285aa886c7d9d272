<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $role
 * @property ?array<string, string> $keys  the person's own keyboard map, where it differs
 * @property ?Carbon $created_at
 */
final class User extends Authenticatable
{
    public const HEAD_COACH = 'head-coach';

    public const PANEL = 'panel';

    public const INSTRUCTOR = 'instructor';

    protected $fillable = ['name', 'email', 'password', 'role'];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'keys' => 'array'];
    }

    public function isHeadCoach(): bool
    {
        return $this->role === self::HEAD_COACH;
    }
}
