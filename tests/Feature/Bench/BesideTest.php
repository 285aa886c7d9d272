<?php

use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Actions\MeasureRecording;
use App\Sight\Onlookers;
use App\Sight\SeriesTurns;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Sight\SittingKind;

it('finds what a recording may be put beside, and goes there where only one fits', function () {
    $all = Recording::query()->with('golfer')->orderBy('id')->get();
    $first = $all->first();
    $at = fn (array $ask): string => "/bench/$first->public_id/with?".http_build_query($ask);
    $this->actingAs($this->headCoach());
    $names = $all->countBy(fn (Recording $r): string => $r->golfer->pseudonym);
    $alone = $all->first(fn (Recording $r): bool => $names[$r->golfer->pseudonym] === 1 && ! $r->is($first));
    $this->get($at(['find' => mb_strtoupper($alone->golfer->pseudonym)]))
        ->assertRedirect("/bench/$first->public_id/with/$alone->public_id");
    $this->get($at(['find' => 'wood', 'other' => $alone->public_id]))->assertOk()->assertSee('fit “wood”');
    foreach (['%', '_', 'nobody', '<i>'] as $nothing) {
        $this->get($at(['find' => $nothing]))->assertOk()->assertSee('Nothing fits')->assertDontSee('<i>', false);
    }
    $this->get($at(['other' => $alone->public_id]))->assertRedirect("/bench/$first->public_id/with/$alone->public_id");
    $this->get($at(['other' => 'zzz']))->assertRedirect("/bench/$first->public_id");
    $this->get($at(['find' => str_repeat('a', 99)]))->assertRedirect();
    // An instructor finds what is published to them, and no more.
    $tam = $this->person('tam');
    $this->actingAs($tam);
    $seen = $all->filter(fn (Recording $r): bool => $tam->can('view', $r));
    $own = $seen->first();
    $found = $this->get("/bench/$own->public_id/with?find=o")->assertOk()->getContent();
    foreach ($all->diff($seen) as $hidden) {
        expect($found)->not->toContain($hidden->public_id);
    }
});

it('draws a list’s shapes from what was kept, and gives them to recordings that were measured before', function () {
    $measure = app(MeasureRecording::class);
    $recording = Recording::query()->firstOrFail();
    $kept = $measure($recording);
    [$shape, $supported] = [$kept->shape, $kept->supported];
    expect($shape)->toStartWith('M0 ')->and(substr_count($shape, 'L'))->toBe(40);
    MeasurementSet::query()->whereKey($kept->id)->update(['shape' => null, 'supported' => null, 'held' => null]);
    $this->actingAs($this->headCoach())->get('/shelf')->assertOk();
    expect($measure($recording->fresh())->only('shape', 'supported'))
        ->toBe(['shape' => $shape, 'supported' => $supported])
        ->and($kept->fresh()->updated_at->gte($kept->updated_at))
        ->toBeTrue();
    foreach (Recording::query()->with('measured')->get() as $each) {
        $by = array_keys(array_filter(
            $each->measured->faults['early-recentre'],
            // One that only leans is not said to be there.
            static fn (array $f): bool => $f['verdict'] === 'supported' && ($f['margin'] ?? 0.0) >= 1.0,
        ));
        expect($each->measured->supported)->toEqualCanonicalizing($by);
    }
});

it('numbers the swings of a series without a gap for one that is hidden', function () {
    $swings = Recording::query()->orderBy('id')->limit(4)->get();
    foreach ($swings->take(3) as $swing) {
        $swing->update(['golfer_id' => $swings[0]->golfer_id, 'series' => 'one evening']);
    }
    $turns = function (User $user): array {
        app(Onlookers::class)->forget();

        return SeriesTurns::among(
            Recording::query()->orderBy('id')->limit(4)->get(),
            app(Onlookers::class)->of($user),
        );
    };
    [$a, $b, $c] = $swings->take(3)->modelKeys();
    expect($turns($this->headCoach()))->toBe([$a => 1, $b => 2, $c => 3]);
    // The first waits to be read blind: the others are numbered as if it were not there.
    $tam = $this->person('tam');
    $before = $turns($tam);
    $round = app(PlanRound::class)('Once more', SittingKind::Round, [$a], [$tam->id], 'both', $this->headCoach());
    app(OpenRound::class)($round, $this->headCoach());
    expect($before)->toBe([$a => 1, $b => 2, $c => 3])->and($turns($tam))->toBe([$b => 1, $c => 2]);
    $this->actingAs($tam)
        ->get("/bench/{$swings[3]->public_id}/with?find=evening")
        ->assertOk()
        ->assertSee('one evening 2')
        ->assertDontSee('one evening 3')
        ->assertDontSee($swings[0]->public_id);
});
