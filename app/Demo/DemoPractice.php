<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\PracticeAnswer;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Practice\Modes;
use App\Practice\ToTheFrame;
use App\Sight\Onlookers;
use Core\Chance\Chance;
use Core\Training\Mode;
use Illuminate\Support\Carbon;

/** What some of the Fernhollow staff practised after the spring round: a sitting a week, a little better each time. */
final readonly class DemoPractice
{
    private const WHO = ['tam', 'kit', 'ines', 'hanne', 'vesna'];

    private const WEEKS = 4;

    private const QUESTIONS = 6;

    public function __construct(
        private BeginPractice $begin,
        private AnswerQuestion $answer,
        private Onlookers $onlookers,
        private Modes $modes,
    ) {
    }

    public function __invoke(Carbon $day): void
    {
        foreach (self::WHO as $who) {
            $user = User::query()->where('email', "$who@fernhollow.example")->firstOrFail();
            $chance = new Chance("practice $who");
            for ($week = 0; $week < self::WEEKS; $week++) {
                // Once the same for all, then of every kind in turn.
                $kinds = [Mode::Fault, Mode::cases()[1 + ($week + $user->id) % 4]];
                foreach ($kinds as $evening => $mode) {
                    $this->practise($user, $mode, $day->copy()->addDays(7 * $week + 2 * $evening), $chance, 0.55 + 0.1 * $week);
                }
            }
        }
    }

    private function practise(User $user, Mode $mode, Carbon $day, Chance $chance, float $right): void
    {
        Carbon::setTestNow($day->setTime(19, 5));
        $this->onlookers->forget();
        $sitting = ($this->begin)($user, null, self::QUESTIONS, $mode);
        for ($place = 1; $place <= self::QUESTIONS; $place++) {
            Carbon::setTestNow($day->setTime(19, 5 + $place));
            $asked = $sitting->answers()->where('place', $place)->with(['entry', 'recording.stations'])->first();
            if ($asked !== null) {
                ($this->answer)($sitting, $place, $this->said($asked, $chance, $right), $user);
            }
        }
    }

    private function said(PracticeAnswer $asked, Chance $chance, float $right): string
    {
        $mode = $this->modes->of($asked->mode);
        if ($asked->mode === Mode::Moment) {
            $at = $asked->recording->effectiveStations()->get($asked->skill)->t_s ?? 1.0;

            return sprintf('%.4F', $at + $chance->normal(0.0, (1.3 - $right) * ToTheFrame::WITHIN[$asked->skill] / 1000.0));
        }
        $knows = $chance->uniform() < $right;
        $options = $chance->shuffled(array_column($mode->options($asked), 'value'));
        foreach ($options as $said) {
            if ($mode->judged($asked, $said)['right'] === $knows) {
                return $said;
            }
        }

        return $options[0];
    }
}
