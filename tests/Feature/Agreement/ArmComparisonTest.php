<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\ArmComparison;
use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\Reading;
use App\Models\SittingArm;
use Core\Agreement\Figure;
use Core\Agreement\Undefined;
use Core\Reading\Stage;
use Illuminate\Support\Facades\DB;

/**
 * Spring with its cases shown as the function says, and everybody's calls in them copied from the first reader or, in
 * the other arm, drawn by lot.
 */
function armed(object $test, Closure $arm): array
{
    foreach (['sitting_cases', 'calls', 'readings'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $round = $test->round('Spring');
    foreach ($round->cases()->orderBy('id')->get() as $i => $case) {
        $shown = $arm($i);
        $dealt = SittingArm::in($round, $shown !== 'trace', $shown !== 'film');
        DB::table('sitting_cases')
            ->where('id', $case->id)
            ->update(['arm_id' => $dealt->id]);
        DB::table('readings')
            ->where('sitting_case_id', $case->id)
            ->update(['arm_id' => $dealt->id]);
        foreach (
            Reading::query()
                ->where('sitting_case_id', $case->id)
                ->where('stage', Stage::Blind)
                ->orderBy('id')
                ->get() as $reading
        ) {
            Call::query()->where('reading_id', $reading->id)->delete();
            foreach (array_keys(app(Codebooks::class)->of($round)->faults) as $k => $fault) {
                $present = $shown === 'film' ? ($k + $i) % 3 === 0 : crc32("$reading->id|$fault") % 2 === 0;
                Call::query()->create([
                    'reading_id' => $reading->id,
                    'fault' => $fault,
                    'confidence' => 70,
                    ...$present
                        ? ['presence' => 'present', 'severity' => 1, 'onset' => 'IM', 'decision' => 'later']
                        : ['presence' => 'absent'],
                ]);
            }
        }
    }

    app(ComputeResult::class)($round->refresh());

    $of = ArmComparison::fromRatings(RoundRatings::ofRound($round->refresh(), app(Codebooks::class)));

    return ['arms' => $of->arms, 'differences' => $of->differences];
}

it('tells arms apart in which people agree from arms in which they guess', function () {
    $n = $this->round('Spring')->cases()->count();
    $said = armed($this, fn (int $i): string => $i < $n / 2 ? 'film' : 'trace');
    $arms = array_column($said['arms'], null, 'arm');
    expect(array_keys($arms))
        ->toBe(['film', 'trace'])
        ->and(array_sum(array_column($arms, 'cases')))
        ->toBe($n)
        ->and($arms['film']->same)
        ->toBe(1.0)
        ->and($arms['trace']->same)
        ->toBeLessThan(0.7)
        ->and($said['differences'])
        ->toHaveCount(1)
        ->and($said['differences'][0]->difference->high)
        ->toBeLessThan(0.0)
        ->and($said['differences'][0]->p)
        ->toBeLessThan(0.15);
    $this->actingAs($this->headCoach())
        ->get('/agreement/'.$this->round('Spring')->public_id.'?part=shown')
        ->assertOk()
        ->assertSee('trace only less film only');
});

it('adjusts for three comparisons, and makes none of a single case', function () {
    $said = armed($this, fn (int $i): string => ['film', 'trace', 'both'][$i % 3]);
    expect(array_column($said['arms'], 'arm'))
        ->toBe(['both', 'film', 'trace'])
        ->and($said['differences'])
        ->toHaveCount(3);
    $alone = armed($this, fn (int $i): string => $i === 0 ? 'film' : 'trace');
    expect($alone['differences'][0]->difference)->toEqual(Figure::undefined(Undefined::FewCasesInOne));
    $this->actingAs($this->headCoach())
        ->get('/agreement/'.$this->round('Spring')->public_id.'?part=shown')
        ->assertOk()
        ->assertSee('Too few cases to say whether what was shown matters');
    expect(armed($this, fn (): string => 'both')['differences'])->toBe([]);
});
