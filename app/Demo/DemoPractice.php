<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Enums\GoalKind;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\AskContrast;
use App\Practice\Actions\BeginPractice;
use App\Practice\Actions\MakeContrast;
use App\Practice\Actions\SetGoal;
use App\Practice\Modes;
use App\Practice\ToTheFrame;
use App\Practice\WholeCase;
use App\Sight\Onlookers;
use App\Works\Progress;
use Core\Chance\Chance;
use Core\Codebook\StandardLenses;
use Core\Motion\Handedness;
use Core\Sight\Role;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet;
use Core\Trace\DeviceClass;
use Core\Training\Mode;
use Illuminate\Support\Carbon;

/**
 * What some of the Fernhollow staff practised over the winter: a sitting a week, a little better each time; on
 * simulated swings alone before a round was published.
 */
final readonly class DemoPractice
{
    private const WHO = ['tam', 'kit', 'vesna'];

    private const WEEKS = 12;

    private const QUESTIONS = 5;

    /** Beside whether a fault is there, in turn. */
    private const KINDS = [
        Mode::Alike, Mode::Moment, Mode::Seen, Mode::Advice, Mode::Artefact, Mode::Speed, Mode::Whole,
    ];

    /** Contrast sets that stand ready: kind, fault, what it is taken for, what goes wrong, on what. */
    private const SETS = [
        [ContrastKind::Fault, 'hang-back', null, null, DeviceClass::DualPlate],
        [ContrastKind::Alike, 'late-recentre', 'early-lunge', null, DeviceClass::Mat],
        [ContrastKind::Artefact, 'jump-off-trail', null, 'foot-off', DeviceClass::DualPlate],
        [ContrastKind::Artefact, 'spin-out', null, 'slipped-and-back', DeviceClass::DualPlate],
        [ContrastKind::Artefact, 'no-load', null, 'shares-exchanged', DeviceClass::Mat],
        [ContrastKind::Speed, 'late-push', null, null, DeviceClass::DualPlate],
    ];

    public function __construct(
        private BeginPractice $begin,
        private AnswerQuestion $answer,
        private Onlookers $onlookers,
        private Modes $modes,
        private AskContrast $contrast,
        private MakeContrast $make,
        private SetGoal $goal,
    ) {
    }

    /** What stands ready before anybody begins. */
    public function prepare(Carbon $day): void
    {
        Carbon::setTestNow($day->setTime(18, 0));
        $head = User::query()->where('role', Role::HeadCoach)->orderBy('id')->firstOrFail();
        foreach (self::SETS as $body => [$kind, $fault, $other, $mishap, $device]) {
            $set = $this->contrast->written(new ContrastSet(
                $kind, $fault, $other, $mishap, $device, Handedness::Right, StandardLenses::DEFAULT, $body,
            ), $head);
            $this->make->carryOut($set, Progress::untold());
        }
    }

    /** What some are to have done by when: one goal under way, one late, one that a person set alone. */
    public function goals(Carbon $today): void
    {
        $head = User::query()->where('role', Role::HeadCoach)->orderBy('id')->firstOrFail();
        foreach ([
            ['tam', GoalKind::Practise, 'sway', 20, '', 24, -9, $head],
            ['kit', GoalKind::Test, null, 1, '', 18, 3, $head],
            ['vesna', GoalKind::FollowUp, null, 1, '', 20, -10, null],
            ['vesna', GoalKind::Words, null, 1, 'watch ten finishes of good players in slow motion', 6, -6, null],
        ] as [$who, $kind, $fault, $amount, $words, $ago, $late, $by]) {
            $user = User::query()->where('email', "$who@fernhollow.example")->firstOrFail();
            Carbon::setTestNow($today->copy()->subDays($ago)->setTime(9, 30));
            ($this->goal)($user, [
                'kind' => $kind, 'fault' => $fault, 'amount' => $amount, 'words' => $words,
                'due_on' => $today->copy()->subDays($late)->toDateString(),
            ], $by ?? $user);
        }
    }

    /** The weeks from this one on, of twelve. */
    public function weeks(Carbon $day, int $from, int $until): void
    {
        foreach (self::WHO as $who) {
            $user = User::query()->where('email', "$who@fernhollow.example")->firstOrFail();
            $chance = new Chance("practice $who $from");
            for ($week = $from; $week < min($until, self::WEEKS); $week++) {
                // Once the same for all, every other week another kind in turn.
                $kinds = $from === 0 || $week % 2 === 0
                    ? [Mode::Fault]
                    : [Mode::Fault, self::KINDS[(intdiv($week, 2) + $user->id) % count(self::KINDS)]];
                foreach ($kinds as $evening => $mode) {
                    $this->practise(
                        $user,
                        $mode,
                        $day->copy()->addDays(7 * ($week - $from) + 2 * $evening),
                        $chance,
                        0.5 + 0.035 * $week,
                    );
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
            $at = $asked->recorded()->effectiveStations()->get($asked->skill)->t_s ?? 1.0;

            return sprintf(
                '%.4F',
                $at + $chance->normal(0.0, (1.3 - $right) * ToTheFrame::WITHIN[$asked->skill] / 1000.0),
            );
        }
        if ($mode instanceof WholeCase) {
            return self::whole($mode, $asked, $chance, $right);
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

    private static function whole(WholeCase $mode, PracticeAnswer $asked, Chance $chance, float $right): string
    {
        $options = $mode->options($asked);
        $letters = str_repeat('P', count($mode->rows($asked)));
        $truth = $mode->calls($asked, $letters.($options === [] ? '' : '|0'));
        $said = '';
        foreach (array_slice($truth, 0, strlen($letters)) as $call) {
            $present = ($call['told'] === 'present') === $chance->uniform() < $right + 0.1;
            $said .= $present ? 'P' : 'A';
        }

        return $options === [] ? $said : "$said|".$chance->between(0, count($options) - 1);
    }
}
