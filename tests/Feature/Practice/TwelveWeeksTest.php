<?php

use App\Models\KeyEntry;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Practice\FaultTruth;
use App\Practice\PracticePool;
use Core\Chance\Chance;
use Core\Simulation\SlippingLearner;
use Core\Training\Question;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/*
 * People with planted weaknesses practise for weeks through the program's own use cases, and learn by another model
 * than the program's: with slips, guesses and forgetting. First they have read a round of a few swings, as the staff
 * do. `bin/test studies` has thirty of them for twelve weeks.
 */

/** What planted weaknesses begin at, and the rest. */
const BEGINS = ['weak' => 0.1, 'sound' => 0.9];

/**
 * One person's weeks by the program.
 *
 * @return array{SlippingLearner, list<string>, array<string, float>} the learner afterwards, what was asked about,
 *     where it began
 */
function practisedForWeeks(User $user, array $weak, array $faults, int $weeks, Carbon $from, string $seed): array
{
    $began = array_map(
        fn (string $f): float => BEGINS[in_array($f, $weak, true) ? 'weak' : 'sound'],
        array_combine($faults, $faults),
    );
    $learner = new SlippingLearner($began, new Chance("learner $seed"));
    readTheRound($user, $learner);
    $asked = [];
    for ($week = 0; $week < $weeks; $week++) {
        Carbon::setTestNow($from->copy()->addWeeks($week));
        app()->forgetScopedInstances();
        $sitting = app(BeginPractice::class)($user, null, 10);
        for ($place = 1; $sitting->fresh()->ended_at === null; $place++) {
            app()->forgetScopedInstances();
            $answer = PracticeAnswer::query()
                ->where('practice_sitting_id', $sitting->id)
                ->where('place', $place)
                ->with(['entry', 'made'])
                ->sole();
            $truth = app(FaultTruth::class)->label($answer, (string) $answer->fault);
            $knows = $learner->answers((string) $answer->fault);
            $said = $knows ? $truth : ($truth === 'present' ? 'absent' : 'present');
            expect(app(AnswerQuestion::class)($sitting, $place, $said, $user)->right)->toBe($knows);
            $asked[] = (string) $answer->fault;
        }
        $learner->sleeps(7.0);
    }

    return [$learner, $asked, $began];
}

/** As if this person had read the published round: every call that its key settles, right where it is known. */
function readTheRound(User $user, SlippingLearner $learner): void
{
    $round = test()->round('Spring');
    DB::statement('set local session_replication_role = replica');
    foreach ($round->cases()->where('occasion', 1)->orderBy('id')->get() as $place) {
        $reading = DB::table('readings')->insertGetId([
            'public_id' => Str::lower(Str::random(26)), 'sitting_case_id' => $place->id, 'user_id' => $user->id,
            'arm_id' => $place->arm_id ?? DB::table('sitting_arms')->where('sitting_id', $round->id)->value('id'),
            'stage' => 'blind',
            'position' => 1, 'exposed' => false, 'handed_in_at' => now()->subDay(), 'created_at' => now(),
            'updated_at' => now(),
        ]);
        $calls = [];
        foreach (KeyEntry::query()->where('key_version_id', $round->key_version_id)->where('case_id', $place->case_id)->get() as $entry) {
            $label = $entry->scoredLabel();
            if ($label !== null && isset($learner->knows[$entry->fault])) {
                $right = $learner->answers($entry->fault, false);
                $calls[] = [
                    'reading_id' => $reading, 'fault' => $entry->fault, 'confidence' => 70, 'pins' => '[]',
                    'presence' => $right ? $label : ($label === 'present' ? 'absent' : 'present'),
                ];
            }
        }
        DB::table('calls')->insert($calls);
    }
    DB::statement('set local session_replication_role = origin');
}

/** The same person asked as often, of the same faults by lot, or from a list. */
function practisedOtherwise(array $began, array $faults, int $answers, bool $lot, string $seed): SlippingLearner
{
    $learner = new SlippingLearner($began, new Chance("learner $seed"));
    $chance = new Chance("lot $seed");
    for ($i = 0; $i < $answers; $i++) {
        $learner->answers($faults[$lot ? $chance->between(0, count($faults) - 1) : $i % count($faults)]);
        if ($i % 10 === 9) {
            $learner->sleeps(7.0);
        }
    }

    return $learner;
}

it('finds planted weaknesses within forty answers, and makes more of each answer than lot or list', function () {
    // The published round asks of all eight swings here: three of the open one stand in it too.
    [$spring, $autumn] = [test()->round('Spring'), test()->round('Autumn')];
    DB::statement('set local session_replication_role = replica');
    foreach ($autumn->cases()->where('occasion', 1)->orderBy('id')->get() as $case) {
        $case->replicate()->forceFill(['sitting_id' => $spring->id, 'arm_id' => $case->arm_id])->save();
    }
    DB::statement('set local session_replication_role = origin');
    $people = many(3, 30);
    $weeks = many(4, 12);
    $from = Carbon::now()->startOfDay()->addHours(19);
    $found = $planted = 0;
    $gain = ['program' => 0.0, 'lot' => 0.0, 'list' => 0.0];
    for ($i = 0; $i < $people; $i++) {
        $user = User::query()->forceCreate([
            'name' => "Learner $i", 'email' => "learner$i@fernhollow.example", 'role' => 'instructor', 'password' => 'x',
        ]);
        $faults = array_values(array_unique(array_map(
            static fn (Question $q): string => $q->fault,
            app(PracticePool::class)->of($user),
        )));
        expect(count($faults))->toBeGreaterThan(15);
        $weak = array_slice((new Chance("weak $i"))->shuffled($faults), 0, 4);
        [$learner, $asked, $began] = practisedForWeeks($user, $weak, $faults, $weeks, $from, "$i");
        $counts = array_count_values(array_slice($asked, 0, 40));
        foreach ($weak as $fault) {
            $planted++;
            $found += ($counts[$fault] ?? 0) >= 3 ? 1 : 0;
        }
        $before = (new SlippingLearner($began, new Chance('before')))->chance();
        $gain['program'] += ($learner->chance() - $before) / count($asked);
        foreach (['lot' => true, 'list' => false] as $by => $lot) {
            $gain[$by] += (practisedOtherwise($began, $faults, count($asked), $lot, "$i")->chance() - $before) / count(
                $asked,
            );
        }
        // Never the same swing twice in a row.
        $swings = PracticeAnswer::query()
            ->whereHas('sitting', fn ($q) => $q->where('user_id', $user->id))
            ->orderBy('id')
            ->get()->groupBy('practice_sitting_id');
        foreach ($swings as $of) {
            foreach ($of->values() as $k => $answer) {
                expect($k > 0 && $of[$k - 1]->swing() === $answer->swing())->toBeFalse();
            }
        }
    }
    Carbon::setTestNow();
    $figures = ['found' => $found / $planted, 'gain' => array_map(fn (float $g): float => 1e4 * $g / $people, $gain)];
    // Of 120 planted weaknesses 95 were found by eight swings' evidence; docs/training.md has what fourteen give.
    expect($found / $planted)->toBeGreaterThanOrEqual($people > 10 ? 0.72 : 0.6, json_encode($figures))
        ->and($gain['program'])->toBeGreaterThan(1.25 * $gain['lot'], json_encode($figures))
        ->and($gain['program'])->toBeGreaterThan(1.25 * $gain['list'], json_encode($figures));
})->group('study');
