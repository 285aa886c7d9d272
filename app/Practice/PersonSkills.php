<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Training\Answer;
use Core\Training\Learner;
use Core\Training\Mode;
use Core\Training\Progress;
use Core\Training\Question;
use Core\Training\Skill;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What one person knows: of every fault, from the calls of published rounds and from practice; of any other skill from
 * practice alone.
 */
final readonly class PersonSkills
{
    private const DAY_S = 86_400.0;

    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /** @return array<string, Skill> by fault */
    public function of(User $user): array
    {
        return self::learnt($this->answers($user, $user), $this->codebooks->current()->keys());
    }

    /** @return array<string, Progress> by fault, as it stood over so many weeks */
    public function progress(User $user, User $asking, int $weeks, int $step): array
    {
        return Progress::of(
            $this->answers($user, $asking),
            $this->codebooks->current()->keys(),
            Carbon::now()->getTimestamp() / self::DAY_S,
            $weeks,
            $step,
        );
    }

    /**
     * @return list<Answer> what rounds and practice tell of faults, in order; of rounds only what may be told the asker
     */
    private function answers(User $user, User $asking): array
    {
        $answers = [
            ...ScoredCalls::of($user, $this->onlookers->of($asking)->hidden()),
            ...self::practisedByAll([$user->id])[$user->id] ?? [],
        ];
        usort($answers, static fn (Answer $a, Answer $b): int => $a->day <=> $b->day);

        return $answers;
    }

    /** What faults a person practised between two moments, a row an answer. */
    public static function faultsPractised(User $user, ?Carbon $from, ?Carbon $to): Builder
    {
        $between = static fn (): Builder => self::answered([$user->id])
            ->when($from, static fn (Builder $q, Carbon $at) => $q->where('answered_at', '>=', $at))
            ->when($to, static fn (Builder $q, Carbon $at) => $q->where('answered_at', '<', $at));

        return $between()->where('practice_answers.mode', Mode::Fault)->selectRaw('skill as fault')->unionAll(
            $between()
                ->join('practice_calls', 'practice_calls.practice_answer_id', '=', 'practice_answers.id')
                ->where('asks', 'fault')
                ->selectRaw('practice_calls.fault'),
        );
    }

    /**
     * @param  list<Question>  $questions  that could be asked, of any kind
     * @return array<string, Skill> by skill
     */
    public function forMode(User $user, Mode $mode, array $questions): array
    {
        return $mode === Mode::Fault ? $this->of($user) : self::learnt(
            self::practised($user, $mode),
            array_values(array_unique(array_map(static fn (Question $q): string => $q->fault, $questions))),
        );
    }

    /**
     * Answers about faults, of several people: one by one, and of cases that were asked whole.
     *
     * @param  list<int>  $users
     * @return array<int, list<Answer>> by person
     */
    public static function practisedByAll(array $users): array
    {
        $one = self::answered($users)
            ->where('practice_answers.mode', Mode::Fault)
            ->selectRaw('user_id, skill as fault, practice_answers."right", difficulty,
                extract(epoch from answered_at) as at, practice_answers.id as turn');
        $whole = self::answered($users)
            ->join('practice_calls', 'practice_calls.practice_answer_id', '=', 'practice_answers.id')
            ->where('asks', 'fault')
            ->selectRaw('user_id, practice_calls.fault, practice_calls."right", 0 as difficulty,
                extract(epoch from answered_at) as at, practice_answers.id as turn');
        $out = [];
        foreach (DB::query()->fromSub($one->unionAll($whole), 'said')->orderBy('at')->orderBy('turn')->get() as $row) {
            $out[Cell::int($row->user_id)][] = new Answer(
                Cell::text($row->fault),
                (bool) $row->right,
                Cell::float($row->at) / self::DAY_S,
                Cell::float($row->difficulty),
            );
        }

        return $out;
    }

    /** @param  list<int>  $users */
    private static function answered(array $users): Builder
    {
        return DB::table('practice_answers')
            ->join('practice_sittings', 'practice_sittings.id', '=', 'practice_answers.practice_sitting_id')
            ->whereIn('practice_sittings.user_id', $users)
            ->whereNotNull('answered_at');
    }

    /** @return list<Answer> */
    private static function practised(User $user, Mode $mode): array
    {
        return array_values(PracticeAnswer::query()
            ->whereHas('sitting', static fn ($q) => $q->where('user_id', $user->id))
            ->where('mode', $mode)
            ->whereNotNull('answered_at')
            ->orderBy('answered_at')
            ->orderBy('id')
            ->get()
            ->map(static fn (PracticeAnswer $answer): Answer => new Answer(
                $answer->skill,
                $answer->right === true,
                ($answer->answered_at?->getTimestamp() ?? 0) / self::DAY_S,
                $answer->difficulty,
            ))
            ->all());
    }

    /**
     * @param  list<Answer>  $answers
     * @param  list<string>  $skills
     * @return array<string, Skill>
     */
    private static function learnt(array $answers, array $skills): array
    {
        usort($answers, static fn (Answer $a, Answer $b): int => $a->day <=> $b->day);

        return Learner::skills($answers, $skills, Carbon::now()->getTimestamp() / self::DAY_S);
    }
}
