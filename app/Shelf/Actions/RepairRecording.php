<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Models\StationMark;
use App\Models\User;
use App\Shelf\Events\RecordingRepaired;
use App\Works\Works;
use Core\CoreException;
use Core\Format\Json\RemarkJson;
use Core\Motion\Station;
use Core\Motion\StationsFromTrace;
use Core\Motion\StationSource;
use Core\Trace\Quality;
use Core\Trace\Repair;
use Core\Trace\RepairKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A person says yes to a repair that is offered of a recording on the Shelf, or takes the last one back. What was
 * recorded stays as it came; stations that only the trace told are found anew, and everything is measured anew.
 */
final readonly class RepairRecording
{
    public function __construct(private Works $works)
    {
    }

    /** @throws ActionException where nothing of the kind is wrong with it, or readers are looking at it */
    public function __invoke(Recording $recording, RepairKind $kind, User $by): void
    {
        $this->change($recording, $by, static function (Recording $locked) use ($kind): array {
            $trace = $locked->trace();
            foreach (Quality::findings($trace) as $finding) {
                $repair = Repair::of($finding->remark, $trace->device);
                if ($repair?->kind === $kind && $kind->keepsTime()) {
                    return [$repair, [...$locked->repairs, $repair->toArray()]];
                }
            }

            throw ActionException::because('import.nothing-to-repair', [], ActionException::CONFLICT);
        }, false);
    }

    /** @throws ActionException where none was made, or readers are looking at it */
    public function back(Recording $recording, User $by): void
    {
        $this->change($recording, $by, static function (Recording $locked): array {
            $made = $locked->repairsMade();
            $last = end($made);

            return $last === false
                ? throw ActionException::because('import.nothing-to-repair', [], ActionException::CONFLICT)
                : [$last, array_slice($locked->repairs, 0, -1)];
        }, true);
    }

    /**
     * @param  callable(Recording): array{Repair, list<array<string, mixed>>}  $change  the repair, and all made then
     *
     * @throws ActionException
     */
    private function change(Recording $recording, User $by, callable $change, bool $isBack): void
    {
        DB::transaction(function () use ($recording, $by, $change, $isBack): void {
            $locked = Recording::query()->whereNull('erased_at')->lockForUpdate()->findOrFail($recording->id);
            self::refuseWhileRead($locked);
            try {
                [$repair, $made] = $change($locked);
                $locked->forceFill(['repairs' => $made])->save();
                self::findAnew($locked);
            } catch (CoreException) {
                throw ActionException::because('import.nothing-to-repair', [], ActionException::CONFLICT);
            }
            $this->works->ask(WorkKind::Measure, $locked, $by);
            event(new RecordingRepaired($locked, $repair->kind, $isBack, $by));
        });
    }

    /** What people are looking at must not change under their eyes. */
    private static function refuseWhileRead(Recording $recording): void
    {
        $isRead = $recording->dealt()
            ->whereHas('sittingCases.sitting', static fn (Builder $q) => $q->whereIn('state', ['open', 'closed']))
            ->exists();
        if ($isRead) {
            throw ActionException::because('refusals.bench.is-read', [], ActionException::CONFLICT);
        }
    }

    /** @throws CoreException */
    private static function findAnew(Recording $recording): void
    {
        if ($recording->views()->exists()) {
            return;
        }
        $of = ['recording_id' => $recording->id, 'source' => StationSource::Trace];
        StationMark::query()->where($of)->delete();
        $found = StationsFromTrace::find($recording->trace());
        $marks = StationMark::query()->where('recording_id', $recording->id)->get();
        foreach ($found?->times->all() ?? [] as $code => $time) {
            // What a person or a file said stands: nothing is found on the wrong side of it.
            $clashes = $marks->contains(static fn (StationMark $m): bool => $m->code !== $code
                && (Station::from($m->code)->order() < Station::from($code)->order()) !== ($m->t_s < $time->t));
            if ($clashes) {
                continue;
            }
            StationMark::query()->create([
                ...$of,
                'code' => $code,
                't_s' => $time->t,
                'uncertainty_s' => $time->uncertainty,
                'doubt' => RemarkJson::orNull($found?->doubts[$code] ?? ($found?->doubts[''] ?? null)),
            ]);
        }
    }
}
