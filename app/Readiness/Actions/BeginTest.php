<?php

declare(strict_types=1);

namespace App\Readiness\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\TestState;
use App\Models\KeyVersion;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\Sitting;
use App\Models\User;
use App\Readiness\AcademyAlikeness;
use App\Readiness\Events\ReadinessChanged;
use App\Readiness\TestCases;
use App\Sight\Onlookers;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** Begins a test: what it assumes is fixed, its key is frozen, and its first case is put before the person. */
final readonly class BeginTest
{
    public function __construct(private TestCases $cases, private PutNextCase $next, private Onlookers $onlookers)
    {
    }

    /** @throws ActionException where there is nothing to test on, or another test is under way */
    public function __invoke(User $user, ReadinessRule $rule, User $by): ReadinessTest
    {
        return DB::transaction(function () use ($user, $rule, $by): ReadinessTest {
            User::query()->lockForUpdate()->findOrFail($user->id);
            $open = ReadinessTest::query()->where('user_id', $user->id)->where('state', TestState::Open)->first();
            if ($open?->readiness_rule_id === $rule->id) {
                // Whose case was taken away goes on with another.
                ($this->next)($open);

                return $open->refresh();
            }
            [$key, $cases] = $this->cases->best($user, $rule);
            $says = match (true) {
                $rule->retired_at !== null => 'rule-old',
                ! $user->isActive() || $user->isHeadCoach() => 'who',
                $user->is($by) => 'own',
                $open !== null => 'under-way',
                $key === null => 'no-cases',
                default => null,
            };
            if ($says !== null || $key === null) {
                throw ActionException::because("refusals.readiness.$says", ['name' => $user->name]);
            }
            $test = $this->open($user, $rule, $key, $cases, $by);
            ($this->next)($test);
            $this->onlookers->forget();
            event(new ReadinessChanged('begun', ['test' => $test->id, 'person' => $user->id], $by));

            return $test->refresh();
        });
    }

    /** @param  list<array{calls: list<int>, ...}>  $cases */
    private function open(User $user, ReadinessRule $rule, KeyVersion $key, array $cases, User $by): ReadinessTest
    {
        if ($key->frozen_at === null) {
            $key->update(['frozen_at' => now()]);
        }
        $sitting = Sitting::query()->create([
            'reveals' => false,
            'name' => $rule->name,
            'kind' => SittingKind::Test,
            'state' => SittingState::Open,
            'lens' => $rule->lens,
            'codebook_version' => $key->sitting->codebook_version,
            'key_version_id' => $key->id,
            'seed' => bin2hex(random_bytes(16)),
            'created_by' => $by->id,
            'opened_at' => now(),
        ]);
        $sitting->members()->attach($user->id);
        $test = ReadinessTest::query()
            ->where('user_id', $user->id)
            ->where('readiness_rule_id', $rule->id)
            ->where('state', TestState::Asked)
            ->first() ?? new ReadinessTest([
                'user_id' => $user->id,
                'readiness_rule_id' => $rule->id,
                'asked_by' => $by->id,
            ]);
        $test->fill([
            'sitting_id' => $sitting->id,
            'state' => TestState::Open,
            'assumed' => AcademyAlikeness::assumed($rule, $cases),
            'began_at' => now(),
        ])->save();

        return $test;
    }
}
