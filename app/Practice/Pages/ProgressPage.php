<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Agreement\KeptFigures;
use App\Agreement\Pages\AgreementAgain;
use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\User;
use App\Practice\PersonSkills;
use App\Practice\RoundProgress;
use Core\Number\Written;
use Core\Training\NextQuestion;
use Core\Training\PracticeEffect;
use Core\Training\Progress;
use Core\Training\Skill;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * How far somebody has come: what is known of each fault over the weeks and what will be left without practice, what the
 * rounds told one after the other, and whether practice shows in them.
 */
final readonly class ProgressPage
{
    private const WEEKS = 12;

    private const STEP = 2;

    /** The picture of a fault is so wide and high. */
    private const WIDE = 120.0;

    private const HIGH = 36.0;

    /** Where it begins: below half right there is little to see. */
    private const LOWEST = 0.4;

    public function __construct(
        private PersonSkills $skills,
        private RoundProgress $rounds,
        private Codebooks $codebooks,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(User $person, User $asking): array
    {
        $progress = array_filter(
            $this->skills->progress($person, $asking, self::WEEKS, self::STEP),
            static fn (Progress $p): bool => $p->now()->answers > 0,
        );
        uasort($progress, static fn (Progress $a, Progress $b): int => $a->now()->low() <=> $b->now()->low());
        $faults = $this->codebooks->current()->faults;
        $rounds = $this->rounds->rounds($person, $asking);
        $moved = array_count_values(array_map(
            static fn (Progress $p): string => match ($p->moved()) {
                true => 'up',
                false => 'down',
                null => 'open',
            },
            $progress,
        ));

        return [
            'person' => $person,
            'own' => $person->is($asking),
            'title' => (string) __('practice.progress.finding', [
                'up' => (string) ($moved['up'] ?? 0),
                'down' => (string) ($moved['down'] ?? 0),
                'of' => (string) count($progress),
            ]),
            'aim' => self::y(NextQuestion::AIM),
            'aimAt' => round(100.0 * NextQuestion::AIM),
            'weeks' => self::WEEKS,
            'ahead' => Progress::AHEAD,
            'practised' => $this->practised($person),
            'rows' => array_map(fn (Progress $p, string $key): array => [
                'name' => ucfirst($faults[$key]->name),
                'url' => route('codebook.fault', $key),
                ...self::row($p),
            ], $progress, array_keys($progress)),
            'rounds' => array_map(self::round(...), $this->rounds->told($person, $rounds)),
            'again' => self::again($person, $rounds),
            'effect' => self::effect($this->rounds->effect($person, $rounds)),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(Progress $p): array
    {
        $now = $p->now();
        $line = $band = [];
        $step = self::WIDE / (count($p->then) - 1);
        foreach ($p->then as $i => $skill) {
            $line[] = round($i * $step, 1).','.self::y($skill->chance());
            $band[] = round($i * $step, 1).','.self::y($skill->high());
        }
        foreach (array_reverse($p->then, true) as $i => $skill) {
            $band[] = round($i * $step, 1).','.self::y($skill->low());
        }

        return [
            'line' => implode(' ', $line),
            'band' => implode(' ', $band),
            'now' => self::percent($now->chance()),
            'low' => self::percent($now->low()),
            'high' => self::percent($now->high()),
            'was' => $p->then[0]->answers === 0 ? null : self::percent($p->then[0]->chance()),
            'moved' => match ($p->moved()) {
                true => 'up',
                false => 'down',
                null => 'open',
            },
            'ahead' => self::percent($p->ahead->chance()),
            'answers' => $now->answers,
            'fades' => self::fades($now, $p->ahead),
        ];
    }

    /** Whether it will fall below the aim without practice. */
    private static function fades(Skill $now, Skill $ahead): bool
    {
        return $now->chance() >= NextQuestion::AIM && $ahead->chance() < NextQuestion::AIM;
    }

    /** @return list<array{week: string, n: int, high: float}> answers by week, the oldest first */
    private function practised(User $person): array
    {
        $now = Carbon::now();
        $from = $now->copy()->subWeeks(self::WEEKS);
        $by = DB::table('practice_answers')
            ->join('practice_sittings', 'practice_sittings.id', '=', 'practice_answers.practice_sitting_id')
            ->where('user_id', $person->id)
            ->where('answered_at', '>', $from)
            ->selectRaw('floor(extract(epoch from (?::timestamptz - answered_at)) / 604800)::int as week, count(*) as n', [
                $now->toIso8601String(),
            ])
            ->groupBy('week')
            ->pluck('n', 'week');
        $most = max(1, Cell::int($by->max() ?? 0));
        $out = [];
        for ($week = 0; $week < self::WEEKS; $week++) {
            $n = Cell::int($by->get(self::WEEKS - 1 - $week) ?? 0);
            $out[] = [
                'week' => $from->copy()->addWeeks($week)->format('j M'),
                'n' => $n,
                'high' => round(self::HIGH * $n / $most, 1),
            ];
        }

        return $out;
    }

    /**
     * What was called twice, round by round.
     *
     * @param  Collection<int, Sitting>  $rounds
     * @return list<string>
     */
    private static function again(User $person, Collection $rounds): array
    {
        $out = [];
        foreach ($rounds as $round) {
            if ($round->result !== null) {
                foreach (AgreementAgain::ofPerson($round, KeptFigures::ofRound($round), $person->id) as $line) {
                    $out[] = "$round->name: $line";
                }
            }
        }

        return $out;
    }

    /**
     * @param  array{name: string, date: string, calls: int, right: int, sure: ?float, minutes: ?float, cases: int}  $told
     * @return array{name: string, date: string, right: string, sure: string, minutes: string, cases: int}
     */
    private static function round(array $told): array
    {
        $share = $told['calls'] === 0 ? null : 100.0 * $told['right'] / $told['calls'];
        $sure = $told['sure'];

        return [
            'name' => $told['name'],
            'date' => $told['date'],
            'right' => $share === null ? '–' : (string) __('practice.progress.right-of', [
                'share' => Written::fixed($share, 0), 'n' => (string) $told['calls'],
            ]),
            'sure' => $share === null || $sure === null ? '–' : (string) __('practice.progress.sure', [
                'sure' => Written::fixed($sure, 0),
                'by' => (string) __('practice.progress.'.match (true) {
                    $sure - $share > 3.0 => 'surer',
                    $share - $sure > 3.0 => 'less-sure',
                    default => 'as-sure',
                }),
            ]),
            'minutes' => $told['minutes'] === null ? '–' : Written::fixed($told['minutes'], 1),
            'cases' => $told['cases'],
        ];
    }

    private static function effect(?PracticeEffect $effect): string
    {
        if ($effect === null) {
            return (string) __('practice.progress.one-round');
        }

        return $effect->effect === null || $effect->p === null
            ? (string) __('practice.progress.no-pairs', [
                'golfers' => (string) $effect->golfers, 'least' => (string) PracticeEffect::GOLFERS,
            ])
            : (string) __('practice.progress.'.($effect->p <= 0.05 ? 'effect' : 'no-effect'), [
                'points' => Written::signed(100.0 * $effect->effect, 0),
                'golfers' => (string) $effect->golfers,
                'p' => Written::fixed($effect->p, 3),
            ]);
    }

    private static function y(float $chance): float
    {
        return round(self::HIGH * min(1.0, (1.0 - $chance) / (1.0 - self::LOWEST)), 1);
    }

    private static function percent(float $p): string
    {
        return Written::fixed(100.0 * $p, 0);
    }
}
