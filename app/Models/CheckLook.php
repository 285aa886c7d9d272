<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What the look after one check found of one reader, as it was found.
 *
 * @property int $check_id
 * @property int $user_id
 * @property int $units
 * @property float $z_right
 * @property float $z_present
 * @property float $z_limit
 * @property float $p
 * @property bool $beyond
 */
final class CheckLook extends Row
{
    public const UPDATED_AT = null;

    protected $fillable = ['check_id', 'user_id', 'units', 'z_right', 'z_present', 'z_limit', 'p', 'beyond'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'units' => 'integer', 'z_right' => 'float', 'z_present' => 'float', 'z_limit' => 'float', 'p' => 'float',
            'beyond' => 'boolean',
        ];
    }
}
