<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A swing the program saw in a live recording, kept whole until it is put on the Shelf or left.
 *
 * @property int $id
 * @property string $public_id
 * @property float $from_s
 * @property float $to_s
 * @property float $impact_s
 * @property string $bundle
 * @property ?int $recording_id
 * @property ?Carbon $left_at
 * @property Carbon $created_at
 * @property CaptureSession $session
 * @property ?Recording $recording
 */
final class CaughtSwing extends Row
{
    use HasUlids;

    protected $fillable = ['capture_session_id', 'from_s', 'to_s', 'impact_s', 'bundle', 'recording_id', 'left_at'];

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
        return ['from_s' => 'float', 'to_s' => 'float', 'impact_s' => 'float', 'left_at' => 'datetime'];
    }

    /** @return BelongsTo<CaptureSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(CaptureSession::class, 'capture_session_id');
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }
}
