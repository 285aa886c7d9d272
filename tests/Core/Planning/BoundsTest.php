<?php

use Core\Planning\Candidate;
use Core\Planning\SimulatedWidth;

it('says of many simulated studies what they came to, the widest fifth left out', function () {
    $widths = [0.9, 0.1, 0.5, 0.3, 0.7, 0.2, 0.6, 0.4, 0.8, 1.0, 0.0];
    $s = SimulatedWidth::summed(24, 14, $widths, array_fill(0, 11, 0.25), 10);
    expect([$s->cases, $s->studies, $s->undefined])->toBe([24, 14, 3])
        ->and($s->mean)->toEqualWithDelta(0.5, 1e-12)
        // Eight of ten steps from the narrowest to the widest.
        ->and($s->most)->toBe(0.8)
        ->and($s->estimate)->toEqualWithDelta(0.25, 1e-12)
        // Of those that had an interval at all.
        ->and($s->coverage)->toEqualWithDelta(10 / 11, 1e-12)
        ->and($s->toArray())->toBe([
            'cases' => 24, 'studies' => 14, 'mean_width' => $s->mean, 'width_80' => 0.8,
            'mean_estimate' => $s->estimate, 'coverage' => $s->coverage, 'undefined' => 3,
        ]);
    $none = SimulatedWidth::summed(24, 14, [], [], 0);
    expect([$none->mean, $none->most, $none->estimate, $none->coverage, $none->undefined])
        ->toBe([null, null, null, null, 14])
        ->and(SimulatedWidth::summed(3, 1, [0.4], [0.1], 1)->most)->toBe(0.4)
        ->and(SimulatedWidth::summed(3, 100, range(1.0, 100.0), range(1.0, 100.0), 95)->most)->toBe(80.0);
});

it('grades how hard a case is by thirds, the line to the harder', function (float $difficulty, string $grade) {
    $case = new Candidate('c', [], $difficulty, ['device' => 'mat']);
    expect($case->grade())->toBe($grade)->and($case->allTraits)->toBe(['difficulty' => $grade, 'device' => 'mat']);
})->with([
    [0.0, 'easy'], [0.3333, 'easy'], [1 / 3, 'middling'], [0.6666, 'middling'], [2 / 3, 'hard'], [1.0, 'hard'],
]);
