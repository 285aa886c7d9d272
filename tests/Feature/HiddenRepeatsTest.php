<?php

use App\Models\Reading;
use App\Models\Recording;
use App\Models\Round;
use App\Models\User;

/** Ids of so many recordings; beyond those of the demo, empty copies that nobody opens. @return list<int> */
function recordingIds(int $n): array
{
    $ids = Recording::query()->whereHas('golfer', fn ($q) => $q->consenting())->orderBy('id')->limit($n)->pluck('id')->all();
    while (count($ids) < $n) {
        $copy = Recording::query()->findOrFail($ids[0])->replicate(['public_id'])->fill(['checksum' => hash('sha256', 'copy'.count($ids))]);
        $copy->save();
        $ids[] = $copy->id;
    }

    return $ids;
}

/** A panel round of so many cases of which some are to be shown again, opened. */
function repeatedRound(object $test, int $cases, int $repeats): Round
{
    $ids = recordingIds($cases);
    $head = $test->headCoach();
    $test->actingAs($head)->post('/rounds', ['name' => 'Twice', 'kind' => 'panel', 'show' => 'trace', 'recordings' => $ids, 'repeats' => array_slice($ids, 0, $repeats), 'members' => User::query()->where('role', User::PANEL)->limit(3)->pluck('id')->all()])->assertSessionHas('done');
    $round = Round::query()->where('name', 'Twice')->firstOrFail();
    $test->actingAs($head)->post("/rounds/{$round->public_id}/open")->assertSessionHas('done');

    return $round->refresh();
}

it('plans a case to be shown again, deals it early and again at the end', function () {
    $round = repeatedRound($this, 12, 2);
    expect($round->cases()->where('occasion', 2)->count())->toBe(2)->and($round->cases()->count())->toBe(14);
    foreach ($round->members as $member) {
        $order = Reading::query()->where('user_id', $member->id)->whereIn('round_case_id', $round->cases()->select('id'))->with('case')->orderBy('position')->get();
        expect($order->pluck('position')->all())->toBe(range(1, 14));
        foreach ($order->filter(fn (Reading $r): bool => $r->case->occasion === 2) as $again) {
            $first = $order->first(fn (Reading $r): bool => $r->case->recording_id === $again->case->recording_id);
            expect($again->position)->toBeGreaterThan(12)->and($first->position)->toBeLessThanOrEqual(2);
        }
    }
});

it('keeps the repeat back for three weeks and ten other cases, and says nothing of it', function () {
    $round = repeatedRound($this, 12, 1);
    $member = $round->members()->firstOrFail();
    $mine = Reading::query()->where('user_id', $member->id)->whereIn('round_case_id', $round->cases()->select('id'))->with(['case.swings', 'case.round'])->orderBy('position')->get();
    $again = $mine->first(fn (Reading $r): bool => $r->case->occasion === 2);
    $this->actingAs($member)->get('/')->assertOk()->assertDontSee($again->public_id)->assertSee('12</b>in all', false);
    $this->actingAs($member)->get("/read/{$again->public_id}")->assertStatus(409);
    foreach ($mine->reject(fn (Reading $r): bool => $r->id === $again->id) as $reading) {
        $reading->update(['handed_in_at' => now()]);
        $this->travel(1)->minutes();
    }
    $this->actingAs($member)->get('/read/next')->assertRedirect('/');
    $this->actingAs($member)->get('/')->assertDontSee($again->public_id);
    $this->travel(20)->days();
    expect($again->fresh(['case'])->comesTooSoon())->toBeTrue();
    $this->travel(2)->days();
    expect($again->fresh(['case'])->comesTooSoon())->toBeFalse();
    $this->actingAs($member)->get('/read/next')->assertRedirect("/read/{$again->public_id}");
    $this->actingAs($member)->get("/read/{$again->public_id}")->assertOk();
    $this->actingAs($member)->get('/')->assertSee('13</b>in all', false);
});

it('does not count days alone: ten other cases must lie between', function () {
    $round = repeatedRound($this, 12, 1);
    $member = $round->members()->firstOrFail();
    $mine = Reading::query()->where('user_id', $member->id)->whereIn('round_case_id', $round->cases()->select('id'))->with('case')->orderBy('position')->get();
    $again = $mine->first(fn (Reading $r): bool => $r->case->occasion === 2);
    $mine->first(fn (Reading $r): bool => $r->case->recording_id === $again->case->recording_id)->update(['handed_in_at' => now()]);
    $this->travel(30)->days();
    expect($again->fresh(['case'])->comesTooSoon())->toBeTrue();
});

it('refuses repeats that could not be kept apart, or are not of the round', function () {
    $ids = recordingIds(13);
    $plan = fn (array $recordings, array $repeats) => $this->actingAs($this->headCoach())->post('/rounds', ['name' => 'Odd', 'kind' => 'panel', 'show' => 'trace', 'recordings' => $recordings, 'repeats' => $repeats, 'members' => [$this->person('odile')->id]]);
    $plan(array_slice($ids, 0, 6), [$ids[0]])->assertSessionHas('refused', 'A case that is shown again has ten others between: with 6 cases none can be. Nothing was stored.');
    $plan(array_slice($ids, 0, 12), [$ids[0], $ids[1], $ids[2]])->assertSessionHas('refused', 'A case that is shown again has ten others between: with 12 cases at most 2 can be. Nothing was stored.');
    $plan(array_slice($ids, 0, 12), [$ids[12]])->assertSessionHas('refused', 'Only a recording of this round can be shown again in it. Nothing was stored.');
    $plan(array_slice($ids, 0, 12), [$ids[0], $ids[0]])->assertSessionHasErrors();
    $this->post('/rounds', ['name' => 'Odd', 'kind' => 'panel', 'show' => 'trace', 'reveals' => '1', 'recordings' => array_slice($ids, 0, 12), 'repeats' => [$ids[0]], 'members' => [$this->person('odile')->id]])->assertSessionHas('refused', fn (string $says): bool => str_contains($says, 'would give itself away'));
    expect(Round::query()->where('name', 'Odd')->count())->toBe(0);
});
