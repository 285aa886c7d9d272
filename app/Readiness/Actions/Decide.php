<?php

declare(strict_types=1);

namespace App\Readiness\Actions;

use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\ReadinessDecision;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\User;
use App\Readiness\Events\ReadinessChanged;
use App\Readiness\Evidence;
use App\Readiness\Standings;
use App\Readiness\TestRun;
use Core\Planning\SignOffDecision;
use Core\Training\DecisionKind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Writes down what the head coach decides about somebody, or that somebody appeals, with the evidence as it stands. The
 * decision is a person's; the rule and what it says are kept beside it.
 */
final readonly class Decide
{
    private const REASON = 10;

    public function __construct(private Evidence $evidence, private TestRun $run)
    {
    }

    /** @throws ActionException where it cannot be decided now, or no reason is given */
    public function __invoke(
        User $user,
        ReadinessRule $rule,
        DecisionKind $kind,
        string $reason,
        User $by,
        string $conditions = '',
    ): ReadinessDecision {
        $reason = trim($reason);

        return DB::transaction(function () use ($user, $rule, $kind, $reason, $by, $conditions): ReadinessDecision {
            User::query()->lockForUpdate()->findOrFail($user->id);
            $standing = Standings::ofOne($user, $rule);
            $says = match (true) {
                $kind->isOwn() !== $by->is($user) => 'own',
                ! $kind->isOwn() && ! $by->isHeadCoach() => 'who',
                $rule->retired_at !== null => 'rule-old',
                mb_strlen($reason) < self::REASON => 'reason',
                ! $standing->may($kind) => 'not-now',
                default => null,
            };
            if ($says !== null) {
                throw ActionException::because("refusals.readiness.$says", ['name' => $user->name]);
            }
            $test = TestRun::newest($user, $rule);
            $until = $kind === DecisionKind::SignedOff
                ? Carbon::now(Academy::zone())->addMonthsNoOverflow($rule->toCore()->months)
                : null;
            $evidence = [
                ...Evidence::kept($this->evidence->of($user, $rule, $by), $rule),
                'test' => $test === null ? null : $this->tested($test),
            ];
            $row = [
                'user_id' => $user->id,
                'readiness_rule_id' => $rule->id,
                'readiness_test_id' => $test?->id,
                'kind' => $kind->value,
                'decided_by' => $by->id,
                'reason' => $reason,
                'conditions' => trim($conditions),
                'until' => $until?->format('Y-m-d'),
                'evidence' => $evidence,
            ];
            $decision = ReadinessDecision::query()->create([
                ...$row,
                'checksum' => hash('sha256', json_encode($row, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)),
                'code' => $kind === DecisionKind::SignedOff ? self::code() : null,
            ]);
            event(new ReadinessChanged('decided', [
                'decision' => $decision->id, 'person' => $user->id, 'kind' => $kind->value,
            ], $by));

            return $decision;
        });
    }

    /** @return array<string, mixed> as the test ended */
    private function tested(ReadinessTest $test): array
    {
        $course = $this->run->of($test);

        return [
            'id' => $test->public_id,
            'state' => $test->state->value,
            'criteria' => array_map(static fn (SignOffDecision $d, array $counted, int $cases): array => [
                'decision' => $d->value,
                'right' => $counted[0],
                'calls' => $counted[1],
                'cases' => $cases,
            ], $course->decisions, $course->counted, $course->cases),
        ];
    }

    /** Twenty signs of a set of 32 that nobody confuses: 100 bits. */
    private static function code(): string
    {
        $of = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
        $out = '';
        for ($i = 0; $i < 20; $i++) {
            $out .= $of[random_int(0, 31)];
        }

        return $out;
    }
}
