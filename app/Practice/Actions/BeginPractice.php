<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Exceptions\ActionException;
use App\Models\PracticeSitting;
use App\Models\User;
use Core\Training\Mode;
use Illuminate\Support\Facades\DB;

/** Begins a short set of questions; one that is open goes on, unless another kind was asked for. */
final readonly class BeginPractice
{
    public function __construct(private AskQuestion $ask)
    {
    }

    /**
     * @param  int  $being  how many sets of swings are being made for this person
     *
     * @throws ActionException where there is nothing this person may be asked
     */
    public function __invoke(
        User $user,
        ?string $fault,
        int $questions,
        Mode $mode = Mode::Fault,
        int $being = 0,
    ): PracticeSitting {
        return DB::transaction(function () use ($user, $fault, $questions, $mode, $being): PracticeSitting {
            User::query()->lockForUpdate()->findOrFail($user->id);
            $open = PracticeSitting::query()->where('user_id', $user->id)->whereNull('ended_at')->first();
            if ($open !== null && $open->fault === $fault && $open->mode === $mode) {
                return $open;
            }
            $open?->update(['ended_at' => now()]);
            $sitting = PracticeSitting::query()->create([
                'user_id' => $user->id,
                'mode' => $mode,
                'fault' => $fault,
                'questions' => $questions,
            ]);
            if (! ($this->ask)($sitting, $user)) {
                throw $being > 0
                    ? ActionException::because('refusals.practice.being-made')
                    : ActionException::because('refusals.practice.nothing');
            }

            return $sitting;
        });
    }
}
