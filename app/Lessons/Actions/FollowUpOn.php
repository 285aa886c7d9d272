<?php

declare(strict_types=1);

namespace App\Lessons\Actions;

use App\Exceptions\ActionException;
use App\Lessons\Events\LessonWritten;
use App\Models\FollowUp;
use App\Models\Lesson;
use App\Models\Prescription;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Prescription\Seen;
use Illuminate\Support\Facades\DB;

/**
 * A later session held against a prescription: begun, the feel kept before any number, the swings put on their rungs.
 */
final readonly class FollowUpOn
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @throws ActionException where the session is another golfer's, or no later one, or nothing was handed over */
    public function begin(Prescription $prescription, Lesson $lesson, User $by): FollowUp
    {
        return DB::transaction(static function () use ($prescription, $lesson, $by): FollowUp {
            $prescription = Prescription::query()
                ->lockForUpdate()
                ->with('lesson.golfer')
                ->findOrFail($prescription->id);
            $says = match (true) {
                $prescription->issued_at === null => 'not-handed-over',
                $lesson->golfer_id !== $prescription->lesson->golfer_id,
                $lesson->id === $prescription->lesson_id,
                $lesson->held_on->lt($prescription->lesson->held_on) => 'other-session',
                default => null,
            };
            if ($says !== null) {
                throw ActionException::because("refusals.prescriptions.$says");
            }
            $has = $prescription->followUps()->where('lesson_id', $lesson->id)->first();
            if ($has !== null) {
                return $has;
            }
            $new = $prescription->followUps()->create(['lesson_id' => $lesson->id]);
            event(new LessonWritten('follow-up-begun', $prescription->lesson->golfer, [
                'prescription' => $prescription->id,
                'session' => $lesson->id,
            ], $by));

            return $new;
        });
    }

    /**
     * What the golfer felt and who teaches thinks, kept for good: with it the session's own feel, where that is still
     * to be said. From then on its numbers may be seen.
     *
     * @param  array{felt: Seen, felt_says: string, judged: Seen, judged_says: string}  $said
     *
     * @throws ActionException once it is kept
     */
    public function feel(FollowUp $of, array $said, User $by): void
    {
        DB::transaction(function () use ($of, $said, $by): void {
            $lesson = Lesson::query()->lockForUpdate()->with('golfer')->findOrFail($of->lesson_id);
            $followUp = FollowUp::query()->lockForUpdate()->findOrFail($of->id);
            if ($followUp->locked_at !== null) {
                throw ActionException::because('refusals.academy.feel-locked', [], ActionException::LOCKED);
            }
            // Where the session's numbers could be seen before, the feel is kept and marked as said after them.
            $isLate = $lesson->seen_before || (! $lesson->awaitsFeel() && $lesson->recordings()->exists());
            $followUp->update([...$said, 'felt_late' => $isLate, 'locked_at' => now()]);
            if ($lesson->feel_locked_at === null) {
                $lesson->update([
                    'feel' => $said['felt_says'] === '' ? $said['felt']->value : $said['felt_says'],
                    'feel_locked_at' => now(),
                ]);
            }
            KeepLesson::exposed($lesson);
            $this->onlookers->forget();
            event(new LessonWritten('follow-up-felt', $lesson->golfer, ['follow-up' => $followUp->id], $by));
        });
    }

    /**
     * @param  array<int, string>  $rungs  by recording of its session
     *
     * @throws ActionException while the feel is still to be said
     */
    public function place(FollowUp $of, array $rungs): void
    {
        DB::transaction(static function () use ($of, $rungs): void {
            $followUp = FollowUp::query()->lockForUpdate()->findOrFail($of->id);
            if ($followUp->locked_at === null) {
                throw ActionException::because('refusals.prescriptions.feel-first');
            }
            $own = $followUp->lesson->recordings()->pluck('id')->flip();
            $followUp->swings()->sync(array_map(
                static fn (string $rung): array => ['rung' => $rung],
                array_intersect_key($rungs, $own->all()),
            ));
        });
    }
}
