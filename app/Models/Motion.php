<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\PackedFloats;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\View;
use Illuminate\Database\Eloquent\Model;

/**
 * Body points of one recording, packed point by point, axis by axis.
 *
 * @property string $view
 * @property float $rate_hz
 * @property float $t0
 * @property int $frames
 * @property list<string> $points
 * @property list<float> $coordinates
 */
final class Motion extends Model
{
    public $timestamps = false;

    protected $fillable = ['recording_id', 'view', 'rate_hz', 't0', 'frames', 'points', 'coordinates'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['points' => 'array', 'coordinates' => PackedFloats::class, 'rate_hz' => 'float', 't0' => 'float'];
    }

    /** @return array<string, mixed> attributes of a row for a core motion */
    public static function row(CoreMotion $motion): array
    {
        $all = [];
        foreach ($motion->points as $axes) {
            array_push($all, ...$axes[0], ...$axes[1], ...$axes[2]);
        }

        return ['view' => $motion->view->value, 'rate_hz' => $motion->rateHz, 't0' => $motion->t0, 'frames' => $motion->frames(), 'points' => array_keys($motion->points), 'coordinates' => $all];
    }

    /** @param  float  $offset  by which the trace's clock is ahead of the film's at its first frame, s */
    public function toCore(float $offset = 0.0, float $driftPpm = 0.0): CoreMotion
    {
        $chunks = array_chunk($this->coordinates, max(1, $this->frames));
        $points = [];
        foreach ($this->points as $i => $name) {
            $points[$name] = [$chunks[3 * $i], $chunks[3 * $i + 1], $chunks[3 * $i + 2]];
        }

        return new CoreMotion($this->rate_hz / (1.0 + 1e-6 * $driftPpm), $points, $this->t0 + $offset, View::from($this->view));
    }
}
