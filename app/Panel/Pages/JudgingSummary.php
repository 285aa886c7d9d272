<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\DrillJudging;
use App\Models\Sitting;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use Core\Reading\Stage;
use Core\Sight\SittingState;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** How a panel judges drills: what may be done now, and how far it has come. */
final readonly class JudgingSummary
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return array{open: ?string, close: ?string, says: string, held: string} */
    public function says(Sitting $panel): array
    {
        $judging = Judgings::of($panel);
        $asked = $judging !== null || $panel->state !== SittingState::Closed || FollowingRounds::of($panel)->exists()
            ? 0
            : count(Judgings::inQuestion($panel, $this->codebooks->of($panel)));

        return [
            'open' => $asked > 0 ? route('judging.open', $panel) : null,
            'close' => $judging?->isOpen() === true ? route('judging.close', $panel) : null,
            'says' => match (true) {
                $judging?->isOpen() === true => self::underWay($panel, $judging),
                $asked > 0 => trans_choice('panel.judging.open-says', $asked, ['count' => $asked]),
                default => '',
            },
            'held' => $judging === null || $judging->isOpen() ? '' : self::held($judging),
        ];
    }

    private static function underWay(Sitting $panel, DrillJudging $judging): string
    {
        $members = Judgings::members($panel);
        $waiting = DB::table('drill_questions as q')
            ->join('sitting_cases as c', static fn (JoinClause $on): JoinClause => $on
                ->on('c.case_id', 'q.case_id')
                ->where('c.sitting_id', $panel->id)
                ->where('c.occasion', 1)
                ->whereNull('c.withdrawn_at'))
            ->join('readings as r', static fn (JoinClause $on): JoinClause => $on
                ->on('r.sitting_case_id', 'c.id')
                ->where('r.stage', Stage::Blind->value)
                ->whereNotNull('r.handed_in_at'))
            ->leftJoin('drill_scores as s', static fn (JoinClause $on): JoinClause => $on
                ->on('s.drill_question_id', 'q.id')
                ->on('s.user_id', 'r.user_id'))
            ->where('q.drill_judging_id', $judging->id)
            ->whereIn('r.user_id', $members->modelKeys())
            ->groupBy('r.user_id')
            ->havingRaw('count(distinct s.drill_question_id) < count(distinct q.id)')
            ->get(['r.user_id']);
        // Of whom nothing is asked nothing is waited for.
        $done = $members->count() - $waiting->count();

        return (string) __('panel.judging.under-way', ['done' => $done, 'of' => $members->count()]);
    }

    private static function held(DrillJudging $judging): string
    {
        $row = DB::table('drill_questions')
            ->leftJoin('drill_scores', 'drill_scores.drill_question_id', '=', 'drill_questions.id')
            ->where('drill_judging_id', $judging->id)
            ->selectRaw('count(distinct drill_questions.id) as drills, count(distinct user_id) as members')
            ->sole();

        return (string) __('panel.judging.held', [
            'drills' => Cell::int($row->drills),
            'members' => Cell::int($row->members),
        ]);
    }
}
