<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\Enums\GoalKind;
use App\Models\Enums\UserState;
use App\Models\User;
use App\Practice\Goals;
use App\Words\Term;
use Core\Sight\Role;

/** Training plans: who is to have done what by when, and how far it has come. */
final readonly class PlansPage
{
    private const WEEKS = 4;

    public function __construct(private Goals $goals, private Codebooks $codebooks)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $goals = $this->goals->of($user);
        $open = count(array_filter($goals, static fn (array $g): bool => ! $g['isDone']));
        $late = count(array_filter($goals, static fn (array $g): bool => $g['late']));
        $faults = [];
        foreach ($this->codebooks->current()->faults as $key => $fault) {
            $faults[$key] = $fault->name;
        }
        $day = now()->timezone(Academy::zone());

        return [
            'head' => $user->isHeadCoach(),
            'title' => trans_choice('plans.title', $open, ['count' => $open]),
            'late' => $late === 0 ? null : trans_choice('plans.late', $late, ['count' => $late]),
            'goals' => $goals,
            'people' => $user->isHeadCoach() ? self::people() : [],
            'kinds' => Term::all('plans.kinds', array_column(GoalKind::cases(), 'value')),
            'faults' => $faults,
            'due' => $day->copy()->addWeeks(self::WEEKS)->toDateString(),
            'from' => $day->copy()->startOfYear()->toDateString(),
            'to' => $day->toDateString(),
        ];
    }

    /** @return array<int, string> */
    private static function people(): array
    {
        $out = [];
        foreach (User::query()->where('state', UserState::Active)->where('role', Role::Instructor)->orderBy('name')->get() as $u) {
            $out[$u->id] = $u->name;
        }

        return $out;
    }
}
