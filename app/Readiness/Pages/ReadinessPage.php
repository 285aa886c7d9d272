<?php

declare(strict_types=1);

namespace App\Readiness\Pages;

use App\Models\Enums\TestState;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\User;
use App\Readiness\RuleWords;
use App\Readiness\Standings;
use Core\Sight\Role;
use Core\Training\ReadinessStanding;
use Illuminate\Support\Carbon;

/** Who is ready for what: for the head coach all of the staff, for anybody else their own. */
final readonly class ReadinessPage
{
    public function __construct(private RuleWords $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $rules = ReadinessRule::query()->current()->orderBy('name')->orderBy('id')->get();
        $people = $user->isHeadCoach()
            ? User::query()
                ->where('role', Role::Instructor)
                ->where('state', 'active')
                ->orderBy('name')
                ->orderBy('id')
                ->get()
            : User::query()->whereKey($user->id)->get();
        $ids = array_values($people->modelKeys());
        $standings = Standings::of(array_map(intval(...), $ids), $rules);
        $tests = ReadinessTest::query()
            ->whereIn('user_id', $ids)
            ->whereIn('state', [TestState::Asked, TestState::Open])
            ->with(['user', 'rule'])
            ->orderBy('id')
            ->get();
        $under = [];
        foreach ($tests as $test) {
            $under[$test->user_id][$test->rule->line()] = $test->state;
        }
        $rows = [];
        foreach ($people as $person) {
            $cells = [];
            foreach ($rules as $rule) {
                $standing = $standings[$person->id][$rule->id];
                $cells[] = [
                    'url' => route('readiness.show', [$rule, $person]),
                    'state' => $standing->state->value,
                    'says' => self::says($standing),
                    'also' => self::also($standing, $under[$person->id][$rule->line()] ?? null),
                    'label' => "$person->name, $rule->name",
                ];
            }
            $rows[] = ['name' => $person->name, 'cells' => $cells];
        }

        return [
            'head' => $user->isHeadCoach(),
            'rules' => array_values($rules->map(fn (ReadinessRule $rule): array => [
                'name' => $rule->name,
                'about' => $this->words->about($rule),
                'url' => route('readiness.rules.show', $rule),
                'ask' => route('readiness.ask', $rule),
            ])->all()),
            'rows' => $rows,
            'asked' => array_values($tests->where('state', TestState::Asked)->map(static fn (ReadinessTest $t): array => [
                'name' => $t->user->name,
                'rule' => $t->rule->name,
                'url' => route('readiness.show', [self::current($t->rule), $t->user]),
            ])->all()),
        ];
    }

    public static function current(ReadinessRule $rule): ReadinessRule
    {
        return $rule->retired_at === null ? $rule : $rule->versions()->whereNull('retired_at')->first() ?? $rule;
    }

    public static function says(ReadinessStanding $standing): string
    {
        $until = $standing->until === null ? '' : Carbon::parse($standing->until)->format('j M Y');

        return (string) __("readiness.states.{$standing->state->value}", ['until' => $until]);
    }

    private static function also(ReadinessStanding $standing, ?TestState $test): string
    {
        return match (true) {
            $standing->isAppealed => (string) __('readiness.appealed'),
            $test === TestState::Asked => (string) __('readiness.test-asked'),
            $test === TestState::Open => (string) __('readiness.test-open'),
            default => '',
        };
    }
}
