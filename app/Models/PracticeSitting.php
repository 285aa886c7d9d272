<?php

declare(strict_types=1);

namespace App\Models;

use Core\Training\Mode;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One person's short set of questions, asked one after the other; nobody else's.
 *
 * @property int $id
 * @property string $public_id
 * @property int $user_id
 * @property Mode $mode
 * @property ?string $fault  the only one asked about; null: chosen for the person
 * @property int $questions
 * @property ?Carbon $ended_at
 * @property Carbon $created_at
 */
final class PracticeSitting extends Row
{
    use HasUlids;

    protected $fillable = ['user_id', 'mode', 'fault', 'questions', 'ended_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['ended_at' => 'datetime', 'mode' => Mode::class];
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

    /** @return HasMany<PracticeAnswer, $this> in the order in which they were asked */
    public function answers(): HasMany
    {
        return $this->hasMany(PracticeAnswer::class)->orderBy('place');
    }
}
