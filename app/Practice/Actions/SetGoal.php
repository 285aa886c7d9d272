<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\GoalKind;
use App\Models\TrainingGoal;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Goals: set for oneself, or by the head coach for somebody; dropped by who set them; ticked where nothing counts them.
 */
final readonly class SetGoal
{
    private const MOST = 40;

    /**
     * @param  array{kind: GoalKind, fault: ?string, amount: int, words: string, due_on: string}  $what
     *
     * @throws ActionException where so many stand already, or the person is not here
     */
    public function __invoke(User $for, array $what, User $by): TrainingGoal
    {
        return DB::transaction(static function () use ($for, $what, $by): TrainingGoal {
            $for = User::query()->lockForUpdate()->findOrFail($for->id);
            $says = match (true) {
                ! $for->isActive() => 'not-here',
                TrainingGoal::query()
                    ->standing()
                    ->where('user_id', $for->id)
                    ->where('due_on', '>=', now()->toDateString())
                    ->count() >= self::MOST => 'too-many',
                default => null,
            };
            if ($says !== null) {
                throw ActionException::because("refusals.plans.$says", ['name' => $for->name, 'most' => self::MOST]);
            }

            return TrainingGoal::query()->create(['user_id' => $for->id, 'set_by' => $by->id, ...$what]);
        });
    }

    public function drop(TrainingGoal $goal): void
    {
        if ($goal->done_at === null) {
            $goal->update(['dropped_at' => $goal->dropped_at ?? now()]);
        }
    }

    /** @throws ActionException where it is counted, and not said */
    public function tick(TrainingGoal $goal): void
    {
        if ($goal->kind !== GoalKind::Words) {
            throw ActionException::because('refusals.plans.counted');
        }
        $goal->update(['done_at' => $goal->done_at ?? now()]);
    }
}
