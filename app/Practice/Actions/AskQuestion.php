<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\User;
use App\Practice\OwnConfusions;
use App\Practice\PersonSkills;
use App\Practice\PracticePool;
use Core\Chance\Chance;
use Core\Format\Json\RemarkJson;
use Core\Training\NextQuestion;
use Core\Training\Question;

/** Puts the next question of a practice sitting, by what helps this person most now. */
final readonly class AskQuestion
{
    public function __construct(private PracticePool $pool,
        private PersonSkills $skills,
        private OwnConfusions $confusions,
    ) {
    }

    /** Whether there was one to ask. */
    public function __invoke(PracticeSitting $sitting, User $user): bool
    {
        $before = $sitting->answers()->with('entry')->get();
        $next = NextQuestion::of(
            $this->pool->of($user, $sitting->fault),
            $this->skills->of($user),
            array_values($before->map(static fn (PracticeAnswer $a): Question => new Question(
                (string) $a->key_entry_id,
                (string) $a->recording_id,
                $a->fault,
                $a->entry->scoredLabel() === 'present',
            ))->all()),
            $this->confusions->of($user),
            new Chance("practice|$sitting->public_id|{$before->count()}"),
        );
        if ($next === null) {
            return false;
        }
        PracticeAnswer::query()->create([
            'practice_sitting_id' => $sitting->id,
            'place' => $before->count() + 1,
            'recording_id' => (int) $next->question->swing,
            'fault' => $next->question->fault,
            'key_entry_id' => (int) $next->question->id,
            'why' => RemarkJson::write($next->why),
            'difficulty' => $next->question->difficulty,
            'asked_at' => now(),
        ]);

        return true;
    }
}
