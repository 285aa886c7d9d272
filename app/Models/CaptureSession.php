<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsStance;
use Core\Trace\Assembly;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Core\Trace\Trace;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One connection of a device, from its first chunk to its last.
 *
 * @property int $id
 * @property string $public_id
 * @property int $device_id
 * @property string $device_class
 * @property float $rate_hz
 * @property list<string> $channels
 * @property ?Stance $stance
 * @property ?float $mass_kg
 * @property bool $armed
 * @property int $newest_sample
 * @property int $chunks
 * @property int $repeated
 * @property float $last_impact_s
 * @property int $looked_at_sample
 * @property ?Carbon $last_seen_at
 * @property ?Carbon $closed_at
 * @property Carbon $created_at
 * @property Device $device
 */
final class CaptureSession extends Row
{
    use HasUlids;

    /** How much of the past is kept, s. */
    public const KEPT = 10.0;

    protected $fillable = [
        'device_id',
        'device_class',
        'rate_hz',
        'channels',
        'stance',
        'mass_kg',
        'armed',
        'newest_sample',
        'chunks',
        'repeated',
        'last_impact_s',
        'looked_at_sample',
        'last_seen_at',
        'closed_at',
    ];

    protected $attributes = [
        'armed' => true,
        'newest_sample' => 0,
        'chunks' => 0,
        'repeated' => 0,
        'last_impact_s' => -1.0,
        'looked_at_sample' => 0,
    ];

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
            'channels' => 'array',
            'stance' => AsStance::class,
            'rate_hz' => 'float',
            'mass_kg' => 'float',
            'armed' => 'boolean',
            'last_impact_s' => 'float',
            'last_seen_at' => 'datetime',
            'closed_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Device, $this> */
    public function device(): BelongsTo
    {
        return $this->belongsTo(Device::class);
    }

    /** @return HasMany<CaughtSwing, $this> */
    public function swings(): HasMany
    {
        return $this->hasMany(CaughtSwing::class)->orderByDesc('id');
    }

    /** The trace between two samples as far as it has come in; null while there is too little. */
    public function trace(int $from, int $to): ?Trace
    {
        if ($to - $from < 10) {
            return null;
        }
        $parts = [];
        foreach (
            CaptureChunk::query()
                ->where('capture_session_id', $this->id)
                ->where('first_sample', '<=', $to)
                ->orderBy('first_sample')
                ->get() as $chunk
        ) {
            if ($chunk->first_sample + $chunk->samples > $from) {
                $parts[] = [$chunk->first_sample, $chunk->data];
            }
        }

        return new Trace(
            DeviceClass::from($this->device_class),
            $this->rate_hz,
            Assembly::assembled($this->channels, $parts, $from, $to),
            $this->stance,
            $this->mass_kg,
            $from / $this->rate_hz,
        );
    }
}
