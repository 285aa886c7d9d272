<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $code
 * @property float $t_s
 * @property float $uncertainty_s
 * @property string $source
 */
final class StationMark extends Model
{
    public $timestamps = false;

    protected $table = 'station_times';

    protected $fillable = ['recording_id', 'code', 't_s', 'uncertainty_s', 'source'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['t_s' => 'float', 'uncertainty_s' => 'float'];
    }
}
