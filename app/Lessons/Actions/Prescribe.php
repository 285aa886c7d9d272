<?php

declare(strict_types=1);

namespace App\Lessons\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Lessons\Events\LessonWritten;
use App\Lessons\LessonSeries;
use App\Lessons\PlanFields;
use App\Lessons\Situations;
use App\Models\Lesson;
use App\Models\Prescription;
use App\Models\User;
use Core\CoreException;
use Core\Measurement\Spread;
use Core\Prescription\RealChange;
use Core\Prescription\Reason;
use Core\Prescription\SeriesChange;
use Illuminate\Support\Facades\DB;

/** What a golfer is given to do: begun from what was seen, a drill chosen for it, handed over once and for all. */
final readonly class Prescribe
{
    public function __construct(
        private Codebooks $codebooks,
        private Situations $situations,
        private LessonSeries $series,
    ) {
    }

    /**
     * What was seen in a session; said anew it takes the place of the draft's.
     *
     * @param  array<string, string>  $faults  what to do with each, by key
     * @param  list<string>  $causes
     *
     * @throws ActionException where a cause was not seen
     */
    public function see(Lesson $lesson, array $faults, array $causes, string $lens, User $by): Prescription
    {
        return DB::transaction(function () use ($lesson, $faults, $causes, $lens, $by): Prescription {
            $lesson = Lesson::query()->lockForUpdate()->with('golfer.limitsInForce')->findOrFail($lesson->id);
            $draft = $lesson->prescriptions()->whereNull('issued_at')->first() ?? new Prescription([
                'lesson_id' => $lesson->id,
                'prescribed_by' => $by->id,
            ]);
            $isNew = ! $draft->exists;
            $draft->fill([
                'codebook_version' => $this->codebooks->document()->version(),
                'lens' => $lens,
                'faults' => $faults,
                'causes' => $causes,
                'prescribed_by' => $by->id,
            ]);
            $draft->setRelation('lesson', $lesson);
            try {
                $this->situations->of($draft);
            } catch (CoreException $e) {
                throw ActionException::of($e);
            }
            $draft->save();
            if ($isNew) {
                event(new LessonWritten('prescription-begun', $lesson->golfer, ['prescription' => $draft->id], $by));
            }

            return $draft;
        });
    }

    /** @throws ActionException where there is no such drill, or it was handed over meanwhile */
    public function choose(Prescription $of, string $drill): void
    {
        $this->draft($of, function (Prescription $draft) use ($drill): void {
            $chosen = $this->situations->codebook($draft)->drills()[$drill]
                ?? throw ActionException::because('refusals.prescriptions.no-drill');
            if ($draft->drill !== $drill) {
                // What was written of the golfer, and not of the drill, stays.
                $kept = array_intersect_key($draft->plan ?? [], array_flip(['keep', 'ignore', 'club']));
                $draft->update(['drill' => $drill, 'plan' => [...PlanFields::of($chosen), ...$kept], 'reason' => '']);
            }
        });
    }

    /**
     * @param  array<string, string|int>  $plan  PlanFields by name
     * @param  array<string, list<list<float>>>  $lines
     *
     * @throws ActionException where it was handed over meanwhile
     */
    public function write(
        Prescription $of,
        array $plan,
        string $reason,
        ?string $until,
        ?string $nextOn,
        array $lines,
    ): void {
        $this->draft($of, static function (Prescription $draft) use ($plan, $reason, $until, $nextOn, $lines): void {
            if ($draft->drill === null) {
                throw ActionException::because('refusals.prescriptions.no-drill');
            }
            $draft->update([
                'plan' => $plan,
                'reason' => $reason,
                'until' => $until,
                'next_on' => $nextOn,
                'lines' => $lines,
            ]);
        });
    }

    /** @throws ActionException where something that it needs is not said */
    public function handOver(Prescription $of, User $by): void
    {
        $this->draft($of, function (Prescription $draft) use ($by): void {
            $draft->lesson->golfer->load('limitsInForce');
            $chosen = $this->situations->chosen($draft);
            $against = array_map(static fn (Reason $r): string => $r->key(), $chosen?->against() ?? []);
            $missing = match (true) {
                $chosen === null => 'no-drill',
                trim((string) ($draft->plan['cue'] ?? '')) === '' => 'no-cue',
                $draft->next_on === null => 'no-next',
                $against !== [] && mb_strlen(trim($draft->reason)) < 10 => 'no-reason',
                default => null,
            };
            if ($missing !== null || $chosen === null) {
                throw ActionException::because("refusals.prescriptions.$missing");
            }
            $draft->update([
                'against' => $against,
                'expected' => $this->expected($draft),
                'issued_at' => now(),
                'prescribed_by' => $by->id,
            ]);
            event(new LessonWritten('prescription-handed-over', $draft->lesson->golfer, [
                'prescription' => $draft->id,
                'drill' => (string) $draft->drill,
                'against' => count($against),
            ], $by));
        });
    }

    /** @throws ActionException where it was handed over meanwhile */
    public function drop(Prescription $of, User $by): void
    {
        $this->draft($of, static function (Prescription $draft) use ($by): void {
            $draft->delete();
            event(
                new LessonWritten('prescription-dropped', $draft->lesson->golfer, ['prescription' => $draft->id], $by),
            );
        });
    }

    /**
     * What should change, with the size that would count as real over as many swings again.
     *
     * @return list<array{measure: string, change: array{way: string, value?: float, at?: string}, mean: ?float, n: int,
     *     least: ?float}>
     */
    private function expected(Prescription $draft): array
    {
        $drill = $this->situations->codebook($draft)->drills()[$draft->drill ?? ''] ?? null;
        $swings = $this->series->full($draft->lesson);
        $out = [];
        foreach ($drill->ways ?? [] as $measure => $change) {
            $of = LessonSeries::measured($swings, $change->measure, $change->at);
            $spread = Spread::ofMeasured($of);
            $after = max(SeriesChange::LEAST, $spread->n ?? 0);
            $out[] = [
                'measure' => $measure,
                'change' => $change->toArray(),
                'mean' => $spread?->mean,
                'n' => $spread->n ?? 0,
                'least' => RealChange::planned($spread, $after, SeriesChange::doubt($of))?->least,
            ];
        }

        return $out;
    }

    /** @throws ActionException */
    private function draft(Prescription $of, callable $do): void
    {
        DB::transaction(static function () use ($of, $do): void {
            $draft = Prescription::query()->lockForUpdate()->with('lesson.golfer.limitsInForce')->find($of->id);
            if ($draft === null || $draft->issued_at !== null) {
                throw ActionException::because('refusals.prescriptions.handed-over', [], ActionException::LOCKED);
            }
            $do($draft);
        });
    }
}
