<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Lessons\Records;
use App\Models\FollowUp;
use App\Models\Lesson;
use App\Models\Prescription;
use App\Models\User;

/** The sessions that somebody gives, the last first, what waits in each, and how what was prescribed has turned out. */
final readonly class LessonsPage
{
    private const MOST = 60;

    public function __construct(private Records $records)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $lessons = Lesson::query()
            ->when(! $user->isHeadCoach(), static fn ($q) => $q->where('given_by', $user->id))
            ->whereHas('golfer', static fn ($q) => $q->whereNull('erased_at'))
            ->with(['golfer', 'giver', 'prescriptions', 'followUps'])
            ->withCount('recordings')
            ->orderByDesc('held_on')
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get();

        return [
            'lessons' => array_values($lessons->map(static fn (Lesson $l): array => [
                'url' => route('lessons.show', $l),
                'golfer' => $l->golfer->pseudonym,
                'day' => $l->held_on->format('j M Y'),
                'by' => $l->giver->name ?? '',
                'aim' => (string) ($l->aim ?? $l->complaint),
                'waits' => self::waits($l),
            ])->all()),
            'head' => $user->isHeadCoach(),
            'record' => $user->isHeadCoach()
                ? $this->records->ofAll($user)
                : array_filter(['own' => $this->records->of($user, $user)]),
        ];
    }

    private static function waits(Lesson $lesson): string
    {
        $draft = $lesson->prescriptions->contains(static fn (Prescription $p): bool => $p->issued_at === null);
        $feel = $lesson->followUps->contains(static fn (FollowUp $f): bool => $f->locked_at === null);
        $given = $lesson->prescriptions->contains(static fn (Prescription $p): bool => $p->issued_at !== null);

        return (string) __('lessons.states.'.match (true) {
            $feel => 'follow-up',
            $lesson->awaitsFeel() => 'feel',
            $draft => 'draft',
            $given => 'given',
            $lesson->followUps->isNotEmpty() => 'followed',
            default => 'none',
        });
    }
}
