<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * @property string $core_version
 * @property string $inputs_checksum
 * @property array<string, mixed> $results
 * @property Carbon $updated_at
 */
final class SittingResult extends Model
{
    protected $fillable = ['sitting_id', 'core_version', 'inputs_checksum', 'results'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['results' => 'array'];
    }
}
