<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Exceptions\ActionException;
use App\Models\DrillJudging;
use App\Models\DrillQuestion;
use App\Models\DrillScore;
use App\Models\User;
use App\Panel\Judgings;
use Core\Consensus\DrillScore as CoreDrillScore;
use Illuminate\Support\Facades\DB;

/** What a member says of one drill for one case, on each rung; said again it takes the place of what was said. */
final readonly class ScoreDrill
{
    /**
     * @param  array<string, CoreDrillScore>  $scores  by rung; of what is left out nothing is said
     *
     * @throws ActionException
     */
    public function __invoke(DrillJudging $judging, User $by, int $case, string $drill, array $scores): void
    {
        if ($scores === []) {
            throw ActionException::because('refusals.panel.judging-empty');
        }
        DB::transaction(static function () use ($judging, $by, $case, $drill, $scores): void {
            $judging = DrillJudging::query()->sharedLock()->findOrFail($judging->id);
            if (! $judging->isOpen()) {
                throw ActionException::because('refusals.panel.judging-over', status: ActionException::LOCKED);
            }
            $questions = array_filter(
                Judgings::questions($judging, $by)[$case] ?? [],
                static fn (DrillQuestion $q): bool => $q->drill === $drill,
            );
            $question = reset($questions);
            if ($question === false) {
                throw ActionException::because('refusals.panel.following-not-asked');
            }
            // One by one in a fixed order: the same saved twice at once waits for the other.
            ksort($scores);
            foreach ($scores as $rung => $score) {
                DrillScore::query()->upsert([[
                    'drill_question_id' => $question->id,
                    'user_id' => $by->id,
                    'rung' => $rung,
                    'score' => $score->score,
                    'harm' => $score->harm?->value,
                    'scored_at' => now(),
                ]], ['drill_question_id', 'user_id', 'rung'], ['score', 'harm', 'scored_at']);
            }
            DrillScore::query()
                ->where('drill_question_id', $question->id)
                ->where('user_id', $by->id)
                ->whereNotIn('rung', array_keys($scores))
                ->delete();
        });
    }
}
