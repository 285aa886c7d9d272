<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Academy\SeenAs;
use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Enums\UserState;
use App\Models\FollowUp;
use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\LessonBall;
use App\Models\Prescription;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;
use Core\Drawing\FlightShape;
use Core\Motion\Handedness;
use Core\Reading\BallFlight;
use Core\Reading\Turf;

/**
 * One session of a golfer, in the order in which it goes: what is said, what is felt, swings and balls, what was
 * tried.
 */
final readonly class LessonPage
{
    public function __construct(private Onlookers $onlookers, private Codebooks $codebooks)
    {
    }

    /** @return array<string, mixed> */
    public function of(Lesson $lesson, User $user): array
    {
        $lesson->loadMissing(['golfer', 'balls']);
        $waits = $lesson->awaitsFeel();
        $hand = Handedness::from($lesson->golfer->handedness);

        return [
            'lesson' => $lesson,
            'seen' => SeenAs::of($lesson),
            'golfer' => $lesson->golfer,
            'day' => $lesson->held_on->format('j F Y'),
            'waits' => $waits,
            'locked' => $lesson->feel_locked_at?->timezone(Academy::zone())->format('j M Y, H:i'),
            'held' => $waits ? $lesson->recordings()->count() : 0,
            'swings' => $this->swings($lesson, $user),
            // What the balls did is no number of the swing, and is in sight of who stands there.
            'balls' => array_values($lesson->balls->map(static fn (LessonBall $b): array => [
                'id' => $b->id,
                'place' => $b->place,
                'club' => (string) $b->club,
                'shape' => FlightShape::ofFlight($b->toCore(), $hand),
                'says' => ucfirst(Term::flight($b->toCore())).'.',
                'note' => (string) $b->note,
            ])->all()),
            'today' => Academy::today(),
            'head' => $user->isHeadCoach(),
            'givers' => $user->isHeadCoach() ? self::givers($lesson) : [],
            'mayPrescribe' => $user->can('prescribe', $lesson),
            'prescriptions' => $this->prescriptions($lesson, $user),
            'followUps' => $this->followUps($lesson, $user),
            'next' => 1 + Cell::int($lesson->balls->max('place') ?? 0),
            ...self::choices(),
        ];
    }

    /** @return array<int, string> who may give a session, by id */
    private static function givers(Lesson $lesson): array
    {
        $out = [];
        foreach (User::query()
            ->where('state', UserState::Active)
            ->where(static fn ($q) => $q->whereNull('golfer_id')->orWhere('golfer_id', '<>', $lesson->golfer_id))
            ->orderBy('name')
            ->get() as $person) {
            $out[$person->id] = $person->name;
        }

        return $out;
    }

    /** @return list<array{url: string, says: string}> what was prescribed in it, where that may be seen */
    private function prescriptions(Lesson $lesson, User $user): array
    {
        return array_values($lesson->prescriptions
            ->each(static fn (Prescription $p) => $p->setRelation('lesson', $lesson))
            ->filter(static fn (Prescription $p): bool => $user->can('see', $p))
            ->map(fn (Prescription $p): array => [
                'url' => route('prescriptions.show', $p),
                'says' => (string) __($p->issued_at === null ? 'lessons.prescribed-draft' : 'lessons.prescribed-given', [
                    'drill' => $this->drill($p) ?? (string) __('lessons.no-drill'),
                    'at' => $p->issued_at?->timezone(Academy::zone())->format('j M Y') ?? '',
                ]),
            ])
            ->all());
    }

    private function drill(Prescription $of): ?string
    {
        $codebook = $this->codebooks->under($this->codebooks->document($of->codebook_version), $of->lens);

        return $codebook->drills()[$of->drill ?? '']->name ?? null;
    }

    /** @return list<array{url: string, says: string}> what it was held against */
    private function followUps(Lesson $lesson, User $user): array
    {
        return array_values($lesson->followUps()
            ->with('prescription.lesson.golfer.consents')
            ->get()
            ->each(static fn (FollowUp $f) => $f->setRelation('lesson', $lesson))
            ->filter(static fn (FollowUp $f): bool => $user->can('take', $f))
            ->map(static fn (FollowUp $f): array => [
                'url' => route('follow-ups.show', $f),
                'says' => (string) __('lessons.held-against', [
                    'day' => $f->prescription->lesson->held_on->format('j M Y'),
                ]),
            ])
            ->all());
    }

    /** @return array<string, array<string, string>> */
    private static function choices(): array
    {
        return [
            'heights' => Term::all('facts.heights', BallFlight::HEIGHTS),
            'strikes' => Term::all('facts.strikes', BallFlight::STRIKES),
            'turfs' => Term::all('facts.turfs', array_column(Turf::cases(), 'value')),
        ];
    }

    /**
     * @return list<array{id: int, url: string, name: string, day: string, on: bool}> the golfer's, those of no other
     * session
     */
    private function swings(Lesson $lesson, User $user): array
    {
        return array_values($this->onlookers->of($user)->recordings()
            ->where('golfer_id', $lesson->golfer_id)
            ->where(static fn ($q) => $q->whereNull('lesson_id')->orWhere('lesson_id', $lesson->id))
            ->orderByDesc('recordings.id')
            ->limit(100)
            ->get()
            ->map(static fn (Recording $r): array => [
                'id' => $r->id,
                'url' => route('bench', $r),
                'name' => $r->club.($r->series === null ? '' : ", $r->series")
                    .($r->place === null ? '' : " $r->place"),
                'day' => $r->created_at->timezone(Academy::zone())->format('j M Y'),
                'on' => $r->lesson_id === $lesson->id,
            ])
            ->all());
    }
}
