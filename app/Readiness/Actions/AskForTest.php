<?php

declare(strict_types=1);

namespace App\Readiness\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\TestState;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\User;
use App\Readiness\Events\ReadinessChanged;
use Illuminate\Support\Facades\DB;

/** A person asks to be tested; asked twice it is one request. */
final readonly class AskForTest
{
    /** @throws ActionException */
    public function __invoke(User $user, ReadinessRule $rule): ReadinessTest
    {
        return DB::transaction(static function () use ($user, $rule): ReadinessTest {
            User::query()->lockForUpdate()->findOrFail($user->id);
            if ($rule->retired_at !== null) {
                throw ActionException::because('refusals.readiness.rule-old', [], ActionException::CONFLICT);
            }
            $under = ReadinessTest::query()
                ->where('user_id', $user->id)
                ->where('readiness_rule_id', $rule->id)
                ->whereIn('state', [TestState::Asked, TestState::Open])
                ->first();
            if ($under !== null) {
                return $under;
            }
            $test = ReadinessTest::query()->create([
                'user_id' => $user->id,
                'readiness_rule_id' => $rule->id,
                'state' => TestState::Asked,
                'asked_by' => $user->id,
            ]);
            event(new ReadinessChanged('asked', ['test' => $test->id, 'person' => $user->id], $user));

            return $test;
        });
    }

    public function decline(ReadinessTest $test, User $by): void
    {
        DB::transaction(static function () use ($test, $by): void {
            $done = ReadinessTest::query()
                ->whereKey($test->id)
                ->where('state', TestState::Asked)
                ->update(['state' => TestState::Declined, 'ended_at' => now()]);
            if ($done === 0) {
                throw ActionException::because('refusals.readiness.not-asked', [], ActionException::CONFLICT);
            }
            event(new ReadinessChanged('declined', ['test' => $test->id, 'person' => $test->user_id], $by));
        });
    }
}
