<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\PackedFloats;
use Core\Motion\Clock;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\View;

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
final class Motion extends Row
{
    public $timestamps = false;

    protected $fillable = ['recording_id', 'view', 'rate_hz', 't0', 'frames', 'points', 'coordinates'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['points' => 'array', 'coordinates' => PackedFloats::class, 'rate_hz' => 'float', 't0' => 'float'];
    }

    /** The coordinates as they are kept, little-endian float32. */
    public function packed(): string
    {
        return PackedFloats::bytes($this->getAttributes()['coordinates'] ?? '\\x');
    }

    /** @return array<string, mixed> attributes of a row for a core motion */
    public static function row(CoreMotion $motion): array
    {
        $all = [];
        foreach ($motion->points as $axes) {
            array_push($all, ...$axes[0], ...$axes[1], ...$axes[2]);
        }

        return [
            'view' => $motion->view->value,
            'rate_hz' => $motion->rateHz,
            't0' => $motion->t0,
            'frames' => $motion->frames(),
            'points' => array_keys($motion->points),
            'coordinates' => $all,
        ];
    }

    /** By the recording's clock, or by its own. */
    public function toCore(Clock $clock = new Clock): CoreMotion
    {
        $chunks = array_chunk($this->coordinates, max(1, $this->frames));
        $points = [];
        foreach ($this->points as $i => $name) {
            $points[$name] = [$chunks[3 * $i], $chunks[3 * $i + 1], $chunks[3 * $i + 2]];
        }

        return new CoreMotion(
            $clock->rate($this->rate_hz),
            $points,
            $this->t0 + $clock->offsetS,
            View::from($this->view),
        );
    }
}
