<?php

declare(strict_types=1);

namespace App\Demo;

use App\Codebook\Codebooks;
use App\Models\Enums\TestState;
use App\Models\ReadinessRule;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Readiness\Actions\AskForTest;
use App\Readiness\Actions\BeginTest;
use App\Readiness\Actions\Decide;
use App\Readiness\Actions\KeepRule;
use App\Readiness\Standings;
use App\Sight\Onlookers;
use Core\Codebook\StandardLenses;
use Core\Reading\Reading as CoreReading;
use Core\Sight\Role;
use Core\Trace\DeviceClass;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\DecisionKind;
use Core\Training\ReadinessRule as CoreRule;
use Illuminate\Support\Carbon;

/**
 * A rule of readiness at Fernhollow and what came of it: two were tested, one is signed off, one suspended, one
 * appeals, one asks to be tested.
 */
final readonly class DemoReadiness
{
    public function __construct(
        private KeepRule $keep,
        private BeginTest $begin,
        private AskForTest $ask,
        private Decide $decide,
        private Codebooks $codebooks,
        private Onlookers $onlookers,
    ) {
    }

    /** @param  \Closure(Reading, User, int): CoreReading  $read  a case as that person sees it, handed in */
    public function __invoke(Carbon $day, \Closure $read): void
    {
        $head = User::query()->where('role', Role::HeadCoach)->orderBy('id')->firstOrFail();
        Carbon::setTestNow($day->copy()->setTime(9, 0));
        $rule = ($this->keep)(
            'Footwork alone, two plates',
            DeviceClass::DualPlate,
            StandardLenses::DEFAULT,
            $this->rule(),
            $head,
        );
        foreach (['dov', 'hanne', 'kit'] as $who) {
            $user = self::person($who);
            Carbon::setTestNow($day->copy()->addDay()->setTime(9, 0));
            $what = $this->tested($user, $rule, $read, $head) ? DecisionKind::SignedOff : DecisionKind::Refused;
            Carbon::setTestNow($day->copy()->addDays(2)->setTime(10, 0));
            ($this->decide)(
                $user,
                $rule,
                $what,
                $what === DecisionKind::SignedOff
                    ? 'Read the reserve as the panel does; talked through two of the cases.'
                    : 'Calls faults where the panel sees none; practises look-alikes first.',
                $head,
                $who === 'hanne' ? 'With a second opinion on every drill for the first month.' : '',
            );
        }
        Carbon::setTestNow($day->copy()->addDays(9)->setTime(10, 0));
        // Each only where it follows from what the test came to.
        foreach ([
            [
                'hanne', DecisionKind::Suspended,
                'Prescribed a drill that the golfer’s ankle speaks against; to be talked over.',
            ],
            [
                'kit', DecisionKind::Appealed,
                'Half of what counted against me I would call the same way again after the debrief.',
            ],
        ] as [$who, $what, $why]) {
            $user = self::person($who);
            if (Standings::ofOne($user, $rule)->may($what)) {
                ($this->decide)($user, $rule, $what, $why, $what->isOwn() ? $user : $head);
            }
        }
        ($this->ask)(self::person('tam'), $rule);
    }

    /** @param  \Closure(Reading, User, int): CoreReading  $read */
    private function tested(User $user, ReadinessRule $rule, \Closure $read, User $head): bool
    {
        $test = ($this->begin)($user, $rule, $head);
        for ($n = 0; $n < 60; $n++) {
            $this->onlookers->forget();
            $reading = Sitting::query()
                ->withoutGlobalScope(Sitting::SHARED)
                ->findOrFail((int) $test->sitting_id)
                ->readings()
                ->whereNull('handed_in_at')
                ->with(['arm', 'case.recording.golfer', 'case.swings', 'case.sitting'])
                ->first();
            if ($reading === null) {
                break;
            }
            Carbon::setTestNow(Carbon::now()->addMinutes(6));
            $read($reading, $user, $n);
        }

        return $test->refresh()->state === TestState::SignedOff;
    }

    private function rule(): CoreRule
    {
        $all = $this->codebooks->current()->keys();

        return new CoreRule([
            new Criterion('All faults', $all, CriterionKind::Sensitivity, 0.5, 0.9),
            new Criterion('All faults', $all, CriterionKind::Specificity, 0.75, 0.95),
        ], [
            BarKind::Cause->value => new Bar(BarKind::Cause, 0.5, 2),
            BarKind::Unsafe->value => new Bar(BarKind::Unsafe, 0.0, 4),
            BarKind::CannotTell->value => new Bar(BarKind::CannotTell, 0.5, 6),
            BarKind::Unsupported->value => new Bar(BarKind::Unsupported, 0.1, 20),
            BarKind::Timing->value => new Bar(BarKind::Timing, 25.0, 8),
            BarKind::Self->value => new Bar(BarKind::Self, 0.8, 20),
            BarKind::Recency->value => new Bar(BarKind::Recency, 120.0, 0),
        ], 12);
    }

    private static function person(string $who): User
    {
        return User::query()->where('email', "$who@fernhollow.example")->firstOrFail();
    }
}
