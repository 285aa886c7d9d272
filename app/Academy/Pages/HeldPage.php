<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Models\Academy;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\Lesson;
use App\Models\LessonBall;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;

/** What the academy holds of a golfer, for the golfer, on paper: in words, with what may be asked for. */
final readonly class HeldPage
{
    private const SAID = ['complaint', 'aim', 'explanation', 'feel', 'traits', 'tried'];

    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function of(Golfer $golfer, User $user): array
    {
        $golfer->load(['consents', 'limitsNoted']);
        $lessons = Lesson::query()
            ->where('golfer_id', $golfer->id)
            ->with('balls')
            ->orderBy('held_on')
            ->orderBy('id')
            ->get();
        $swings = $this->onlookers->of($user)->recordings()
            ->where('golfer_id', $golfer->id)
            ->with('films')
            ->orderBy('recordings.id')
            ->get();

        return [
            'golfer' => $golfer,
            'letterhead' => Academy::here()?->letterhead,
            'at' => now()->timezone(Academy::zone())->format('j F Y, H:i'),
            'who' => implode(' · ', array_filter([
                (string) __("golfers.hands.$golfer->handedness"),
                $golfer->mayBeMinor() ? (string) __('golfers.minor') : '',
                $golfer->height_cm === null ? '' : (string) __('golfers.held.height', ['cm' => $golfer->height_cm]),
                $golfer->mass_kg === null ? '' : (string) __('golfers.held.mass', ['kg' => $golfer->mass_kg]),
                $golfer->born_year === null ? '' : (string) __('golfers.held.born', ['year' => $golfer->born_year]),
            ], self::isSaid(...))),
            'limits' => array_values(array_filter([
                ...$golfer->limitsNoted->map(static fn (GolferLimit $l): string => implode(', ', array_filter([
                    Term::limit($l),
                    (string) $l->note,
                ], self::isSaid(...))))->all(),
                (string) $golfer->limits,
            ], self::isSaid(...))),
            'agreed' => array_values($golfer->consents->sortBy('id')->map(Term::consent(...))->all()),
            'sessions' => array_values($lessons->map(self::session(...))->all()),
            'swings' => array_values($swings->map(self::swing(...))->all()),
        ];
    }

    private static function isSaid(string $text): bool
    {
        return $text !== '';
    }

    /** @return array{day: string, said: array<string, string>, balls: list<string>} */
    private static function session(Lesson $l): array
    {
        $said = [];
        foreach (self::SAID as $what) {
            $text = $l->getAttribute($what);
            if (is_string($text) && $text !== '') {
                $said[(string) __("golfers.held.said.$what")] = $text;
            }
        }

        return [
            'day' => $l->held_on->format('j M Y'),
            'said' => $said,
            'balls' => array_values($l->balls->map(static fn (LessonBall $b): string => (string) __(
                'golfers.held.ball',
                ['n' => $b->place, 'says' => Term::flight($b->toCore())],
            ))->all()),
        ];
    }

    /** @return array{day: string, name: string, holds: string} */
    private static function swing(Recording $r): array
    {
        $views = $r->films
            ->filter(static fn (Film $f): bool => $f->isReady())
            ->map(static fn (Film $f): string => (string) __("views.$f->view"))
            ->implode(', ');
        $flight = $r->flight();

        return [
            'day' => $r->created_at->timezone(Academy::zone())->format('j M Y'),
            'name' => $r->club,
            'holds' => implode('; ', array_filter([
                (string) __('golfers.held.trace', [
                    'device' => Term::device($r->deviceClass()),
                    's' => round($r->samples / $r->rate_hz, 1),
                    'hz' => round($r->rate_hz),
                ]),
                $views === '' ? '' : (string) __('golfers.held.film', ['views' => $views]),
                $flight === null ? '' : (string) __('golfers.held.did', ['flight' => Term::flight($flight)]),
            ], self::isSaid(...))),
        ];
    }
}
