<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\Recording;
use App\Models\User;
use Closure;
use Core\Sight\Place;
use Core\Sight\Scope;
use Core\Sight\Standing;
use Illuminate\Database\Eloquent\Builder;

/**
 * What the rules of sight ask of recordings for one person: what is agreed to, what is held, whose it is. Read once.
 */
final class RecordingFacts
{
    /**
     * @var array<int, array{consents: bool, lessons: bool, held: bool, own: bool, room: bool, feel: bool, example: bool,
     *     looked: bool, kept: bool, gives: bool}> by recording
     */
    private array $facts = [];

    private const EXAMPLE = 'exists (select 1 from codebook_examples x where x.recording_id = recordings.id) as example';

    /** Whether some round keeps it for later. */
    private const KEPT = 'exists (select 1 from case_swings w join sitting_cases c on c.case_id = w.case_id
        where w.recording_id = recordings.id and c.reserved) as kept';

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
        $to = static fn (Scope $use): Closure => static function (Builder $q) use ($use): void {
            /** @var Builder<Golfer> $q */
            $q->consenting($use);
        };
        $of = Recording::query()
            ->whereKey($ids)
            ->select(['recordings.id', 'recordings.erased_at', 'recordings.golfer_id'])
            ->selectRaw(self::EXAMPLE)
            ->selectRaw(self::KEPT)
            ->selectRaw(
                'exists (select 1 from exposures e where e.recording_id = recordings.id and e.user_id = ?) as looked',
                [$this->user->id],
            )
            ->withExists([
                'golfer as teaching' => $to(Scope::TeachingMaterial),
                'golfer as staff' => $to(Scope::StaffTraining),
                'golfer as lessons' => $to(Scope::Lessons),
                'golfer as room' => $to(Scope::DebriefFilm),
                'lesson as feel' => static function (Builder $q): void {
                    /** @var Builder<Lesson> $q */
                    $q->awaitingFeel();
                },
                'lesson as gives' => function (Builder $q): void {
                    $q->where('given_by', $this->user->id);
                },
            ])
            ->toBase()
            ->get()
            ->keyBy('id');
        foreach ($ids as $id) {
            $recording = (array) $of->get($id);
            $is = static fn (string $fact): bool => (bool) ($recording[$fact] ?? false);
            $this->facts[$id] = [
                'consents' => $is('staff'),
                'lessons' => $is('lessons'),
                'held' => $recording !== [] && $recording['erased_at'] === null,
                'own' => $recording !== [] && $recording['golfer_id'] === $this->user->golfer_id,
                'room' => $is('room'),
                'feel' => $is('feel'),
                'example' => $is('example') && $is('teaching') && ! $is('kept'),
                'looked' => $is('looked'),
                'kept' => $is('kept'),
                'gives' => $is('gives'),
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
            $fact['feel'],
            $fact['example'],
            $fact['looked'],
            $fact['kept'],
            $fact['gives'],
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
