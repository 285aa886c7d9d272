<?php

use App\Bench\Pages\Comparison;
use App\Models\Recording;
use Core\Measurement\Difference;

beforeEach(function () {
    [$this->first, $this->second] = Recording::query()
        ->where('device_class', 'dual-plate')
        ->with('golfer')
        ->orderBy('id')
        ->take(2)
        ->get()
        ->all();
});

it('puts two swings side by side with the differences beside their uncertainty', function () {
    $this->actingAs($this->headCoach())
        ->get("/bench/{$this->first->public_id}/with/{$this->second->public_id}")
        ->assertOk()
        ->assertSee('Two single swings')
        ->assertSee('prove nothing')
        ->assertSee("/bench/{$this->first->public_id}/evidence")
        ->assertSee("/bench/{$this->second->public_id}/evidence")
        ->assertSee('left-handed and mirrored');
    $rows = collect(
        app(Comparison::class)->of($this->first, $this->second, 'early-recentre', test()->headCoach())['rows'],
    )->keyBy('key');
    $share = $rows['impact_share'];
    expect($share['difference']->change)
        ->toEqualWithDelta($share['second']['value'] - $share['first']['value'], 1e-9)
        ->and($share['difference']->uncertainty)
        ->toEqualWithDelta(hypot($share['first']['uncertainty'], $share['second']['uncertainty']), 1e-9);
    foreach ($rows as $row) {
        expect(
            $row['difference'] instanceof Difference ||
                is_string($row['why']) ||
                is_string($row['first']['value']) ||
                is_string($row['second']['value']),
        )->toBeTrue($row['key']);
    }
});

it('turns every difference round when the two are changed about', function () {
    $there = collect(
        app(Comparison::class)->of(
            $this->first->fresh(),
            $this->second->fresh(),
            'early-recentre',
            test()->headCoach(),
        )['rows'],
    )->keyBy('key');
    $back = collect(
        app(Comparison::class)->of(
            $this->second->fresh(),
            $this->first->fresh(),
            'early-recentre',
            test()->headCoach(),
        )['rows'],
    )->keyBy('key');
    expect($there->count())->toBeGreaterThan(40);
    foreach ($there as $key => $row) {
        expect($row['difference']?->change)->toBe(
            $row['difference'] === null ? null : 0.0 - $back[$key]['difference']->change,
        );
    }
});

it('compares means over warm swings where both are series', function () {
    $all = Recording::query()->whereIn('device_class', ['dual-plate', 'mat'])->orderBy('id')->take(6)->get();
    foreach ($all as $i => $r) {
        app(App\Shelf\Actions\MeasureRecording::class)($r->fresh());
        $r->update(['golfer_id' => $all[0]->golfer_id, 'series' => $i < 3 ? 'before' : 'after']);
    }
    $page = app(Comparison::class)->of($all[0]->fresh(), $all[3]->fresh(), 'early-recentre', test()->headCoach());
    expect($page['bySeries'])
        ->toBeTrue()
        ->and($page['counts'])
        ->toBe([3, 3]);
    $values = fn (int $from): array => $all
        ->slice($from, 3)
        ->map(fn (Recording $r): float => $r->measured()->first()->measurements['impact_share']['value'])
        ->all();
    $share = collect($page['rows'])->firstWhere('key', 'impact_share');
    expect($share['first']['value'])
        ->toEqualWithDelta(array_sum($values(0)) / 3, 1e-9)
        ->and($share['difference']->change)
        ->toEqualWithDelta((array_sum($values(3)) - array_sum($values(0))) / 3, 1e-9);
    // A cold one set aside leaves too few on that side.
    $all[1]->update(['is_cold' => true]);
    expect(
        app(Comparison::class)->of($all[0]->fresh(), $all[3]->fresh(), 'early-recentre', test()->headCoach())[
            'bySeries'
        ],
    )->toBeFalse();
});

it('offers only what may be seen, and shows nothing else', function () {
    $tam = $this->person('tam');
    $open = $this->round('Spring')->cases()->with('recording')->get()->pluck('recording');
    $shut = $this->round('Autumn')->cases()->with('recording')->get()->pluck('recording');
    $page = $this->actingAs($tam)->get("/bench/{$open[0]->public_id}")->assertOk()->assertSee($open[1]->public_id);
    foreach ($shut as $recording) {
        $page->assertDontSee($recording->public_id);
        $this->get("/bench/{$open[0]->public_id}/with/{$recording->public_id}")->assertNotFound();
        $this->get("/bench/{$recording->public_id}/with/{$open[0]->public_id}")->assertNotFound();
        $this->get("/bench/{$open[0]->public_id}/with?other={$recording->public_id}")
            ->assertRedirect("/bench/{$open[0]->public_id}")
            ->assertSessionHas('refused');
    }
    $this->get("/bench/{$open[0]->public_id}/with/{$open[1]->public_id}")->assertOk();
    $this->get("/bench/{$open[0]->public_id}/with?other=nothing")
        ->assertRedirect("/bench/{$open[0]->public_id}")
        ->assertSessionHas('refused');
});
