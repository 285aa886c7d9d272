<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\Said;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A verdict on one recording that is another under a draft of the codebook than it was under the one it is based on.
 *
 * @property int $recording_id
 * @property string $lens
 * @property string $fault
 * @property ?Said $was  null: it was no fault
 * @property ?Said $is  null: it is a fault no longer
 * @property ?float $was_margin
 * @property ?float $is_margin
 * @property Recording $recording
 */
final class CodebookFlip extends Row
{
    public $timestamps = false;

    protected $fillable = [
        'codebook_draft_id', 'recording_id', 'lens', 'fault', 'was', 'is', 'was_margin', 'is_margin',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['was' => Said::class, 'is' => Said::class, 'was_margin' => 'float', 'is_margin' => 'float'];
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }
}
