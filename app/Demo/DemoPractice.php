<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\PracticeAnswer;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Sight\Onlookers;
use Core\Chance\Chance;
use Core\Reading\Presence;
use Illuminate\Support\Carbon;

/** What some of the Fernhollow staff practised after the spring round: a sitting a week, a little better each time. */
final readonly class DemoPractice
{
    private const WHO = ['tam', 'kit', 'ines'];

    private const WEEKS = 3;

    private const QUESTIONS = 6;

    public function __construct(
        private BeginPractice $begin,
        private AnswerQuestion $answer,
        private Onlookers $onlookers,
    ) {
    }

    public function __invoke(Carbon $day): void
    {
        foreach (self::WHO as $who) {
            $user = User::query()->where('email', "$who@fernhollow.example")->firstOrFail();
            $chance = new Chance("practice $who");
            for ($week = 0; $week < self::WEEKS; $week++) {
                Carbon::setTestNow($day->copy()->addDays(7 * $week)->setTime(19, 5));
                $this->onlookers->forget();
                $sitting = ($this->begin)($user, null, self::QUESTIONS);
                for ($place = 1; $place <= self::QUESTIONS; $place++) {
                    Carbon::setTestNow($day->copy()->addDays(7 * $week)->setTime(19, 5 + $place));
                    $asked = $sitting->answers()->where('place', $place)->with('entry')->first();
                    if ($asked !== null) {
                        ($this->answer)($sitting, $place, self::said($asked, $chance, 0.6 + 0.1 * $week), $user);
                    }
                }
            }
        }
    }

    private static function said(PracticeAnswer $asked, Chance $chance, float $right): Presence
    {
        $truth = Presence::from((string) $asked->entry->scoredLabel());
        $other = $truth === Presence::Present ? Presence::Absent : Presence::Present;

        return $chance->uniform() < $right ? $truth : $other;
    }
}
