<?php

declare(strict_types=1);

namespace App\Works\Jobs;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Enums\WorkState;
use App\Models\Work;
use App\Works\Doers;
use App\Works\Progress;
use App\Works\WorkStopped;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;

/** Works one work through. Safe to run twice: a work that is held by another run, or over, is left alone. */
final class DoWork implements ShouldQueue
{
    use Queueable;

    private const MOST_ATTEMPTS = 4;

    public int $tries = 1;

    public int $timeout = 1800;

    public function __construct(private readonly int $work)
    {
    }

    public function handle(Doers $doers): void
    {
        $taken = Work::query()
            ->whereKey($this->work)
            ->where(
                static fn ($q) => $q
                    ->where('state', WorkState::Waiting)
                    ->orWhere(
                        static fn ($q) => $q
                            ->where('state', WorkState::Running)
                            ->where('beat_at', '<', Carbon::now()->subSeconds(Progress::STALE_S)),
                    ),
            )
            ->increment('attempts', 1, ['state' => WorkState::Running, 'progress' => 0, 'beat_at' => Carbon::now()]);
        $work = Work::query()->with(['sitting', 'recording', 'asker'])->find($this->work);
        if ($taken === 0 || $work === null) {
            return;
        }
        $end = static fn (WorkState $state, ?Refusal $problem = null): int => Work::query()
            ->whereKey($work->id)
            ->where('attempts', $work->attempts)
            ->where('state', WorkState::Running)
            ->update([
                'state' => $state,
                'problem' => $problem?->toJson(),
                ...$state === WorkState::Done ? ['progress' => 1] : [],
            ]);
        if ($work->attempts > self::MOST_ATTEMPTS) {
            $end(WorkState::Failed, new Refusal('refusals.works.interrupted'));

            return;
        }
        try {
            $doers->carryOut($work, Progress::ofWork($work));
            $end(WorkState::Done);
        } catch (ActionException $e) {
            $end(WorkState::Failed, $e->refusal);
        } catch (WorkStopped $e) {
            if ($e->cancelled) {
                $end(WorkState::Cancelled);
            }
        } catch (\Throwable $e) {
            $end(WorkState::Failed, new Refusal('refusals.works.went-wrong'));

            throw $e;
        }
    }
}
