<?php

declare(strict_types=1);

namespace App\Models;

use Core\Consensus\LiesIn;
use Core\Motion\Station;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Illuminate\Support\Carbon;

/**
 * What a member says of one question of a following round.
 *
 * @property int $id
 * @property int $sitting_id  the following round
 * @property int $user_id
 * @property int $case_id
 * @property string $fault
 * @property Presence $was  what the member had said before
 * @property Presence $presence
 * @property ?Severity $severity
 * @property ?Station $onset
 * @property string $reason
 * @property LiesIn $lies
 * @property Carbon $answered_at
 */
final class FollowingAnswer extends Row
{
    public $timestamps = false;

    protected $fillable = [
        'sitting_id',
        'user_id',
        'case_id',
        'fault',
        'was',
        'presence',
        'severity',
        'onset',
        'reason',
        'lies',
        'answered_at',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'was' => Presence::class,
            'presence' => Presence::class,
            'severity' => Severity::class,
            'onset' => Station::class,
            'lies' => LiesIn::class,
            'answered_at' => 'datetime',
        ];
    }

    public function moved(): bool
    {
        return $this->was !== $this->presence;
    }
}
