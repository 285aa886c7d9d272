<?php

declare(strict_types=1);

namespace App\Lessons\Actions;

use App\Academy\Events\GolferChanged;
use App\Academy\SeenAs;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\Exposure;
use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\LessonBall;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Format\BallsCsv;
use Core\Format\FormatException;
use Core\Reading\BallFlight;
use Illuminate\Support\Facades\DB;

/**
 * Keeps a session of a golfer: what was said at its beginning, what was felt – once, before any number –, what
 * the balls
 * did.
 *
 * @phpstan-import-type Ball from BallsCsv
 */
final readonly class KeepLesson
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /**
     * @param  array{held_on: string, complaint: ?string, aim: ?string, explanation: ?string, traits: ?string,
     *     tried: ?string, asks_feel: bool, given_by?: ?int}  $said
     * @param  list<int>|null  $recordings  the golfer's swings that belong to it; null: those that do
     */
    public function __invoke(
        Golfer $golfer,
        ?Lesson $lesson,
        array $said,
        ?array $recordings,
        User $by,
        ?string $seen = null,
    ): Lesson {
        return DB::transaction(function () use ($golfer, $lesson, $said, $recordings, $by, $seen): Lesson {
            $lesson = $lesson === null
                ? new Lesson([
                    'golfer_id' => $golfer->id,
                    'created_by' => $by->id,
                    // Who does not run the academy begins only sessions of their own.
                    'given_by' => $by->isHeadCoach() ? null : $by->id,
                ])
                : Lesson::query()->lockForUpdate()->findOrFail($lesson->id);
            SeenAs::still($lesson, $seen);
            $isNew = ! $lesson->exists;
            $before = $lesson->only(array_keys($said));
            $wasOpen = ! $isNew && ! $lesson->awaitsFeel() && $lesson->recordings()->exists();
            $lesson->fill($said);
            // Asked for only after the swings could be looked at.
            if ($wasOpen && $lesson->awaitsFeel()) {
                $lesson->seen_before = true;
            }
            $fields = array_keys($lesson->getDirty());
            $lesson->save();
            // Before the feel is said no swing of it is listed, so none is taken out.
            if ($recordings !== null && ! $lesson->awaitsFeel()) {
                $recordings = $this->allowed($golfer, $lesson, $recordings, $by);
                Recording::query()->where('lesson_id', $lesson->id)->whereNotIn('id', $recordings)
                    ->update(['lesson_id' => null]);
                Recording::query()->where('golfer_id', $golfer->id)->whereKey($recordings)
                    ->update(['lesson_id' => $lesson->id]);
            }
            self::exposed($lesson);
            if ($fields !== []) {
                event(new GolferChanged($golfer, $isNew ? 'lesson-begun' : 'lesson-changed', $by, [
                    'fields' => implode(', ', array_intersect($fields, array_keys($said))),
                ], $isNew ? [] : ['before' => $before, 'after' => $lesson->only(array_keys($said))]));
            }

            return $lesson;
        });
    }

    /**
     * Those that belong to it already, or that this person may see: nobody comes by a swing by naming it.
     *
     * @param  list<int>  $named
     * @return list<int>
     */
    private function allowed(Golfer $golfer, Lesson $lesson, array $named, User $by): array
    {
        $own = Recording::query()->where('lesson_id', $lesson->id)->whereKey($named)->pluck('id');
        $seen = $this->onlookers->of($by)
            ->recordings()
            ->where('golfer_id', $golfer->id)
            ->whereKey($named)
            ->pluck('recordings.id');

        return array_values(array_map(Cell::int(...), $own->merge($seen)->unique()->all()));
    }

    /** Numbers of its swings come within the sight of who gives it: no blind reading of them counts afterwards. */
    public static function exposed(Lesson $lesson): void
    {
        if ($lesson->given_by === null || $lesson->awaitsFeel()) {
            return;
        }
        // One entry a person and swing, however often it is kept and from however many windows.
        User::query()->lockForUpdate()->findOrFail($lesson->given_by);
        foreach (Recording::query()->where('lesson_id', $lesson->id)->orderBy('id')->pluck('id') as $id) {
            Exposure::query()->firstOrCreate(
                ['user_id' => $lesson->given_by, 'recording_id' => $id, 'what' => 'numbers', 'sitting_id' => null],
                ['shown_at' => now()],
            );
        }
    }

    /** @throws ActionException once it is locked */
    public function feel(Lesson $lesson, string $feel, User $by): void
    {
        DB::transaction(static function () use ($lesson, $feel, $by): void {
            $lesson = Lesson::query()->lockForUpdate()->findOrFail($lesson->id);
            if ($lesson->feel_locked_at !== null) {
                throw ActionException::because('refusals.academy.feel-locked');
            }
            $lesson->update(['feel' => $feel, 'feel_locked_at' => now()]);
            self::exposed($lesson);
            event(new GolferChanged($lesson->golfer()->firstOrFail(), 'feel-locked', $by));
        });
    }

    /** @throws ActionException where there is a ball of that number */
    public function ball(Lesson $lesson, int $place, ?string $club, BallFlight $flight, ?string $note): void
    {
        if (LessonBall::query()->where('lesson_id', $lesson->id)->where('place', $place)->exists()) {
            throw ActionException::because('refusals.academy.ball-is-there', ['ball' => $place]);
        }
        LessonBall::query()->create([
            'lesson_id' => $lesson->id,
            'place' => $place,
            'club' => $club,
            'flight' => $flight->toArray(),
            'note' => $note,
        ]);
    }

    public function dropBall(LessonBall $ball): void
    {
        $ball->delete();
    }

    /**
     * Balls from a file: those with a number that is there already take its place.
     *
     * @param  resource  $stream
     *
     * @throws FormatException
     */
    public function balls(Lesson $lesson, $stream, string $file): int
    {
        $balls = BallsCsv::read($stream, $file);
        DB::transaction(static function () use ($lesson, $balls): void {
            foreach ($balls as $ball) {
                LessonBall::query()->updateOrCreate(
                    ['lesson_id' => $lesson->id, 'place' => $ball['place']],
                    ['club' => $ball['club'], 'flight' => $ball['flight']->toArray(), 'note' => $ball['note']],
                );
            }
        });

        return count($balls);
    }
}
