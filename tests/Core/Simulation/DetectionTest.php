<?php

use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Motion\View;
use Core\Simulation\Camera;
use Core\Simulation\DetectionStudy;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;

it('finds what was planted and supports nothing else, with every device', function () {
    $study = DetectionStudy::run(many(10, 48), 'test');
    $asked = $found = $clean = $false = 0;
    foreach ($study->counts as $fault => $arms) {
        foreach ($arms as $arm => $c) {
            expect($c['asked'] + $c['clean'])->toBeGreaterThan(0, "$fault, $arm");
            if ($c['sight'] === Observability::Observable) {
                $asked += $c['asked'];
                $found += $c['found'];
                $clean += $c['clean'];
                $false += $c['false'];
            }
            // What can be seen only through a proxy may stay unmeasured, but is not denied.
            expect($c['contradicted'])
                ->toBe(0, "$fault, planted, is not contradicted with $arm")
                ->and($c['found'] + $c['contradicted'])
                ->toBeLessThanOrEqual($c['asked'])
                ->and($c['supported'])
                ->toBeLessThanOrEqual($c['found']);
            if ($c['sight'] === Observability::NotObservable) {
                expect($c['supported'])->toBe(0, "$fault cannot be seen with $arm and is never reported");
            }
        }
    }
    fwrite(
        STDERR,
        sprintf(
            "  detection: %d of %d found where observable, %d of %d supported without cause\n",
            $found,
            $asked,
            $false,
            $clean,
        ),
    );
    expect($found / $asked)
        ->toBeGreaterThanOrEqual(0.97)
        ->and($false / $clean)
        ->toBeLessThanOrEqual(0.02)
        ->and($study->unflagged)
        ->toBe(0);
})->group('study');

it('reports its progress and is the same for the same seed', function () {
    $steps = [];
    $a = DetectionStudy::run(2, 'same', function (int $n) use (&$steps): void {
        $steps[] = $n;
    });
    expect($steps)->toBe([1, 2])->and(DetectionStudy::run(2, 'same')->counts)->toEqual($a->counts);
});

it('plants every fault of the codebook and knows what each entails', function () {
    // One of them counts under another lens only.
    expect(Plant::FAULTS)->toEqualCanonicalizing([...Codebook::standard()->keys(), 'lead-leg-leave'])
        ->and(Codebook::standard('quiet-centre')->keys())->toContain('lead-leg-leave');
    foreach (Plant::ENTAILS as $fault => $others) {
        expect(Plant::FAULTS)->toContain($fault, ...$others);
    }
});

it('keeps limbs whole, feet on the ground and pushes within what a golfer can do, whatever is planted', function (
    string $fault,
) {
    $s = Swing::simulated(new GolferSpec("body $fault", new Plant([$fault => 3])));
    $m = $s->motion();
    foreach (
        [
            ['lead_hip', 'lead_knee'],
            ['lead_knee', 'lead_ankle'],
            ['trail_hip', 'trail_knee'],
            ['trail_knee', 'trail_ankle'],
            ['lead_shoulder', 'lead_elbow'],
            ['lead_elbow', 'lead_hand'],
        ] as [$a, $b]
    ) {
        $lengths = [];
        foreach (range(0, $m->frames() - 1, 6) as $i) {
            $lengths[] = sqrt(
                array_sum(
                    array_map(static fn (int $k): float => ($m->points[$a][$k][$i] - $m->points[$b][$k][$i]) ** 2, [
                        0,
                        1,
                        2,
                    ]),
                ),
            );
        }
        expect(max($lengths) - min($lengths))->toBeLessThan(0.5, "$a to $b");
    }
    foreach (['lead_heel', 'trail_heel', 'lead_toe', 'trail_toe'] as $point) {
        expect(min($m->points[$point][2]))->toBeGreaterThan(-0.5);
    }
    expect(max($s->trace->totalForce()->values))
        ->toBeLessThan(230.0)
        ->and(min($s->trace->totalForce()->values))
        ->toBeGreaterThan(30.0);
})->with(Plant::FAULTS);

it('sees with each camera only what that camera sees, with its noise', function () {
    $m = Swing::simulated(new GolferSpec('camera'))->motion();
    $film = Camera::record($m, View::FaceOn, 'a');
    expect($film->view)
        ->toBe(View::FaceOn)
        ->and($film->points['pelvis'][1][10])
        ->toBeNan();
    $errors = array_map(
        static fn (float $a, float $b): float => $a - $b,
        $film->points['pelvis'][0],
        $m->points['pelvis'][0],
    );
    $sd = sqrt(array_sum(array_map(static fn (float $e): float => $e * $e, $errors)) / count($errors));
    expect($sd)->toEqualWithDelta(4.0, 0.6)
        ->and(Camera::record($m, View::FaceOn, 'a')->points['head'][2][50])->toBe($film->points['head'][2][50])
        ->and(Camera::record($m, View::FaceOn, 'b')->points['head'][2][50])->not->toBe($film->points['head'][2][50]);
});
