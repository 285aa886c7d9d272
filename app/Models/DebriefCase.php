<?php

declare(strict_types=1);

namespace App\Models;

use Core\Sight\Reveal;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A case of a debrief: where it stands in the order, the presenter’s notes, and how much of it has been shown.
 *
 * @property int $id
 * @property int $debrief_session_id
 * @property int $sitting_case_id
 * @property int $position  from 1
 * @property string $notes
 * @property Reveal $revealed
 * @property ?string $topic  the fault that is talked about
 * @property int $swing  from 1
 * @property ?float $moment  s; where the presenter has halted it
 * @property DebriefSession $session
 * @property SittingCase $case
 */
final class DebriefCase extends Row
{
    public $timestamps = false;

    protected $fillable = [
        'debrief_session_id', 'sitting_case_id', 'position', 'notes', 'revealed', 'topic', 'swing', 'moment',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['revealed' => Reveal::class, 'moment' => 'float'];
    }

    /** @return BelongsTo<DebriefSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(DebriefSession::class, 'debrief_session_id');
    }

    /** @return BelongsTo<SittingCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(SittingCase::class, 'sitting_case_id');
    }

    /** @return HasMany<DebriefQuestion, $this> */
    public function questions(): HasMany
    {
        return $this->hasMany(DebriefQuestion::class)->orderBy('id');
    }
}
