<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\VoteKind;
use App\Models\Enums\VoteStage;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What a room is asked before and after it has talked.
 *
 * @property int $id
 * @property int $debrief_case_id
 * @property VoteKind $kind
 * @property string $fault  of whose presence it is asked; empty otherwise
 * @property list<string> $options
 * @property list<string>|null $answers  what the key says; null where it says nothing
 * @property VoteStage $stage
 * @property Carbon $asked_at
 * @property \Illuminate\Database\Eloquent\Collection<int, DebriefVote> $votes
 */
final class DebriefQuestion extends Row
{
    public $timestamps = false;

    protected $fillable = ['debrief_case_id', 'kind', 'fault', 'options', 'answers', 'stage', 'asked_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => VoteKind::class,
            'options' => 'array',
            'answers' => 'array',
            'stage' => VoteStage::class,
            'asked_at' => 'datetime',
        ];
    }

    /** @return HasMany<DebriefVote, $this> */
    public function votes(): HasMany
    {
        return $this->hasMany(DebriefVote::class);
    }
}
