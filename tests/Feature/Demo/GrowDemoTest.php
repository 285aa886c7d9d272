<?php

require_once dirname(__DIR__, 3).'/bin/lib/asked.php';

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
    $this->artisan('demo:grow', ['--scale' => '0.01'])->assertFailed();
    $this->artisan('demo:grow', ['--scale' => 'much'])->assertFailed();
    scansNothingLarge();
});

/** Those that have more than ten thousand rows in an academy of five years. */
const LARGE = ['calls', 'readings', 'audit_entries', 'key_entries', 'exposures', 'result_parts'];

/** No page goes through a large table from end to end, or asks more than thirty times. */
function scansNothingLarge(): void
{
    $queries = [];
    foreach (pagesToAsk() as $name => [$user, $path]) {
        $asked = asked($user, $path);
        expect($asked['status'])
            ->toBe(200, $name)
            ->and(count($asked['queries']))
            ->toBeLessThanOrEqual(30, $name)
            ->and($asked['mb'])
            ->toBeLessThan(64.0);
        foreach ($asked['queries'] as [$sql, $bindings]) {
            $queries[$sql] ??= [$name, $bindings];
        }
    }
    // With few rows the planner would go through them all; where it may not, only the lack of an index makes it.
    DB::statement('set local enable_seqscan = off');
    foreach ($queries as $sql => [$name, $bindings]) {
        expect(array_intersect(scannedWhole($sql, $bindings, -1), LARGE))->toBe([], "$name: $sql");
    }
}
