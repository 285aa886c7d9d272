<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use App\Models\Casts\PackedFloats;
use Core\Film\FilmFacts;
use Core\Motion\Clock;
use Core\Motion\View;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * One view of a swing as filmed: the original as it came, and a stream of constant rate made from it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $recording_id
 * @property string $view
 * @property string $name
 * @property int $bytes
 * @property int $received
 * @property int $slowed  how many times slower than life the file plays
 * @property ?string $container
 * @property ?string $checksum  of the original, SHA-256
 * @property string $state
 * @property float $progress
 * @property ?string $message
 * @property int $attempts
 * @property ?Carbon $beat_at
 * @property ?array<string, mixed> $facts
 * @property ?float $rate_hz
 * @property ?int $frames
 * @property ?int $width
 * @property ?int $height
 * @property list<float> $taken  when the picture of each frame was taken, s from the first
 * @property array<string, int> $stills  frame by station code
 * @property float $offset_s  where the first frame stands by the recording's clock
 * @property float $drift_ppm
 * @property ?float $clock_uncertainty_s
 * @property ?string $clock_by
 * @property list<array{film: float, trace: float, code: ?string, u: float}> $clock_events
 * @property Recording $recording
 * @property ?float $camera_height_cm  of the lens above the ground
 * @property ?float $camera_tilt_deg  downward is positive; level is nought
 * @property Carbon $created_at
 */
final class Film extends Row
{
    protected $table = 'films';

    protected $fillable = [
        'public_id',
        'recording_id',
        'view',
        'name',
        'camera_height_cm',
        'camera_tilt_deg',
        'bytes',
        'received',
        'slowed',
        'container',
        'checksum',
        'state',
        'progress',
        'message',
        'attempts',
        'beat_at',
        'facts',
        'rate_hz',
        'frames',
        'width',
        'height',
        'taken',
        'stills',
        'offset_s',
        'drift_ppm',
        'clock_uncertainty_s',
        'clock_by',
        'clock_events',
    ];

    protected $attributes = [
        'state' => 'arriving',
        'received' => 0,
        'slowed' => 1,
        'progress' => 0,
        'attempts' => 0,
        'stills' => '{}',
        'clock_events' => '[]',
        'offset_s' => 0.0,
        'drift_ppm' => 0.0,
    ];

    protected static function booted(): void
    {
        self::creating(static function (Film $film): void {
            $film->public_id ??= Str::lower(Str::random(26));
        });
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'bytes' => 'integer',
            'received' => 'integer',
            'progress' => 'float',
            'beat_at' => 'datetime',
            'facts' => 'array',
            'camera_height_cm' => 'float',
            'camera_tilt_deg' => 'float',
            'rate_hz' => 'float',
            'taken' => PackedFloats::class,
            'stills' => 'array',
            'offset_s' => 'float',
            'drift_ppm' => 'float',
            'clock_uncertainty_s' => 'float',
            'clock_events' => 'array',
        ];
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }

    public function isReady(): bool
    {
        return $this->state === 'ready';
    }

    public function coreView(): View
    {
        return View::from($this->view);
    }

    /** Where a part of the film is kept on the films disk. */
    public function path(string $part): string
    {
        return "{$this->public_id}/$part";
    }

    /** Its own clock, which is nought at its first frame. */
    public function clock(): Clock
    {
        return new Clock($this->offset_s, $this->drift_ppm);
    }

    /** What the file said of itself, in a line. */
    public function describe(): string
    {
        $f = $this->facts ?? [];

        return (string) __('films.facts', [
            'codec' => strtoupper(Cell::text($f['codec'] ?? 'film')),
            'width' => (int) $this->width,
            'height' => (int) $this->height,
            'rate' => rtrim(rtrim(number_format((float) $this->rate_hz, 2), '0'), '.'),
            'uneven' => ($f['uneven'] ?? false) === true ? (string) __('films.uneven') : '',
            'turned' => ($f['rotation'] ?? 0) !== 0 ? (string) __('films.turned') : '',
        ]);
    }

    /** Why it is not to be had, or not yet, in the words of now. */
    public function says(): ?string
    {
        return $this->message === null ? null : Refusal::kept($this->message)->sentence();
    }

    /** @return array<string, mixed> */
    public static function factsOf(FilmFacts $facts): array
    {
        return [
            'codec' => $facts->codec,
            'width' => $facts->width,
            'height' => $facts->height,
            'rotation' => $facts->rotation,
            'pictures' => count($facts->times),
            'duration_s' => round($facts->durationS(), 4),
            'uneven' => $facts->isUneven(),
        ];
    }
}
