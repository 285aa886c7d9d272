<?php

declare(strict_types=1);

namespace App\Models;

use Core\Consensus\LiesIn;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a debrief decided, who sees to it, and by when.
 *
 * @property int $id
 * @property int $debrief_session_id
 * @property ?int $debrief_case_id
 * @property string $fault
 * @property LiesIn $lies
 * @property string $what
 * @property int $owner_id
 * @property ?Carbon $due_on
 * @property Carbon $decided_at
 * @property ?Carbon $done_at
 * @property ?int $done_by
 * @property string $outcome
 * @property User $owner
 * @property DebriefSession $session
 * @property ?DebriefCase $case
 */
final class DebriefDecision extends Row
{
    public $timestamps = false;

    protected $fillable = [
        'debrief_session_id', 'debrief_case_id', 'fault', 'lies', 'what', 'owner_id', 'due_on', 'decided_at', 'done_at',
        'done_by', 'outcome',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['lies' => LiesIn::class, 'due_on' => 'date', 'decided_at' => 'datetime', 'done_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /** @return BelongsTo<DebriefSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(DebriefSession::class, 'debrief_session_id');
    }

    /** @return BelongsTo<DebriefCase, $this> */
    public function case(): BelongsTo
    {
        return $this->belongsTo(DebriefCase::class, 'debrief_case_id');
    }
}
