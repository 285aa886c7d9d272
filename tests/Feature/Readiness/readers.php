<?php

use App\Models\KeyEntry;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Readiness\Actions\KeepRule;
use App\Sight\Onlookers;
use App\Sittings\Actions\HandInReading;
use App\Sittings\Actions\SaveChanges;
use Core\Codebook\StandardLenses;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\ReadinessRule as CoreRule;

/** Somebody who has read nothing and was told nothing. */
function whoReadNothing(string $name = 'Nell Newcome'): User
{
    return User::query()->forceCreate([
        'name' => $name, 'email' => str_replace(' ', '.', strtolower($name)).'@fernhollow.example',
        'role' => 'instructor',
        'password' => 'x',
    ]);
}

/** @param  list<Criterion>|null  $criteria */
function aRule(?array $criteria = null, array $bars = []): ReadinessRule
{
    $all = app(App\Codebook\Codebooks::class)->current()->keys();

    return app(KeepRule::class)('Footwork alone', null, StandardLenses::DEFAULT, new CoreRule($criteria ?? [
        new Criterion('all', $all, CriterionKind::Sensitivity, 0.5, 0.9),
        new Criterion('all', $all, CriterionKind::Specificity, 0.6, 0.95),
    ], $bars, 12), test()->headCoach());
}

/** The case that waits in a test. */
function waiting(ReadinessTest $test): ?Reading
{
    app(Onlookers::class)->forget();

    return Sitting::query()->withoutGlobalScope(Sitting::SHARED)->findOrFail($test->sitting_id)->readings()
        ->whereNull('handed_in_at')
        ->whereNull('sitting_cases.withdrawn_at')
        ->with(['case.sitting', 'case.swings', 'case.recording', 'arm'])
        ->first();
}

/** Says of every fault what the key says, or the opposite, and hands in. */
function readAs(ReadinessTest $test, Reading $reading, bool $right): void
{
    $labels = KeyEntry::query()
        ->where('key_version_id', $test->fresh()->sitting->key_version_id)
        ->where('case_id', $reading->case->case_id)
        ->get()
        ->filter(fn (KeyEntry $e): bool => ($e->scoredLabel() === 'present') === $right && $e->scoredLabel() !== null)
        ->pluck('fault')
        ->all();
    app(SaveChanges::class)($reading, 'a-bench', test()->changes(test()->sheet($labels))['changes']);
    app(HandInReading::class)($reading->fresh(), $reading->user);
}
