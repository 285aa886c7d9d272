<?php

declare(strict_types=1);

namespace App\Panel;

use App\Models\Casts\Cell;
use App\Models\DrillJudging;
use App\Models\DrillQuestion;
use App\Models\DrillScore;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use Core\Codebook\Codebook;
use Core\Codebook\Limit;
use Core\Codebook\LimitSeverity;
use Core\Consensus\DrillConsensus;
use Core\Reading\Stage;
use Core\Reading\Stop;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** The judging of drills by a panel: what is asked, of whom, and what was said. */
final class Judgings
{
    public static function of(Sitting $panel): ?DrillJudging
    {
        return DrillJudging::query()->where('sitting_id', $panel->id)->first();
    }

    /**
     * What would be asked of a panel: drills that somebody chose, and those that load what a golfer is to spare.
     *
     * @return list<array{case_id: int, drill: string, refused: bool}>
     */
    public static function inQuestion(Sitting $panel, Codebook $codebook): array
    {
        $chosen = [];
        $rows = self::handedIn($panel)->whereNotNull('drill')->with('case')->get();
        foreach ($rows as $reading) {
            $chosen[$reading->case->case_id][(string) $reading->drill] = true;
        }
        $out = [];
        $places = $panel->cases()
            ->where('occasion', 1)
            ->whereNull('withdrawn_at')
            ->with('swings.recording.golfer.limitsInForce')
            ->orderBy('id')
            ->get();
        foreach ($places as $place) {
            $limits = self::limits($place);
            foreach ($codebook->drills() as $drill) {
                $against = array_filter($limits, static fn (Limit $l): bool => $drill->plan?->loads($l) === true);
                if ($against !== [] || isset($chosen[$place->case_id][$drill->key])) {
                    $out[] = [
                        'case_id' => $place->case_id,
                        'drill' => $drill->key,
                        'refused' => array_filter(
                            $against,
                            static fn (Limit $l): bool => $l->severity === LimitSeverity::NotCleared,
                        ) !== [],
                    ];
                }
            }
        }

        return $out;
    }

    /** @return list<Limit> what a case's golfer is to spare today, but for what a professional has cleared */
    public static function limits(SittingCase $place): array
    {
        $out = [];
        $place->loadMissing('swings.recording.golfer.limitsInForce');
        foreach ($place->swings->first()?->recording->golfer->limitsInForce ?? [] as $limit) {
            if (! $limit->isClearedNow()) {
                $out[] = $limit->toCore();
            }
        }

        return $out;
    }

    /**
     * Who judges: whoever handed a sheet in, but for those who lead and so see what everybody said.
     *
     * @return Collection<int, User>
     */
    public static function members(Sitting $panel): Collection
    {
        return User::query()
            ->whereIn('id', self::handedIn($panel)->select('user_id'))
            ->orderBy('id')
            ->get()
            ->reject(static fn (User $u): bool => $u->isHeadCoach())
            ->values();
    }

    /** @return array<int, list<DrillQuestion>> what is asked of a member, by case that the member read */
    public static function questions(DrillJudging $judging, User $user): array
    {
        if ($user->isHeadCoach()) {
            return [];
        }
        $out = [];
        $cases = SittingCase::query()
            ->whereIn('id', self::handedIn($judging->panel())->where('user_id', $user->id)->select('sitting_case_id'))
            ->whereNull('withdrawn_at')
            ->select('case_id');
        foreach ($judging->questions()->whereIn('case_id', $cases)->get() as $question) {
            $out[$question->case_id][] = $question;
        }

        return $out;
    }

    /** @return array<int, true> questions of which a member has said something */
    public static function answered(DrillJudging $judging, User $user): array
    {
        $ids = DrillScore::query()
            ->where('user_id', $user->id)
            ->whereIn('drill_question_id', $judging->questions()->reorder()->select('id'))
            ->distinct()
            ->pluck('drill_question_id')
            ->map(static fn (mixed $id): int => Cell::int($id));

        return array_fill_keys($ids->all(), true);
    }

    /**
     * What a panel says drills would do, once the judging is over.
     *
     * @return array<int, array<string, array<string, DrillConsensus>>> by case, drill and rung
     */
    public static function said(Sitting $panel): array
    {
        $judging = self::of($panel);
        if ($judging === null || $judging->isOpen()) {
            return [];
        }
        $out = [];
        foreach ($judging->questions()->with('scores')->get() as $question) {
            foreach (Stop::cases() as $rung) {
                $scores = array_values($question->scores->where('rung', $rung)->map(
                    static fn (DrillScore $s) => $s->toCore(),
                )->all());
                if ($scores !== [] || $question->refused) {
                    $out[$question->case_id][$question->drill][$rung->value] =
                        DrillConsensus::of($scores, $question->refused);
                }
            }
        }

        return $out;
    }

    /** What was said, as text from which a key made of it knows whether it still stands; empty while it is open. */
    public static function stamp(Sitting $panel): string
    {
        $judging = self::of($panel);
        if ($judging === null || $judging->isOpen()) {
            return '';
        }

        return Cell::text(DB::table('drill_questions')
            ->leftJoin('drill_scores', 'drill_scores.drill_question_id', '=', 'drill_questions.id')
            ->where('drill_judging_id', $judging->id)
            ->selectRaw("coalesce(string_agg(concat(case_id, ' ', drill, ' ', refused, ' ', user_id, ' ', rung, ' ',
                score, ' ', harm), ',' order by drill_questions.id, user_id, rung), '-') as said")
            ->value('said'));
    }

    /** @return Builder<Reading> */
    private static function handedIn(Sitting $panel): Builder
    {
        return Reading::query()
            ->where('stage', Stage::Blind)
            ->whereNotNull('handed_in_at')
            ->whereIn('sitting_case_id', $panel->cases()->where('occasion', 1)->select('id'));
    }
}
