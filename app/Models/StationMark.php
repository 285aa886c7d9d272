<?php

declare(strict_types=1);

namespace App\Models;

use Core\Motion\StationTime;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $code
 * @property float $t_s
 * @property float $uncertainty_s
 * @property string $source motion, trace, file, or hand: marked by a person
 * @property ?string $doubt
 */
final class StationMark extends Model
{
    public $timestamps = false;

    protected $table = 'station_times';

    protected $fillable = ['recording_id', 'code', 't_s', 'uncertainty_s', 'source', 'doubt', 'marked_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['t_s' => 'float', 'uncertainty_s' => 'float'];
    }

    public function toCore(): StationTime
    {
        return new StationTime($this->t_s, $this->uncertainty_s, $this->source);
    }
}
