<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\User;
use App\Practice\Modes;
use App\Practice\OwnConfusions;
use App\Practice\PersonSkills;
use Core\Chance\Chance;
use Core\Format\Json\RemarkJson;
use Core\Training\Mode;
use Core\Training\NextQuestion;
use Core\Training\Question;

/** Puts the next question of a practice sitting, by what helps this person most now. */
final readonly class AskQuestion
{
    public function __construct(
        private Modes $modes,
        private PersonSkills $skills,
        private OwnConfusions $confusions,
    ) {
    }

    /** Whether there was one to ask. */
    public function __invoke(PracticeSitting $sitting, User $user): bool
    {
        $mode = $this->modes->of($sitting->mode);
        $before = $sitting->answers()->with(['entry', 'made:id,spec'])->get();
        $questions = self::fresh($mode->questions($user, $sitting->fault), $before->pluck('topic.id')->all());
        $next = NextQuestion::of(
            $questions,
            $this->skills->forMode($user, $sitting->mode, $questions),
            array_values($before->map(static fn (PracticeAnswer $a): Question => new Question(
                (string) $a->key_entry_id,
                $a->swing(),
                $a->skill,
                $a->entry?->scoredLabel() === 'present' || isset($a->made->spec['faults'][(string) $a->fault]),
            ))->all()),
            $sitting->mode === Mode::Fault ? $this->confusions->of($user) : [],
            new Chance("practice|$sitting->public_id|{$before->count()}"),
        );
        if ($next === null) {
            return false;
        }
        $put = $mode->put($next->question);
        PracticeAnswer::query()->create([
            ...$put,
            'topic' => [...$put['topic'], 'id' => $next->question->id],
            'practice_sitting_id' => $sitting->id,
            'place' => $before->count() + 1,
            'mode' => $sitting->mode,
            'skill' => $next->question->fault,
            'why' => RemarkJson::write($next->why),
            'difficulty' => $next->question->difficulty,
            'asked_at' => now(),
        ]);

        return true;
    }

    /**
     * Nothing is asked twice in a sitting, as long as there is something else.
     *
     * @param  list<Question>  $questions
     * @param  array<array-key, mixed>  $asked  ids
     * @return list<Question>
     */
    private static function fresh(array $questions, array $asked): array
    {
        $fresh = array_values(array_filter(
            $questions,
            static fn (Question $q): bool => ! in_array($q->id, $asked, true),
        ));

        return $fresh === [] ? $questions : $fresh;
    }
}
