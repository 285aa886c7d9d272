<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Models\Enums\TestState;
use App\Models\ReadinessDecision;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\User;
use Core\Training\DecisionKind;
use Illuminate\Database\Query\Builder;

/**
 * What waits for a head coach about readiness: who asks to be tested, who appeals, which test is over and not decided.
 */
final class WaitingForHead
{
    /** @return list<array{says: string, url: string}> the oldest first */
    public static function of(User $head): array
    {
        $tests = ReadinessTest::query()
            ->whereIn('state', [TestState::Asked, TestState::SignedOff, TestState::Refused, TestState::Undecided])
            ->where('user_id', '<>', $head->id)
            ->whereNotExists(static fn (Builder $q) => $q
                ->selectRaw('1')
                ->from('readiness_decisions')
                ->whereColumn('readiness_decisions.readiness_test_id', 'readiness_tests.id'))
            ->whereHas('user', static fn ($q) => $q->where('state', 'active'))
            ->with(['user', 'rule'])
            ->orderBy('id')
            ->get();
        $last = ReadinessDecision::query()->selectRaw('max(id)')->groupBy('user_id', 'readiness_rule_id');
        $appeals = ReadinessDecision::query()
            ->whereIn('id', $last)
            ->where('kind', DecisionKind::Appealed)
            ->with(['user', 'rule'])
            ->orderBy('id')
            ->get();
        if ($tests->isEmpty() && $appeals->isEmpty()) {
            return [];
        }
        $rules = ReadinessRule::query()->current()->get()->keyBy(static fn (ReadinessRule $r): int => $r->line());
        $out = [];
        foreach ($tests as $test) {
            $out[] = self::line(
                $test->state === TestState::Asked ? 'asks' : 'over',
                $test->user,
                $rules->get($test->rule->line()),
            );
        }
        foreach ($appeals as $appeal) {
            $out[] = self::line('appeals', $appeal->user, $rules->get($appeal->rule->line()));
        }

        return array_values(array_filter($out, static fn (?array $line): bool => $line !== null));
    }

    /** @return array{says: string, url: string}|null null where the rule is laid down */
    private static function line(string $what, User $person, ?ReadinessRule $rule): ?array
    {
        return $rule === null ? null : [
            'says' => (string) __("readiness.waiting.$what", ['name' => $person->name, 'rule' => $rule->name]),
            'url' => route('readiness.show', [$rule, $person]),
        ];
    }
}
