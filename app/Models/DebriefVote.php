<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\VoteStage;

/**
 * A vote of somebody who cannot be named.
 *
 * @property int $id
 * @property int $debrief_question_id
 * @property VoteStage $stage
 * @property string $voter
 * @property string $answer
 */
final class DebriefVote extends Row
{
    public $timestamps = false;

    protected $fillable = ['debrief_question_id', 'stage', 'voter', 'answer'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['stage' => VoteStage::class];
    }
}
