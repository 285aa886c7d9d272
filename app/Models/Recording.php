<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsStance;
use Core\Codebook\SwingBasis;
use Core\Codebook\SwingSize;
use Core\Format\Json\ShownJson;
use Core\Format\SwingFacts;
use Core\Measurement\Evidence;
use Core\Measurement\Norms;
use Core\Measurement\QualityNote;
use Core\Motion\Clock;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\StationTime as CoreStationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Reading\BallFlight;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;
use Core\Trace\QualityFinding;
use Core\Trace\Repair;
use Core\Trace\Stance;
use Core\Trace\Trace;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

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
 * @property ?Stance $stance
 * @property string $checksum
 * @property string $source  file, capture, archive or demo
 * @property ?float $clock_jitter_s
 * @property float $points_offset_s
 * @property float $points_drift_ppm
 * @property ?float $points_clock_uncertainty_s
 * @property ?string $points_clock_by
 * @property ?int $lesson_id
 * @property ?string $series
 * @property bool $is_cold
 * @property ?array<string, mixed> $outcome  what the ball did
 * @property ?float $loft_deg
 * @property ?int $effort_pct  share of full speed
 * @property ?bool $has_ball
 * @property ?string $size  how far back the arms went
 * @property ?int $place  in its series
 * @property int $facts_version  counts what was set right about it
 * @property ?Carbon $facts_changed_at
 * @property ?array<string, mixed> $constant_errors  of the very device, as they were stated when it came in
 * @property list<array<string, mixed>> $repairs  what a person has said yes to, in that order
 * @property ?Carbon $erased_at  when film and trace were taken out; what was said of it stays
 * @property Carbon $created_at
 * @property Golfer $golfer
 * @property \Illuminate\Database\Eloquent\Collection<int, TraceChannel> $channels
 * @property \Illuminate\Database\Eloquent\Collection<int, StationMark> $stations
 * @property ?Motion $motion
 * @property \Illuminate\Database\Eloquent\Collection<int, Motion> $views
 * @property ?MeasurementSet $measured
 * @property \Illuminate\Database\Eloquent\Collection<int, Film> $films
 */
final class Recording extends Row
{
    use HasUlids;

    protected $table = 'recordings';

    protected $fillable = [
        'golfer_id',
        'club',
        'swing',
        'shape',
        'device_class',
        'device_name',
        'rate_hz',
        't0',
        'samples',
        'mass_kg',
        'stance',
        'checksum',
        'source',
        'clock_jitter_s',
        'points_offset_s',
        'points_drift_ppm',
        'points_clock_uncertainty_s',
        'points_clock_by',
        'series',
        'is_cold',
        'outcome',
        'erased_at',
        'loft_deg',
        'effort_pct',
        'has_ball',
        'size',
        'place',
        'constant_errors',
    ];

    protected $attributes = [
        'swing' => 'full',
        'points_offset_s' => 0.0,
        'points_drift_ppm' => 0.0,
        'is_cold' => false,
        'facts_version' => 0,
        'repairs' => '[]',
    ];

    /**
     * @return array{shape: ?string, size: ?string, loft_deg: ?float, effort_pct: ?int, has_ball: ?bool, is_cold: bool,
     *     series: ?string, place: ?int, outcome: ?array<string, mixed>} the columns that hold them
     */
    public static function factsRow(SwingFacts $facts): array
    {
        $of = $facts->toArray();

        return [
            'shape' => $facts->shape,
            'size' => $facts->size?->value,
            'loft_deg' => $facts->loftDeg,
            'effort_pct' => $facts->effortPct,
            'has_ball' => $facts->hasBall,
            'is_cold' => $facts->isCold,
            'series' => $facts->series,
            'place' => $facts->place,
            'outcome' => $of['flight'],
        ];
    }

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
            'stance' => AsStance::class,
            'rate_hz' => 'float',
            't0' => 'float',
            'mass_kg' => 'float',
            'clock_jitter_s' => 'float',
            'points_offset_s' => 'float',
            'points_drift_ppm' => 'float',
            'points_clock_uncertainty_s' => 'float',
            'is_cold' => 'boolean',
            'outcome' => 'array',
            'loft_deg' => 'float',
            'effort_pct' => 'integer',
            'has_ball' => 'boolean',
            'place' => 'integer',
            'constant_errors' => 'array',
            'facts_version' => 'integer',
            'facts_changed_at' => 'datetime',
            'erased_at' => 'datetime',
            'repairs' => 'array',
        ];
    }

    /** @return BelongsTo<Golfer, $this> */
    public function golfer(): BelongsTo
    {
        return $this->belongsTo(Golfer::class);
    }

    /** @return BelongsTo<Lesson, $this> the session that it was made in */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return HasMany<TraceChannel, $this> */
    public function channels(): HasMany
    {
        return $this->hasMany(TraceChannel::class)->orderBy('id');
    }

    /** @return HasMany<StationMark, $this> */
    public function stations(): HasMany
    {
        return $this->hasMany(StationMark::class)->orderBy('t_s');
    }

    /**
     * The body points to draw: 3-D points, where they are held.
     *
     * @return HasOne<Motion, $this>
     */
    public function motion(): HasOne
    {
        /** @var HasOne<Motion, $this> */
        return $this->hasOne(Motion::class)->where('view', View::Points->value);
    }

    /** @return HasMany<Motion, $this> */
    public function views(): HasMany
    {
        return $this->hasMany(Motion::class)->orderBy('id');
    }

    /** @return HasMany<Film, $this> */
    public function films(): HasMany
    {
        return $this->hasMany(Film::class)->orderByDesc('view');
    }

    /** @return HasMany<CaseSwing, $this> the places in cases where this swing stands */
    public function dealt(): HasMany
    {
        return $this->hasMany(CaseSwing::class);
    }

    /** @return HasOne<MeasurementSet, $this> */
    public function measured(): HasOne
    {
        return $this->hasOne(MeasurementSet::class);
    }

    /** @return list<View> */
    public function filmedViews(): array
    {
        return array_values(
            $this->films
                ->filter(static fn (Film $f): bool => $f->isReady())
                ->map(static fn (Film $f): View => $f->coreView())
                ->all(),
        );
    }

    /** The station at which its page opens, where that view has a still of it: it shows before the film has come. */
    public function openingStill(View $view, ?Rendition $as = null): ?string
    {
        $this->loadMissing(['films', 'stations']);
        $code = array_key_first($this->stationTimes()->all());
        $film = $this->films->firstWhere('view', $view->value);
        $stills = $as->films[$view->value]['stills'] ?? $film->stills ?? [];

        return $code !== null && array_key_exists($code, $stills) ? $code : null;
    }

    public function deviceClass(): DeviceClass
    {
        return DeviceClass::from($this->device_class);
    }

    /** @return list<Repair> */
    public function repairsMade(): array
    {
        return array_values(array_filter(array_map(Repair::from(...), $this->repairs)));
    }

    /** The trace as it was recorded, set right where a person said so. */
    public function trace(): Trace
    {
        $trace = $this->recorded();
        foreach ($this->repairsMade() as $repair) {
            $trace = $repair->applyTo($trace);
        }

        return $trace;
    }

    public function constantErrors(): ?ConstantErrors
    {
        return $this->constant_errors === null
            ? null
            : ConstantErrors::stated($this->deviceClass(), $this->constant_errors);
    }

    private function recorded(): Trace
    {
        $channels = [];
        foreach ($this->channels as $channel) {
            $channels[$channel->name] = $channel->read();
        }

        return new Trace(
            $this->deviceClass(),
            $this->rate_hz,
            $channels,
            $this->stance,
            $this->mass_kg,
            $this->t0,
            $this->clock_jitter_s,
            $this->constantErrors(),
        );
    }

    public function flight(): ?BallFlight
    {
        return $this->outcome === null ? null : BallFlight::fromArray($this->outcome);
    }

    /** What is known of it beside what was recorded, as files carry it. */
    public function swingFacts(): SwingFacts
    {
        return new SwingFacts(
            $this->shape,
            SwingSize::tryFrom((string) $this->size),
            $this->loft_deg,
            $this->effort_pct,
            $this->has_ball,
            $this->is_cold,
            $this->series,
            $this->place,
            $this->flight(),
        );
    }

    /** The clock of the body points, told at their first frame. */
    public function pointsClock(): Clock
    {
        return new Clock($this->points_offset_s, $this->points_drift_ppm);
    }

    public function coreMotion(): ?CoreMotion
    {
        return $this->motion?->toCore($this->pointsClock());
    }

    /**
     * The mark that counts at each station: a person's before a file's before the program's.
     *
     * @return Collection<string, StationMark>
     */
    public function effectiveStations(): Collection
    {
        return $this->stations
            ->sortBy(static fn (StationMark $m): int => $m->source->rank())
            ->keyBy('code')
            ->sortBy('t_s');
    }

    public function stationTimes(): StationTimes
    {
        $times = $this->effectiveStations()->map(static fn (StationMark $m): CoreStationTime => $m->toCore())->all();

        return StationTimes::fromTimes($times);
    }

    public function evidence(?Norms $norms = null): Evidence
    {
        $views = $this->views->map(fn (Motion $m): CoreMotion => $m->toCore($this->pointsClock()))->all();

        return new Evidence(
            $this->stationTimes(),
            $this->trace(),
            new Views(...array_values($views)),
            $this->stance,
            $norms,
        );
    }

    /** What its verdicts rest on under any codebook, of what was measured; null where it is not measured in full. */
    public function basis(): ?SwingBasis
    {
        return $this->measured?->held === null ? null : new SwingBasis(
            $this->measured->measured(),
            ShownJson::read($this->measured->held),
            $this->stationTimes(),
            array_map(static fn (QualityNote $n): QualityFinding => $n->finding, $this->measured->notes()),
        );
    }

    /** What it is called on pages of who may see whose it is. */
    public function called(): string
    {
        return "{$this->golfer->pseudonym}, $this->club";
    }
}
