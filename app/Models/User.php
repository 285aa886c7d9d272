<?php

declare(strict_types=1);

namespace App\Models;

use Core\Sight\Role;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property ?array<string, string> $keys  the person's own keyboard map, where it differs
 * @property ?Carbon $created_at
 */
final class User extends Authenticatable
{
    protected $fillable = ['name', 'email', 'password', 'role'];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'keys' => 'array'];
    }

    public function isHeadCoach(): bool
    {
        return $this->role === Role::HeadCoach;
    }
}
