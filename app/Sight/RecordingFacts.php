<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\Recording;
use App\Models\User;
use Core\Sight\Place;
use Core\Sight\Scope;
use Core\Sight\Standing;

/** What the rules of sight ask of recordings for one person: what is agreed to, what is held, whose it is. Read once. */
final class RecordingFacts
{
    /** @var array<int, array{consents: bool, lessons: bool, held: bool, own: bool, room: bool}> by recording */
    private array $facts = [];

    public function __construct(private readonly User $user)
    {
    }

    /**
     * Fetches the facts of these recordings at once.
     *
     * @param  list<int>  $ids
     */
    public function know(array $ids): void
    {
        $ids = array_values(array_filter($ids, fn (int $id): bool => ! isset($this->facts[$id])));
        if ($ids === []) {
            return;
        }
        $agreed = static fn (Scope $use) => Recording::query()
            ->whereKey($ids)
            ->whereHas('golfer', static fn ($q) => $q->consenting($use))
            ->pluck('id')
            ->flip();
        $consenting = $agreed(Scope::StaffTraining);
        $lessons = $agreed(Scope::Lessons);
        $room = $this->user->isHeadCoach() ? $agreed(Scope::DebriefFilm) : collect();
        $of = Recording::query()->whereKey($ids)->get(['id', 'golfer_id', 'erased_at'])->keyBy('id');
        foreach ($ids as $id) {
            $recording = $of->get($id);
            $this->facts[$id] = [
                'consents' => $consenting->has($id),
                'lessons' => $lessons->has($id),
                'held' => $recording !== null && $recording->erased_at === null,
                'own' => $recording !== null && $recording->golfer_id === $this->user->golfer_id,
                'room' => $room->has($id),
            ];
        }
    }

    /** @param  list<Place>  $places */
    public function standing(int $recording, array $places): Standing
    {
        $this->know([$recording]);
        $fact = $this->facts[$recording];

        return new Standing(
            $fact['consents'],
            $fact['held'],
            $this->user->isHeadCoach(),
            $places,
            $fact['lessons'],
            $fact['own'],
            $fact['room'],
        );
    }

    /** Whether a case of it is asked of this person at all; of an own swing nothing but a private review asks. */
    public function mayBeAsked(int $recording, bool $review): bool
    {
        $this->know([$recording]);
        $fact = $this->facts[$recording];

        return ($fact['consents'] || ($review && $fact['lessons'])) && $fact['held'] && $review === $fact['own'];
    }
}
