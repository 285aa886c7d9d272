<?php

declare(strict_types=1);

namespace App\Readiness\Actions;

use App\Models\Enums\TestState;
use App\Models\ReadinessTest;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Readiness\Events\ReadinessChanged;
use App\Readiness\TestCases;
use App\Readiness\TestRun;
use App\Sight\Onlookers;
use App\Sittings\Events\ReadingHandedIn;
use Core\Chance\Chance;
use Core\Motion\View;
use Core\Planning\SignOffDecision;
use Core\Reading\CaseKind;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/**
 * After each case of a test: it ends where it is decided, else the case that tells most of what is still open comes
 * next. Nobody reads more than is needed.
 */
final readonly class PutNextCase
{
    public function __construct(private TestCases $cases, private TestRun $run, private Onlookers $onlookers)
    {
    }

    public function handedIn(ReadingHandedIn $event): void
    {
        $sitting = $event->reading->case->sitting;
        if ($sitting->kind === SittingKind::Test) {
            $test = ReadinessTest::query()->where('sitting_id', $sitting->id)->firstOrFail();
            DB::transaction(fn () => $this($test));
        }
    }

    /** Inside a transaction. Safe to run twice: while a case waits to be read no other is put. */
    public function __invoke(ReadinessTest $test): void
    {
        $test = ReadinessTest::query()
            ->lockForUpdate()
            ->with(['user', 'rule', 'sitting.keyVersion'])
            ->findOrFail($test->id);
        $sitting = $test->sitting;
        if ($test->state !== TestState::Open || $sitting === null) {
            return;
        }
        if (TestRun::waits($sitting)) {
            return;
        }
        $course = $this->run->of($test);
        $decision = $course->decision();
        if ($decision === SignOffDecision::GoesOn) {
            $taken = TestCases::golfersIn($sitting->id);
            $best = null;
            $most = 0.0;
            $candidates = (new Chance("test|$sitting->seed|".count($taken)))->shuffled($this->cases->of(
                $test->user,
                $test->rule,
                $sitting->keyVersion()->firstOrFail(),
            ));
            foreach ($candidates as $candidate) {
                $tells = in_array($candidate['golfer'], $taken, true) ? 0.0 : $course->tells($candidate['calls']);
                if ($tells > $most) {
                    [$best, $most] = [$candidate, $tells];
                }
            }
            if ($best !== null) {
                $this->put($test, $sitting, $best['recording'], $best['film'], count($taken) + 1);

                return;
            }
            // There is nothing left that would tell: who is not signed off by then is not.
            $decision = SignOffDecision::Undecided;
        }
        $this->end($test, $sitting, TestState::from($decision->value));
    }

    private function put(ReadinessTest $test, Sitting $sitting, int $recording, bool $film, int $position): void
    {
        $sitting->addCases([[
            'kind' => CaseKind::Single, 'recordings' => [$recording], 'film' => $film, 'trace' => true, 'occasion' => 1,
            'part' => 1, 'reserved' => true,
        ]]);
        $case = SittingCase::query()->where('sitting_id', $sitting->id)->orderByDesc('id')->firstOrFail();
        $case->update(['film_views' => array_map(static fn (View $v): string => $v->value, $case->filmedViews())]);
        Reading::query()->create([
            'sitting_case_id' => $case->id,
            'user_id' => $test->user_id,
            'arm_id' => $case->arm_id,
            'stage' => Stage::Blind,
            'position' => $position,
        ]);
        $this->onlookers->forget();
    }

    private function end(ReadinessTest $test, Sitting $sitting, TestState $state): void
    {
        $test->update(['state' => $state, 'ended_at' => now()]);
        $sitting->update(['state' => SittingState::Closed, 'closed_at' => now()]);
        $this->onlookers->forget();
        event(new ReadinessChanged('ended', [
            'test' => $test->id, 'person' => $test->user_id, 'state' => $state->value,
        ], null));
    }

    /** Ended by the head coach before it is decided: what was read stays, and decides nothing. */
    public function stop(ReadinessTest $test, User $by): void
    {
        DB::transaction(function () use ($test, $by): void {
            $test = ReadinessTest::query()->lockForUpdate()->with('sitting')->findOrFail($test->id);
            if ($test->state !== TestState::Open || $test->sitting === null) {
                return;
            }
            $test->update(['state' => TestState::Stopped, 'ended_at' => now()]);
            $test->sitting->update(['state' => SittingState::Closed, 'closed_at' => now()]);
            $this->onlookers->forget();
            event(new ReadinessChanged('stopped', ['test' => $test->id, 'person' => $test->user_id], $by));
        });
    }
}
