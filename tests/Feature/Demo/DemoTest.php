<?php

use App\Demo\Fernhollow;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\User;
use Core\Simulation\Mishap;
use Core\Simulation\Swing;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;
use Core\Trace\Repair;
use Illuminate\Support\Facades\DB;

it('is the scenario of the brief: a panel of five, eight instructors, all classes and both hands', function () {
    $roles = array_count_values(array_map(fn (array $p): string => $p[2]->value, Fernhollow::people()));
    $rows = Fernhollow::recordings();
    expect($roles)
        ->toBe(['head-coach' => 1, 'panel' => 5, 'instructor' => 8])
        ->and(count($rows))
        ->toBeGreaterThanOrEqual(12)
        ->and(array_unique(array_map(fn ($r) => $r['spec']->device->value, $rows)))
        ->toHaveCount(3)
        ->and(array_unique(array_map(fn ($r) => $r['spec']->hand->value, $rows)))
        ->toHaveCount(2)
        ->and(array_unique(array_column($rows, 'club')))
        ->toHaveCount(3);
    foreach ($rows as $row) {
        expect($row['golfer'])->toMatch('/^[A-Z][a-z]+$/');
    }
});

it('has a study finished, a round published and a round half answered', function () {
    $count = fn (string $name): array => [
        $this->round($name)->state->value,
        $this->round($name)->readings()->count(),
        $this->round($name)->readings()->whereNotNull('handed_in_at')->count(),
    ];
    [$state, $all, $done] = $count('Autumn');
    expect($count('Winter'))
        ->toBe(['published', 40, 40])
        ->and($count('Spring'))
        ->toBe(['published', 40, 40])
        ->and($state)
        ->toBe('open')
        ->and($done)
        ->toBeGreaterThan(0.3 * $all)
        ->toBeLessThan(0.75 * $all);
});

it('stores nowhere what was planted', function () {
    foreach (
        DB::select("select table_name, column_name from information_schema.columns where table_schema = 'public'") as $column
    ) {
        expect($column->column_name)->not->toContain('plant')->not->toContain('truth')->not->toContain('fault_seed');
    }
    expect(json_encode(DB::table('recordings')->get()))->not->toContain('hang-back')->not->toContain('late-');
});

it('makes a panel that mostly agrees and mostly with the measurement', function () {
    $grades = KeyEntry::query()->get()->countBy('grade');
    expect($grades['verified'] / $grades->sum())->toBeGreaterThan(0.7);
});

it('gives its people believable, different strengths', function () {
    $rows = collect(keptBodies($this->round('Spring'))['against_key']);
    expect($rows)
        ->toHaveCount(8)
        ->and($rows->pluck('specificity.estimate')->unique()->count())
        ->toBeGreaterThan(3)
        ->and($rows->avg('specificity.estimate'))
        ->toBeGreaterThan(0.7)
        ->and($rows->avg('sensitivity.estimate'))
        ->toBeGreaterThan(0.5);
});

it('leaves an unfinished reading untouched and every finished one complete', function () {
    foreach (Reading::query()->with('calls')->get() as $reading) {
        expect($reading->calls->count())->toBe($reading->handed_in_at === null ? 0 : 28);
    }
});

it('prints a log-in for each role, and loads nothing over existing data', function () {
    $this->artisan('demo:logins')
        ->expectsOutputToContain('maren@fernhollow.example')
        ->expectsOutputToContain('odile@fernhollow.example')
        ->expectsOutputToContain('tam@fernhollow.example')
        ->assertSuccessful();
    $before = User::query()->count();
    $this->artisan('demo:load')->expectsOutputToContain('not empty')->assertFailed();
    expect(User::query()->count())->toBe($before);
});

it('holds one recording whose instrument was set wrong, with what would set it right', function () {
    expect(Fernhollow::MISHAPS)->toHaveCount(1);
    foreach (Fernhollow::MISHAPS as $which => $mishap) {
        $row = collect(Fernhollow::series())->sole(fn (array $r): bool => str_starts_with($which, $r['series'].' '));
        $swing = Swing::simulated($row['specs'][(int) substr($which, -1) - 1]);
        $trace = Mishap::all()[$mishap]->doneTo($swing->trace, 0.0);
        $repairs = array_filter(array_map(
            static fn (QualityFinding $f): ?Repair => Repair::of($f->remark, $trace->device),
            Quality::findings($trace),
        ));
        expect(Quality::findings($swing->trace))->toBe([])
            ->and($repairs)->toHaveCount(1)
            ->and(Quality::findings(reset($repairs)->applyTo($trace)))->toBe([]);
    }
});
