<?php

declare(strict_types=1);

namespace App\Models;

use Core\Consensus\DrillScore as CoreDrillScore;
use Core\Consensus\Harm;
use Core\Reading\Stop;
use Illuminate\Support\Carbon;

/**
 * How appropriate a member calls a drill that is taken so far.
 *
 * @property int $id
 * @property int $drill_question_id
 * @property int $user_id
 * @property Stop $rung
 * @property int $score
 * @property ?Harm $harm
 * @property Carbon $scored_at
 */
final class DrillScore extends Row
{
    public $timestamps = false;

    protected $fillable = ['drill_question_id', 'user_id', 'rung', 'score', 'harm', 'scored_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['rung' => Stop::class, 'harm' => Harm::class, 'scored_at' => 'datetime'];
    }

    public function toCore(): CoreDrillScore
    {
        return new CoreDrillScore($this->score, $this->harm);
    }
}
