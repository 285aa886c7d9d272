<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * That somebody tried to log in, and what came of it: in, or refused for the password or for the second factor's code.
 *
 * @property int $id
 * @property string $account  a keyed hash of the address that was given
 * @property ?int $user_id  whose address it is, if anybody's
 * @property string $ip
 * @property string $agent  how the browser signed itself
 * @property 'in'|'password'|'code' $outcome
 * @property Carbon $at
 */
final class LoginAttempt extends Row
{
    public $timestamps = false;

    protected $fillable = ['account', 'user_id', 'ip', 'agent', 'outcome', 'at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['user_id' => 'integer', 'at' => 'datetime'];
    }
}
