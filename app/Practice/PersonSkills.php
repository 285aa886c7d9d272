<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Training\Answer;
use Core\Training\Learner;
use Core\Training\Skill;
use Illuminate\Support\Carbon;

/** What one person knows of every fault, from the calls of published rounds and from practice. */
final readonly class PersonSkills
{
    private const DAY_S = 86_400.0;

    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /** @return array<string, Skill> by fault */
    public function of(User $user): array
    {
        $practised = PracticeAnswer::query()
            ->whereHas('sitting', static fn ($q) => $q->where('user_id', $user->id))
            ->whereNotNull('answered_at')
            ->orderBy('answered_at')
            ->orderBy('id')
            ->get();
        $answers = ScoredCalls::of($user, $this->onlookers->of($user)->hidden());
        foreach ($practised as $answer) {
            $answers[] = new Answer(
                $answer->fault,
                $answer->right === true,
                ($answer->answered_at?->getTimestamp() ?? 0) / self::DAY_S,
                $answer->difficulty,
            );
        }
        usort($answers, static fn (Answer $a, Answer $b): int => $a->day <=> $b->day);

        return Learner::skills($answers, $this->codebooks->current()->keys(), Carbon::now()->getTimestamp() / self::DAY_S);
    }
}
