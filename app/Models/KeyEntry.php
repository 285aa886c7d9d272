<?php

declare(strict_types=1);

namespace App\Models;

use Core\Consensus\Grade;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $key_version_id
 * @property int $recording_id
 * @property string $fault
 * @property string $label
 * @property string $grade
 * @property int $present
 * @property int $absent
 * @property int $cannot_tell
 * @property ?float $severity
 * @property ?string $onset
 * @property string $verdict
 * @property ?float $margin
 * @property string $sentence
 * @property ?string $ruling
 * @property ?string $ruling_reason
 * @property ?Carbon $ruled_at
 * @property KeyVersion $keyVersion
 * @property Recording $recording
 */
final class KeyEntry extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['severity' => 'float', 'margin' => 'float', 'ruled_at' => 'datetime'];
    }

    /** @return BelongsTo<KeyVersion, $this> */
    public function keyVersion(): BelongsTo
    {
        return $this->belongsTo(KeyVersion::class);
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }

    /** The label raters are scored against: the ruling where there is one; null where nobody is scored. */
    public function scoredLabel(): ?string
    {
        $label = $this->ruling ?? $this->label;

        return $label !== 'none' && Grade::from($this->grade)->isScored($this->ruling !== null) ? $label : null;
    }
}
