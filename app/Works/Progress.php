<?php

declare(strict_types=1);

namespace App\Works;

use App\Models\Enums\WorkState;
use App\Models\Work;
use Illuminate\Support\Carbon;

/**
 * What a run tells while it works: how far it is, and so that it lives. A run that was killed stops telling, and
 * another
 * takes its work over; one that was cancelled is told so the next time it tells.
 */
final class Progress
{
    /** A run that has told nothing for so long is taken to be gone, s. */
    public const STALE_S = 20;

    private float $told = 0.0;

    private function __construct(private readonly ?int $work, private readonly int $attempt)
    {
    }

    /** Of a run that nobody watches: commands and the demo. */
    public static function untold(): self
    {
        return new self(null, 0);
    }

    public static function ofWork(Work $work): self
    {
        return new self($work->id, $work->attempts);
    }

    /**
     * @param  float  $part  done, 0 to 1
     *
     * @throws WorkStopped
     */
    public function tell(float $part): void
    {
        if ($this->work === null || microtime(true) - $this->told < 0.3) {
            return;
        }
        $this->told = microtime(true);
        $this->check(Work::query()->whereKey($this->work));
        Work::query()
            ->whereKey($this->work)
            ->where('attempts', $this->attempt)
            ->update(['progress' => round(min(0.99, max(0.0, $part)), 3), 'beat_at' => Carbon::now()]);
    }

    /**
     * Before what a run made is shown, inside the transaction that shows it: only the run that holds the work may.
     *
     * @throws WorkStopped
     */
    public function claim(): void
    {
        if ($this->work !== null) {
            $this->check(Work::query()->whereKey($this->work)->lockForUpdate());
        }
    }

    /** @param  \Illuminate\Database\Eloquent\Builder<Work>  $query */
    private function check(\Illuminate\Database\Eloquent\Builder $query): void
    {
        $work = $query->first();
        if ($work === null || $work->attempts !== $this->attempt || $work->state !== WorkState::Running) {
            throw WorkStopped::takenOver();
        }
        if ($work->cancelling) {
            throw WorkStopped::cancelled();
        }
    }
}
