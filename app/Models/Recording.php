<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Shown;
use Core\Measurement\Evidence;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\StationTime as CoreStationTime;
use Core\Motion\StationTimes;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Stance;
use Core\Trace\Trace;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $public_id
 * @property int $golfer_id
 * @property string $club
 * @property string $swing
 * @property ?string $shape
 * @property string $device_class
 * @property ?string $device_name
 * @property float $rate_hz
 * @property float $t0
 * @property int $samples
 * @property ?float $mass_kg
 * @property ?array<string, array<string, float|null>> $stance
 * @property list<array{kind: string, severity: string, sentence: string}> $quality
 * @property string $checksum
 * @property Carbon $created_at
 * @property Golfer $golfer
 * @property \Illuminate\Database\Eloquent\Collection<int, TraceChannel> $channels
 * @property \Illuminate\Database\Eloquent\Collection<int, StationMark> $stations
 * @property ?Motion $motion
 * @property ?MeasurementSet $measured
 */
final class Recording extends Model
{
    use HasUlids;

    protected $fillable = ['golfer_id', 'club', 'swing', 'shape', 'device_class', 'device_name', 'rate_hz', 't0', 'samples', 'mass_kg', 'stance', 'quality', 'checksum', 'source'];

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
        return ['stance' => 'array', 'quality' => 'array', 'rate_hz' => 'float', 't0' => 'float', 'mass_kg' => 'float'];
    }

    /** @return BelongsTo<Golfer, $this> */
    public function golfer(): BelongsTo
    {
        return $this->belongsTo(Golfer::class);
    }

    /** @return HasMany<TraceChannel, $this> */
    public function channels(): HasMany
    {
        return $this->hasMany(TraceChannel::class);
    }

    /** @return HasMany<StationMark, $this> */
    public function stations(): HasMany
    {
        return $this->hasMany(StationMark::class)->orderBy('t_s');
    }

    /** @return HasOne<Motion, $this> */
    public function motion(): HasOne
    {
        return $this->hasOne(Motion::class);
    }

    /** @return HasOne<MeasurementSet, $this> */
    public function measured(): HasOne
    {
        return $this->hasOne(MeasurementSet::class);
    }

    public function deviceClass(): DeviceClass
    {
        return DeviceClass::from($this->device_class);
    }

    public function trace(): Trace
    {
        $channels = [];
        foreach ($this->channels as $channel) {
            $channels[$channel->name] = $channel->samples;
        }

        return new Trace($this->deviceClass(), $this->rate_hz, $channels, $this->coreStance(), $this->mass_kg, $this->t0);
    }

    public function coreStance(): ?Stance
    {
        if ($this->stance === null) {
            return null;
        }
        $feet = array_map(
            static fn (array $f): Foot => new Foot((float) $f['x_mm'], (float) $f['y_mm'], (float) $f['length_mm'], (float) $f['width_mm'], $f['flare_deg'] ?? null),
            [$this->stance['lead_foot'], $this->stance['trail_foot']],
        );

        return new Stance($feet[0], $feet[1]);
    }

    public function coreMotion(): ?CoreMotion
    {
        return $this->motion?->toCore();
    }

    public function stationTimes(): StationTimes
    {
        return StationTimes::of($this->stations->mapWithKeys(
            static fn (StationMark $m): array => [$m->code => new CoreStationTime($m->t_s, $m->uncertainty_s, $m->source)],
        )->all());
    }

    public function evidence(): Evidence
    {
        return new Evidence($this->stationTimes(), $this->trace(), $this->coreMotion(), $this->coreStance());
    }

    /** What the academy holds of this swing. */
    public function held(): Shown
    {
        $has = $this->motion !== null;

        return new Shown($this->deviceClass(), $has, $has);
    }
}
