<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Enums\GoalKind;
use App\Models\TrainingGoal;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/**
 * How far goals have come: counted since they were set from what was done, not from what somebody says of it.
 *
 * @phpstan-type Goal array{id: string, who: string, says: string, done: int, of: int, isDone: bool, late: bool,
 *     due: string, dueOn: string, by: string, own: bool, ticks: bool}
 */
final readonly class Goals
{
    /** So many of what is over are shown. */
    private const OVER = 10;

    /** Of what is done so many days ago nothing more is said. */
    private const PAST_DAYS = 30;

    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return list<Goal> one's own, or everybody's for who leads: what is due first, first; done ones behind */
    public function of(User $asks, ?User $person = null): array
    {
        $goals = TrainingGoal::query()
            ->standing()
            ->when(
                $person !== null || ! $asks->isHeadCoach(),
                static fn ($q) => $q->where('user_id', ($person ?? $asks)->id),
            )
            ->where('due_on', '>=', now()->subDays(self::PAST_DAYS * 6)->toDateString())
            ->with(['user', 'setter'])
            ->orderBy('due_on')
            ->orderBy('id')
            ->limit(200)
            ->get();
        $counts = self::counts($goals);
        $all = array_values(
            $goals->map(fn (TrainingGoal $g): array => $this->row($g, $counts[$g->id] ?? 0, $asks))->all(),
        );
        $open = array_values(array_filter($all, static fn (array $g): bool => ! $g['isDone']));
        $done = array_values(array_filter($all, static fn (array $g): bool => $g['isDone']));

        return [...$open, ...array_slice(array_reverse($done), 0, self::OVER)];
    }

    /**
     * What waits on Today: one's own that are not done; for who leads what is late or due within the week.
     *
     * @return list<Goal>
     */
    public function waiting(User $asks): array
    {
        $soon = now()->timezone(Academy::zone())->addDays(7)->toDateString();

        return array_values(array_filter(
            $this->of($asks),
            static fn (array $g): bool => ! $g['isDone'] && ($g['own'] || $g['late'] || $g['dueOn'] <= $soon),
        ));
    }

    /** @return Goal */
    private function row(TrainingGoal $goal, int $done, User $asks): array
    {
        $isDone = $goal->kind === GoalKind::Words ? $goal->done_at !== null : $done >= $goal->amount;
        $due = $goal->due_on->toDateString();

        return [
            'id' => $goal->public_id,
            'who' => $goal->user->name,
            'says' => $goal->kind === GoalKind::Words ? $goal->words : trans_choice(
                "plans.says.{$goal->kind->value}".($goal->fault === null ? '' : '-fault'),
                $goal->amount,
                [
                    'count' => $goal->amount,
                    'fault' => $this->codebooks->current()->faults[$goal->fault ?? '']->name ?? $goal->fault,
                ],
            ),
            'done' => min($done, $goal->amount),
            'of' => $goal->amount,
            'isDone' => $isDone,
            'late' => ! $isDone && $due < Academy::today(),
            'due' => $goal->due_on->format('j M Y'),
            'dueOn' => $due,
            'by' => $goal->set_by === $goal->user_id ? '' : $goal->setter->name,
            'own' => $goal->user_id === $asks->id,
            'ticks' => $goal->kind === GoalKind::Words && ! $isDone && $goal->user_id === $asks->id,
        ];
    }

    /**
     * @param  Collection<int, TrainingGoal>  $goals
     * @return array<int, int> by goal
     */
    private static function counts(Collection $goals): array
    {
        $out = [];
        foreach ([
            GoalKind::Practise->value => self::practised(...),
            GoalKind::FollowUp->value => self::followedUp(...),
            GoalKind::Test->value => self::tested(...),
        ] as $kind => $count) {
            $of = $goals->where('kind', GoalKind::from($kind))->modelKeys();
            foreach ($of === [] ? [] : $count()->whereIn('training_goals.id', $of)->groupBy('training_goals.id')
                ->selectRaw('training_goals.id, count(*) as n')->get() as $row) {
                $out[Cell::int($row->id)] = Cell::int($row->n);
            }
        }

        return $out;
    }

    private static function practised(): Builder
    {
        return DB::table('training_goals')
            ->join('practice_sittings', 'practice_sittings.user_id', '=', 'training_goals.user_id')
            ->join('practice_answers', static fn (JoinClause $j) => $j
                ->on('practice_answers.practice_sitting_id', '=', 'practice_sittings.id')
                ->on('practice_answers.answered_at', '>=', 'training_goals.created_at'))
            ->where(static fn (Builder $q) => $q
                ->whereNull('training_goals.fault')
                ->orWhereColumn('practice_answers.fault', 'training_goals.fault'));
    }

    private static function followedUp(): Builder
    {
        return DB::table('training_goals')
            ->join('prescriptions', 'prescriptions.prescribed_by', '=', 'training_goals.user_id')
            ->join('follow_ups', static fn (JoinClause $j) => $j
                ->on('follow_ups.prescription_id', '=', 'prescriptions.id')
                ->on('follow_ups.locked_at', '>=', 'training_goals.created_at'));
    }

    private static function tested(): Builder
    {
        return DB::table('training_goals')
            ->join('readiness_tests', static fn (JoinClause $j) => $j
                ->on('readiness_tests.user_id', '=', 'training_goals.user_id')
                ->on('readiness_tests.created_at', '>=', 'training_goals.created_at'))
            ->where('readiness_tests.state', '<>', 'declined');
    }
}
