<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\KeptFigures;
use App\Models\Reading;
use Core\Motion\Station;
use Illuminate\Support\Facades\DB;

/** Gives everybody in Spring these marks of the top: the station's time plus what the function says, in ms. */
function markAll(object $test, Closure $off): array
{
    DB::statement('alter table readings disable trigger user');
    $round = $test->round('Spring');
    foreach ($round->readings()->with('case.recording.stations')->orderBy('readings.id')->get() as $i => $reading) {
        $t = $reading->case->recording->stationTimes()->all()['TP']->t;
        $mark = $off($reading, $i);
        Reading::query()
            ->whereKey($reading->id)
            ->update([
                'marks' => $mark === null ? '{}' : json_encode(['TP' => $t + $mark / 1000]),
                'version' => $reading->version + 1,
            ]);
    }
    app(ComputeResult::class)($round);

    return KeptFigures::ofRound($round)->times();
}

it('gives each reader’s lateness and limits against the station’s time', function () {
    $kit = $this->person('kit')->id;
    $times = markAll(
        $this,
        fn (Reading $r, int $i): float => $r->user_id === $kit ? 20.0 + ($r->sitting_case_id % 2 ? 3.0 : -3.0) : 0.0,
    );
    expect($times)->toHaveCount(1)->and($times[0]->station)->toBe(Station::Top);
    $people = array_column($times[0]->people, null, 'rater');
    expect($people['u'.$kit]->figures['bias']->estimate)->toEqualWithDelta(20.0, 3.1)
        ->and($people['u'.$kit]->figures['upper_limit']->estimate)
        ->toBeGreaterThan(5.0 + $people['u'.$kit]->figures['lower_limit']->estimate)
        ->and($people['u'.$this->person('tam')->id]->figures['bias']->estimate)->toEqualWithDelta(0.0, 1e-6);
});

it('takes lasting differences between readers apart from the rest, and says what more readers bring', function () {
    $ids = $this->round('Spring')->members()->orderBy('users.id')->pluck('users.id')->flip();
    $times = markAll($this, fn (Reading $r, int $i): float => 10.0 * $ids[$r->user_id] + ($i % 2 ? 1.0 : -1.0))[0];
    expect($times->reason)
        ->toBeNull()
        ->and($times->readers)
        ->toBe($ids->count())
        ->and($times->between)
        ->toEqualWithDelta(
            10.0 *
                sqrt(
                    array_sum(array_map(fn ($k) => ($k - ($ids->count() - 1) / 2) ** 2, range(0, $ids->count() - 1))) /
                        ($ids->count() - 1),
                ),
            1.5,
        )
        ->and($times->within)
        ->toBeLessThan(2.0)
        ->and($times->meanOf[1] / $times->meanOf[3])
        ->toEqualWithDelta(sqrt(3), 1e-9);
    $this->actingAs($this->headCoach())
        ->get('/agreement/'.$this->round('Spring')->public_id.'?part=times')
        ->assertOk()
        ->assertSee('One reader places top within ±');
});

it('says why there is nothing to say', function () {
    expect(markAll($this, fn () => null))->toBe([]);
    $kit = $this->person('kit')->id;
    $alone = markAll($this, fn (Reading $r): ?float => $r->user_id === $kit ? 5.0 : null)[0];
    expect($alone->between)->toBeNull()->and(worded($alone->reason))->toContain('needs two readers');
    $this->actingAs($this->headCoach())
        ->get('/agreement/'.$this->round('Spring')->public_id.'?part=times')
        ->assertOk()
        ->assertSee('Top and impact, as people mark them')
        ->assertSee('Needs two readers');
    $this->actingAs($this->person('tam'))
        ->get('/agreement/'.$this->round('Spring')->public_id)
        ->assertOk()
        ->assertDontSee('as people mark them');
    // What is the head coach's alone is not to be had by asking for it.
    $own = $this->get('/agreement/'.$this->round('Spring')->public_id)->getContent();
    foreach (['part=times', 'part=people', 'part=pairs', 'part=faults', 'part=shown', 'part[]=people', 'part=no'] as $ask) {
        $said = $this->get('/agreement/'.$this->round('Spring')->public_id."?$ask")->assertOk()->getContent();
        expect($said)->toBe($own);
    }
});
