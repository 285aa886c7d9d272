<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\Lesson;
use App\Models\Recording;
use App\Models\User;
use Core\Sight\Scope;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;

/**
 * What may be made of a session for its golfer: nothing without consent to lessons, nothing while the feel is still to
 * be said, nothing while one of its swings is hidden from this person.
 */
final readonly class LessonSight
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** Whether notes may be written and kept of it at all. */
    public function agrees(Lesson $lesson): bool
    {
        return $lesson->golfer->erased_at === null && $lesson->golfer->consentsTo(Scope::Lessons);
    }

    public function isOpen(Lesson $lesson, User $user): bool
    {
        if (! $this->agrees($lesson) || $lesson->awaitsFeel()) {
            return false;
        }
        $swings = $this->swings($lesson);
        $onlooker = $this->onlookers->of($user);
        $onlooker->know(array_values(array_map(intval(...), $swings->modelKeys())));

        return $swings->every(static fn (Recording $r): bool => $onlooker->sees($r, Thing::Numbers));
    }

    /** @return Collection<int, Recording> that are held, with what was measured of them */
    public function swings(Lesson $lesson): Collection
    {
        return $lesson->loadMissing([
            'heldRecordings.measured', 'heldRecordings.golfer', 'heldRecordings.films',
        ])->heldRecordings;
    }
}
