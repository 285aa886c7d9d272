<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Enums\WorkKind;
use App\Models\Enums\WorkState;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\User;
use App\Models\Work;
use App\Practice\PersonSkills;
use App\Practice\PracticePool;
use Core\Number\Written;
use Core\Simulation\Plant;
use Core\Training\Mode;
use Core\Training\NextQuestion;
use Core\Training\Question;
use Core\Training\Skill;

/** What one person knows, fault by fault, and the way into practice. Nobody else's. */
final readonly class PracticePage
{
    public function __construct(
        private PersonSkills $skills,
        private PracticePool $pool,
        private Codebooks $codebooks,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $skills = $this->skills->of($user);
        $codebook = $this->codebooks->current();
        $questions = $this->pool->of($user);
        $asked = array_count_values(array_map(static fn (Question $q): string => $q->fault, $questions));
        uasort($skills, static fn (Skill $a, Skill $b): int => $a->low() <=> $b->low());
        $open = PracticeSitting::query()->where('user_id', $user->id)->whereNull('ended_at')->first();
        $rows = [];
        foreach ($skills as $fault => $skill) {
            if (isset($asked[$fault]) || in_array($fault, Plant::FAULTS, true)) {
                $rows[] = [
                    'fault' => $fault,
                    'name' => ucfirst($codebook->fault($fault)->name),
                    'url' => route('codebook.fault', $fault),
                    'chance' => self::percent($skill->chance()),
                    'low' => self::percent($skill->low()),
                    'high' => self::percent($skill->high()),
                    'left' => round(100.0 * $skill->low(), 1),
                    'wide' => round(100.0 * ($skill->high() - $skill->low()), 1),
                    'at' => round(100.0 * $skill->chance(), 1),
                    'answers' => $skill->answers,
                    'swings' => $asked[$fault] ?? 0,
                    'says' => $skill->low() >= NextQuestion::AIM ? (string) __('practice.stands') : '',
                ];
            }
        }

        return [
            'modes' => self::modes($user),
            'making' => self::making($user),
            'rows' => $rows,
            'swings' => count(array_unique(array_map(static fn (Question $q): string => $q->swing, $questions))),
            'questions' => count($questions),
            'open' => $open === null ? null : route('practice.question', [
                $open,
                max(1, $open->answers()->count()),
            ]),
            'aim' => round(100.0 * NextQuestion::AIM),
            'done' => self::done($user),
        ];
    }

    /** Where to ask how far the newest swings are that are being made for this person; null where none are. */
    private static function making(User $user): ?string
    {
        $work = Work::query()
            ->where('kind', WorkKind::Contrast)
            ->where('asked_by', $user->id)
            ->whereIn('state', [WorkState::Waiting, WorkState::Running])
            ->orderByDesc('id')
            ->first();

        return $work === null ? null : route('works.show', $work, false);
    }

    /** @return list<array{mode: string, name: string, says: string, score: string}> */
    private static function modes(User $user): array
    {
        $done = PracticeAnswer::query()
            ->whereHas('sitting', static fn ($q) => $q->where('user_id', $user->id))
            ->whereNotNull('answered_at')
            ->groupBy('mode')
            ->selectRaw('mode, count(*) as n, count(*) filter (where "right") as hits')
            ->toBase()
            ->get()
            ->keyBy('mode');

        return array_map(static fn (Mode $mode): array => [
            'mode' => $mode->value,
            'name' => (string) __("practice.modes.$mode->value.name"),
            'says' => (string) __("practice.modes.$mode->value.says"),
            'score' => ($of = $done->get($mode->value)) === null ? '' : (string) __('practice.modes.score', [
                'right' => (string) Cell::int($of->hits),
                'all' => (string) Cell::int($of->n),
            ]),
        ], Mode::cases());
    }

    /** @return list<string> the newest sittings, a line each */
    private static function done(User $user): array
    {
        return array_values(PracticeSitting::query()
            ->where('user_id', $user->id)
            ->whereNotNull('ended_at')
            ->with('answers')
            ->orderByDesc('id')
            ->limit(8)
            ->get()
            ->map(static fn (PracticeSitting $s): string => (string) __('practice.line', [
                'mode' => (string) __("practice.modes.{$s->mode->value}.name"),
                'date' => $s->created_at->format('j M'),
                'right' => (string) $s->answers->where('right', true)->count(),
                'all' => (string) $s->answers->whereNotNull('answered_at')->count(),
            ]))
            ->all());
    }

    private static function percent(float $p): string
    {
        return Written::fixed(100.0 * $p, 0);
    }
}
