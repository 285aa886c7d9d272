<?php

use App\Models\AuditEntry;
use App\Models\Recording;
use App\Models\Sitting;
use Core\Codebook\Codebook;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

it('lays years of an academy beside the demo, read by all and published, and only once', function () {
    $before = [Recording::query()->count(), AuditEntry::query()->count()];
    $this->artisan('demo:grow', ['--scale' => '0.01'])->assertSuccessful();
    $grown = Sitting::query()->where('name', 'like', 'Round of year%')->orWhere('name', 'like', 'Panel study%')->get();
    expect($grown)->toHaveCount(7)
        ->and($grown->every(fn (Sitting $s): bool => $s->state === SittingState::Published))->toBeTrue()
        ->and(Recording::query()->count())->toBe($before[0] + 8)
        ->and(AuditEntry::query()->count())->toBeGreaterThan($before[1] + 1000);
    $readings = DB::table('readings')
        ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
        ->whereIn('sitting_id', $grown->pluck('id'));
    $faults = count(Codebook::standard()->keys());
    expect((clone $readings)->whereNull('handed_in_at')->count())->toBe(0)
        ->and(DB::table('calls')->whereIn('reading_id', (clone $readings)->select('readings.id'))->count())
        ->toBe($faults * $readings->count());
    $round = $grown->firstWhere('name', 'Round of year 1');
    $this->actingAs($this->headCoach())->get(route('agreement', $round))->assertOk();
    foreach (['/', '/shelf', '/rounds', '/record'] as $page) {
        $this->get($page)->assertOk();
    }
    $this->artisan('demo:grow', ['--scale' => '0.01'])->assertFailed();
    $this->artisan('demo:grow', ['--scale' => 'much'])->assertFailed();
});
