<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A drill in question for a case.
 *
 * @property int $id
 * @property int $drill_judging_id
 * @property int $case_id
 * @property string $drill
 * @property bool $refused  whether a limit of the golfer that was not cleared spoke against it when it was asked
 * @property \Illuminate\Database\Eloquent\Collection<int, DrillScore> $scores
 */
final class DrillQuestion extends Row
{
    public $timestamps = false;

    protected $fillable = ['drill_judging_id', 'case_id', 'drill', 'refused'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['refused' => 'boolean'];
    }

    /** @return HasMany<DrillScore, $this> */
    public function scores(): HasMany
    {
        return $this->hasMany(DrillScore::class)->orderBy('id');
    }
}
