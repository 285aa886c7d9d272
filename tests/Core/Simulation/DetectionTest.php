<?php

use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Motion\View;
use Core\Simulation\Camera;
use Core\Simulation\DetectionStudy;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;

it('says what the rules say of the true values, or leaves it open, with every instrument and lens', function () {
    $study = new DetectionStudy('test');
    for ($i = 0, $count = many(12, 60); $i < $count; $i++) {
        $study->golfer($i);
    }
    $present = $found = $open = $absent = $false = 0;
    foreach ($study->counts as $lens => $arms) {
        foreach ($arms as $arm => $faults) {
            foreach ($faults as $fault => $c) {
                expect($c['found'] + $c['leaning'] + $c['denied'])->toBeLessThanOrEqual($c['present'])
                    ->and($c['between'])->toBeLessThanOrEqual($c['absent']);
                if ($c['sight'] === Observability::NotObservable) {
                    expect($c['found'] + $c['false'])->toBe(0, "$fault cannot be seen with $arm and is never reported");
                }
                if ($c['sight'] === Observability::Observable) {
                    expect($c['denied'])->toBe(0, "$fault, there, is not denied with $arm by $lens");
                    $present += $c['present'];
                    $found += $c['found'];
                    $open += $c['leaning'];
                    $absent += $c['absent'];
                    $false += $c['false'];
                }
            }
        }
    }
    fwrite(STDERR, sprintf(
        "  detection: of %d there %d found and %d open; of %d not there %d supported\n",
        $present, $found, $open, $absent, $false,
    ));
    expect($study->golfers)->toBe($count)
        ->and($study->ordinary)->toBe((int) ceil($count / 6))
        ->and($present)->toBeGreaterThan(200)
        ->and(($found + $open) / $present)->toBeGreaterThan(0.95)
        ->and($found / $present)->toBeGreaterThan(0.6)
        ->and($false / $absent)->toBeLessThan(0.01);
    // What stands clear of its threshold by more than its ± is hardly ever on the other side.
    foreach ($study->distances['observable'] as $verdict => $bins) {
        $far = array_filter(
            $bins,
            static fn (int $k): bool => DetectionStudy::DISTANCES[$k] >= 1.0,
            ARRAY_FILTER_USE_KEY,
        );
        expect(array_sum(array_column($far, 'other')) / array_sum(array_column($far, 'n')))
            ->toBeLessThan(0.03, "$verdict beyond its ±");
    }
})->group('study');

it('adds up what several processes counted, and is the same for the same seed', function () {
    $both = new DetectionStudy('same');
    $both->golfer(1);
    $both->golfer(2);
    $sum = new DetectionStudy('same');
    foreach ([1, 2] as $i) {
        $one = new DetectionStudy('same');
        $one->golfer($i);
        $sum->add(unserialize(serialize($one)));
    }
    expect([$sum->counts, $sum->margins, $sum->golfers])->toEqual([$both->counts, $both->margins, $both->golfers])
        ->and($sum->distances['observable']['contradicted'][7]['n'])
        ->toBe($both->distances['observable']['contradicted'][7]['n'])
        ->and(DetectionStudy::planted(6, 'same')->faults)->toBe([])
        ->and(count(DetectionStudy::planted(7, 'same')->faults))->toBe(3);
});

it('tells by the margin alone how well who has a fault is told from who has not', function () {
    $study = new DetectionStudy('area');
    $study->margins['mat']['no-load'] = [0 => [-30 => 15, -10 => 15], 2 => [-10 => 10, 20 => 20], 3 => [5 => 30]];
    // By hand: of 30 x 30 pairs 20 x 30 and 10 x 15 are in order, 10 x 15 are equal.
    expect($study->area('mat', 'no-load', 2))->toEqualWithDelta((600 + 150 + 75) / 900, 1e-12)
        ->and($study->area('mat', 'no-load', 3))->toBe(1.0)
        ->and($study->area('mat', 'no-load', 1))->toBeNull()
        ->and($study->area('film', 'no-load', 2))->toBeNull();
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
