<?php

declare(strict_types=1);

namespace App\Readiness\Pages;

use App\Models\Enums\TestState;
use App\Models\ReadinessDecision;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\User;
use App\Readiness\Evidence;
use App\Readiness\RuleWords;
use App\Readiness\Standings;
use App\Readiness\TestCases;
use App\Readiness\TestRun;
use App\Sight\Onlookers;
use Core\Number\Written;
use Core\Planning\SignOffDecision;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\BarStanding;
use Core\Training\DecisionKind;

/**
 * One person beside one rule: the evidence rung by rung and what is missing, the test, the decision and all before it.
 */
final readonly class StandingPage
{
    public function __construct(
        private Evidence $evidence,
        private TestRun $run,
        private TestCases $cases,
        private RuleWords $words,
        private Onlookers $onlookers,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(ReadinessRule $rule, User $person, User $asking): array
    {
        $standing = Standings::ofOne($person, $rule);
        $shown = $this->evidence->of($person, $rule, $asking);
        $test = ReadinessTest::query()
            ->where('user_id', $person->id)
            ->whereHas('rule', static fn ($q) => $q->where('id', $rule->line())->orWhere('first_id', $rule->line()))
            ->whereIn('state', [TestState::Asked, TestState::Open])
            ->with(['rule', 'sitting'])
            ->first();
        $ended = TestRun::newest($person, $rule);
        $own = $person->is($asking);

        return [
            'rule' => $rule,
            'person' => $person,
            'own' => $own,
            'head' => $asking->isHeadCoach(),
            'about' => $this->words->about($rule),
            'standing' => ReadinessPage::says($standing),
            'state' => $standing->state->value,
            'appealed' => $standing->isAppealed,
            'cases' => $shown['cases'],
            'criteria' => $this->criteria($rule, $shown['criteria'], $ended, $asking->isHeadCoach() && ! $own),
            'bars' => array_map(
                static fn (Bar $bar): array => self::bar($bar, $shown['bars'][$bar->kind->value]),
                array_values($rule->toCore()->bars),
            ),
            'test' => $test === null ? null : $this->test($test),
            'ended' => $ended === null ? null : trans_choice('readiness.test.ended', $cases = TestRun::asked($ended), [
                'date' => $ended->ended_at?->format('j M Y') ?? '',
                'state' => (string) __("readiness.test.states.{$ended->state->value}"),
                'count' => $cases,
            ]),
            'stuck' => $test?->state === TestState::Open && $test->sitting !== null && ! TestRun::waits($test->sitting),
            'fresh' => $asking->isHeadCoach()
                && $test?->state !== TestState::Open ? $this->fresh($rule, $person, $asking) : null,
            'may' => array_values(array_filter(
                DecisionKind::cases(),
                static fn (DecisionKind $k): bool => $standing->may($k) && ! $own && ! $k->isOwn(),
            )),
            'mayAppeal' => $own && $standing->may(DecisionKind::Appealed),
            'mayAsk' => $own && $test === null && ! $asking->isHeadCoach(),
            'reaches' => Evidence::reaches($shown) && $ended?->state === TestState::SignedOff,
            'decisions' => array_values(Standings::decisions($person, $rule)->reverse()->map(
                static fn (ReadinessDecision $d): array => [
                    'kind' => $d->kind->value,
                    'word' => (string) __("readiness.decisions.{$d->kind->value}"),
                    'by' => $d->decider->name,
                    'date' => $d->created_at->format('j M Y'),
                    'reason' => $d->reason,
                    'conditions' => $d->conditions,
                    'until' => $d->until?->format('j M Y'),
                    'version' => $d->rule->version,
                    'statement' => $d->code === null ? null : route('readiness.statement', $d),
                ],
            )->all()),
        ];
    }

    /**
     * @param  list<array{right: int, calls: int, figure: \Core\Agreement\Figure}>  $found
     * @param  bool  $counts  whether right calls are told: on few kept cases they would tell the key to who made them
     * @return list<array<string, mixed>>
     */
    private function criteria(ReadinessRule $rule, array $found, ?ReadinessTest $ended, bool $counts): array
    {
        $course = $ended === null || $ended->readiness_rule_id !== $rule->id ? null : $this->run->of($ended);
        $out = [];
        foreach ($rule->toCore()->criteria as $i => $criterion) {
            $figure = $found[$i]['figure'];
            $out[] = [
                'name' => RulePage::named($criterion),
                'asks' => (string) __('readiness.asks', [
                    'bar' => Written::fixed(100.0 * $criterion->bar, 0),
                    'good' => Written::fixed(100.0 * $criterion->good, 0),
                ]),
                'share' => $figure->estimate === null ? null : Written::fixed(100.0 * $figure->estimate, 0),
                'of' => (string) __('readiness.of', ['right' => $found[$i]['right'], 'calls' => $found[$i]['calls']]),
                'interval' => $figure->low === null || $figure->high === null ? null : [
                    'low' => round(100.0 * $figure->low, 1),
                    'high' => round(100.0 * $figure->high, 1),
                ],
                'at' => round(100.0 * ($figure->estimate ?? 0.0), 1),
                'bar' => round(100.0 * $criterion->bar, 1),
                'good' => round(100.0 * $criterion->good, 1),
                'test' => $course === null ? null : (string) __($counts ? 'readiness.test.criterion' : 'readiness.test.decided', [
                    'decision' => (string) __('readiness.test.states.'.($course->decisions[$i] === SignOffDecision::GoesOn
                        ? SignOffDecision::Undecided
                        : $course->decisions[$i])->value),
                    'right' => (string) $course->counted[$i][0],
                    'calls' => (string) $course->counted[$i][1],
                ]),
            ];
        }

        return $out;
    }

    /** @return array{kind: string, name: string, asks: string, says: string, verdict: string, more: string} */
    private static function bar(Bar $bar, BarStanding $stands): array
    {
        $kind = $bar->kind->value;
        $write = static fn (float $v): string => Written::fixed($bar->kind->isShare() ? 100.0 * $v : $v, 0);

        return [
            'kind' => $kind,
            'name' => (string) __("readiness.bars.$kind.name"),
            'asks' => (string) __("readiness.bars.$kind.asks", ['limit' => $write($bar->limit), 'of' => (string) $bar->of]),
            'says' => $stands->value === null ? (string) __('readiness.nothing') : (string) __("readiness.bars.$kind.says", [
                'value' => $write($stands->value),
                'n' => (string) $stands->n,
            ]),
            'verdict' => $stands->verdict->value,
            'more' => $stands->more === null || $stands->more === 0 || $bar->kind === BarKind::Recency
                ? ''
                : trans_choice("readiness.more.{$stands->verdict->value}", $stands->more, ['count' => $stands->more]),
        ];
    }

    /** @return array{id: string, state: string, says: string} while it runs nobody is told how it stands */
    private function test(ReadinessTest $test): array
    {
        return [
            'id' => $test->public_id,
            'state' => $test->state->value,
            'says' => $test->state === TestState::Asked
                ? (string) __('readiness.test.asked', ['date' => $test->created_at->format('j M Y')])
                : trans_choice('readiness.test.open', $cases = TestRun::asked($test), [
                    'date' => $test->began_at?->format('j M Y') ?? '',
                    'count' => $cases,
                ]),
        ];
    }

    /** What a test could be made of. */
    private function fresh(ReadinessRule $rule, User $person, User $asking): string
    {
        $cases = $this->cases->best($person, $rule, $this->onlookers->of($asking)->hidden())[1];

        return trans_choice('readiness.test.fresh', count($cases), [
            'count' => count($cases),
            'golfers' => count(array_unique(array_column($cases, 'golfer'))),
        ]);
    }
}
