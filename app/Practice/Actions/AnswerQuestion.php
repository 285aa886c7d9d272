<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Exceptions\ActionException;
use App\Models\Exposure;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\User;
use App\Practice\Modes;
use App\Practice\WholeCase;
use Core\Training\Mode;
use Illuminate\Support\Facades\DB;

/**
 * Takes an answer, once: the truth is shown then, which is noted, and the next question is put. A sitting ends with its
 * last question.
 */
final readonly class AnswerQuestion
{
    public function __construct(private AskQuestion $ask, private Modes $modes)
    {
    }

    /** @throws ActionException where it was answered otherwise before, or what is said is no answer to it */
    public function __invoke(PracticeSitting $sitting, int $place, string $said, User $user): PracticeAnswer
    {
        return DB::transaction(function () use ($sitting, $place, $said, $user): PracticeAnswer {
            $sitting = PracticeSitting::query()->lockForUpdate()->findOrFail($sitting->id);
            $answer = $sitting->answers()
                ->where('place', $place)
                ->with(['entry', 'recording.stations', 'made'])
                ->firstOrFail();
            if ($answer->answered_at !== null) {
                // Sent twice it is the same answer; another one comes too late.
                return $answer->said === $said
                    ? $answer
                    : throw ActionException::because('refusals.practice.answered', [], ActionException::CONFLICT);
            }
            $mode = $this->modes->of($answer->mode);
            $answer->update(['said' => $said, ...$mode->judged($answer, $said), 'answered_at' => now()]);
            if ($mode instanceof WholeCase) {
                $answer->calls()->createMany($mode->calls($answer, $said));
            }
            // What can be seen in what is shown, and when the ball is struck, tells nothing of a key.
            if ($answer->recording_id !== null && ! in_array($answer->mode, [Mode::Seen, Mode::Moment], true)) {
                Exposure::query()->firstOrCreate(
                    [
                        'user_id' => $user->id,
                        'recording_id' => $answer->recording_id,
                        'what' => 'key',
                        'sitting_id' => null,
                    ],
                    ['shown_at' => now()],
                );
            }
            if ($place >= $sitting->questions || ! ($this->ask)($sitting, $user)) {
                $sitting->update(['ended_at' => now()]);
            }

            return $answer;
        });
    }
}
