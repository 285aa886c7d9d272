<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Models\Academy;
use App\Models\Consent;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\Lesson;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;
use Carbon\CarbonInterface;
use Core\Reading\SwingKind;
use Illuminate\Support\Collection;

/**
 * Everything of a golfer on one line, day by day, the last first: sessions with their swings, swings of no session,
 * what was agreed to and taken back, what the body is to be spared. Swings that somebody may not see now are not on it.
 *
 * @phpstan-type Swing array{url: string, name: string, about: string}
 * @phpstan-type Item array{kind: string, url: ?string, says: string, waits: bool, swings: list<Swing>}
 */
final readonly class GolferTimeline
{
    private const MOST_SWINGS = 200;

    private const MOST_SESSIONS = 100;

    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return list<array{day: string, items: list<Item>}> */
    public function of(Golfer $golfer, User $user): array
    {
        $swings = $this->onlookers->of($user)->recordings()
            ->where('golfer_id', $golfer->id)
            ->with('films')
            ->orderByDesc('recordings.id')
            ->limit(self::MOST_SWINGS)
            ->get();
        $lessons = Lesson::query()
            ->where('golfer_id', $golfer->id)
            ->withCount('balls')
            ->orderByDesc('held_on')
            ->orderByDesc('id')
            ->limit(self::MOST_SESSIONS)
            ->get();
        $days = [];
        foreach ($lessons as $lesson) {
            $days[$lesson->held_on->toDateString()][] = self::session(
                $lesson,
                $swings->where('lesson_id', $lesson->id),
            );
        }
        $alone = $swings->whereNotIn('lesson_id', $lessons->modelKeys());
        foreach ($alone->groupBy(static fn (Recording $r): string => self::day($r->created_at)) as $day => $of) {
            $days[$day][] = self::item('swings', trans_choice('golfers.line.swings', $of->count(), [
                'count' => $of->count(),
            ]), $of);
        }
        foreach ($golfer->consents->sortBy('id')->groupBy(static fn (Consent $c): string => implode(' ', [
            $c->given_on->toDateString(), $c->expires_on->toDateString(), $c->withdrawn_at?->toIso8601String(),
        ])) as $of) {
            foreach (self::agreed($of) as $day => $item) {
                $days[$day][] = $item;
            }
        }
        foreach ($golfer->limitsNoted as $limit) {
            foreach (self::limit($limit) as $day => $item) {
                $days[$day][] = $item;
            }
        }
        krsort($days);

        return array_map(
            static fn (string $day, array $items): array => [
                'day' => \Carbon\CarbonImmutable::parse($day)->format('j M Y'),
                'items' => $items,
            ],
            array_map(strval(...), array_keys($days)),
            array_values($days),
        );
    }

    /**
     * @param  Collection<int, Recording>  $swings
     * @return Item
     */
    private static function session(Lesson $lesson, Collection $swings): array
    {
        $says = array_filter([
            (string) $lesson->complaint,
            $lesson->aim === null ? '' : (string) __('lessons.aims', ['aim' => $lesson->aim]),
            $lesson->tried === null ? '' : (string) __('golfers.line.tried', ['tried' => $lesson->tried]),
            $lesson->balls_count > 0
                ? trans_choice('lessons.balls', (int) $lesson->balls_count, ['count' => $lesson->balls_count])
                : '',
        ], static fn (string $s): bool => $s !== '');

        return self::item(
            'session',
            $says === [] ? (string) __('golfers.line.nothing-said') : implode(' · ', $says),
            $swings,
            route('lessons.show', $lesson),
            $lesson->awaitsFeel(),
        );
    }

    /**
     * What was agreed to on one form, and when it was taken back.
     *
     * @param  Collection<int, Consent>  $of
     * @return array<string, Item> by day
     */
    private static function agreed(Collection $of): array
    {
        $c = $of->firstOrFail();
        $what = $of->map(static fn (Consent $c): string => (string) __("golfers.scopes.{$c->scope->value}"))
            ->implode(', ');
        $out = [$c->given_on->toDateString() => self::item('agreed', (string) __('golfers.line.agreed', [
            'what' => $what,
            'until' => $c->expires_on->format('j M Y'),
            'by' => $c->guardian === null ? '' : __('golfers.by-guardian', ['guardian' => $c->guardian]),
        ]))];
        if ($c->withdrawn_at !== null) {
            $out[self::day($c->withdrawn_at)] = self::item('agreed', (string) __('golfers.line.taken-back', [
                'what' => $what,
            ]));
        }

        return $out;
    }

    /** @return array<string, Item> by day */
    private static function limit(GolferLimit $limit): array
    {
        $out = [];
        if ($limit->since !== null) {
            $out[$limit->since->toDateString()] = self::item('limit', (string) __('golfers.line.limit', [
                'limit' => Term::limit($limit),
            ]));
        }
        if ($limit->ended_on !== null) {
            $out[$limit->ended_on->toDateString()] = self::item('limit', (string) __('golfers.line.limit-ended', [
                'limit' => Term::limit($limit),
            ]));
        }

        return $out;
    }

    /**
     * @param  iterable<Recording>  $swings
     * @return Item
     */
    private static function item(
        string $kind,
        string $says,
        iterable $swings = [],
        ?string $url = null,
        bool $waits = false,
    ): array {
        $of = [];
        foreach ($swings as $r) {
            $of[] = self::swing($r);
        }

        return ['kind' => $kind, 'url' => $url, 'says' => $says, 'waits' => $waits, 'swings' => array_reverse($of)];
    }

    /** @return Swing */
    private static function swing(Recording $r): array
    {
        $about = array_filter([
            // Files of before say it in words of their own.
            match (SwingKind::tryFrom($r->swing)) {
                SwingKind::Full => '',
                null => $r->swing,
                default => (string) __("facts.kinds.$r->swing"),
            },
            in_array($r->size, [null, 'full'], true) ? '' : (string) __("facts.sizes.$r->size"),
            $r->is_cold ? (string) __('golfers.line.cold') : '',
            $r->films->contains(static fn (Film $f): bool => $f->isReady()) ? (string) __('golfers.line.filmed') : '',
        ], static fn (string $s): bool => $s !== '');

        return ['url' => route('bench', $r), 'name' => $r->club, 'about' => implode(', ', $about)];
    }

    private static function day(CarbonInterface $at): string
    {
        return $at->copy()->timezone(Academy::zone())->toDateString();
    }
}
