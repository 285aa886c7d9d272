<?php

declare(strict_types=1);

namespace App\Works;

use App\Models\Casts\Cell;
use App\Models\CodebookDraft;
use App\Models\ContrastSet;
use App\Models\Enums\WorkKind;
use App\Models\Enums\WorkState;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Models\Work;
use App\Works\Jobs\DoWork;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Long work is asked for here; asked for twice while it is under way, it is the same work. */
final readonly class Works
{
    /** So long may a work wait before the queue is asked for it again, s. */
    public const FORGOTTEN_S = 600;

    public function ask(WorkKind $kind, Sitting|Recording|CodebookDraft|ContrastSet $of, ?User $by): Work
    {
        $column = self::column($of);
        $work = DB::transaction(static function () use ($kind, $of, $by, $column): Work {
            // The one who asks waits for another who is asking for the same.
            $of->newQuery()->whereKey($of->id)->lockForUpdate()->firstOrFail();

            return Work::query()
                ->where('kind', $kind)
                ->where($column, $of->id)
                ->whereIn('state', [WorkState::Waiting, WorkState::Running])
                ->first() ?? Work::query()->create(['kind' => $kind, $column => $of->id, 'asked_by' => $by?->id]);
        });
        DoWork::dispatch($work->id)->afterCommit();

        return $work->refresh();
    }

    public function underWay(WorkKind $kind, Sitting|Recording|CodebookDraft|ContrastSet $of): ?Work
    {
        return Work::query()
            ->where('kind', $kind)
            ->where(self::column($of), $of->id)
            ->whereIn('state', [WorkState::Waiting, WorkState::Running])
            ->first();
    }

    private static function column(Sitting|Recording|CodebookDraft|ContrastSet $of): string
    {
        return match (true) {
            $of instanceof Sitting => 'sitting_id',
            $of instanceof Recording => 'recording_id',
            $of instanceof CodebookDraft => 'codebook_draft_id',
            default => 'contrast_set_id',
        };
    }

    /** The newest work of these kinds on a sitting: under way, or failed and not yet asked for again. */
    public function newest(Sitting $sitting, WorkKind ...$of): ?Work
    {
        return Work::query()->where('sitting_id', $sitting->id)->whereIn('kind', $of)->orderByDesc('id')->first();
    }

    /** @return int how many are taken up again: their run was killed, or who asked was before the queue knew */
    public function takeUp(): int
    {
        $lost = Work::query()
            ->where('state', WorkState::Running)
            ->where('beat_at', '<', Carbon::now()->subSeconds(Progress::STALE_S))
            ->pluck('id');
        $forgotten = Work::query()
            ->where('state', WorkState::Waiting)
            ->whereRaw('coalesce(beat_at, updated_at) < ?', [Carbon::now()->subSeconds(self::FORGOTTEN_S)])
            ->pluck('id');
        Work::query()->whereKey($forgotten)->where('state', WorkState::Waiting)->update(['beat_at' => Carbon::now()]);
        foreach ($lost->concat($forgotten) as $id) {
            DoWork::dispatch(Cell::int($id));
        }

        return $lost->count() + $forgotten->count();
    }
}
