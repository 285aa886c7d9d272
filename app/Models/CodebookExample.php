<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A recording that stands in the codebook beside a fault: one that shows it, or one that is taken for it and does not.
 *
 * @property int $id
 * @property string $public_id
 * @property string $fault
 * @property int $recording_id
 * @property bool $shows  false: a counter-example
 * @property string $note
 * @property Recording $recording
 */
final class CodebookExample extends Row
{
    use HasUlids;

    protected $fillable = ['fault', 'recording_id', 'shows', 'note', 'added_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['shows' => 'boolean'];
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

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }
}
