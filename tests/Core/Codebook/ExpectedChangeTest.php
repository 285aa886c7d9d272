<?php

declare(strict_types=1);

use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\CodebookException;
use Core\Codebook\Drill;
use Core\Codebook\DrillRow;
use Core\Codebook\ExpectedChange;
use Core\Codebook\StandardLenses;
use Core\Codebook\Way;
use Core\Measurement\Measure;
use Core\Motion\Station;

it('is told apart by way, value and station, and comes back as it was written', function () {
    foreach (Codebook::standard()->drills() as $drill) {
        // What can be measured is among what is expected, in words.
        expect(array_diff(array_keys($drill->ways), array_keys($drill->expected)))->toBe([], $drill->key);
        foreach ($drill->ways as $measure => $change) {
            expect(ExpectedChange::fromArray($measure, $change->toArray()))->toEqual($change);
        }
        $read = DrillRow::read($drill->key, DrillRow::write($drill), array_keys(StandardLenses::rows()));
        expect($read)->toEqual($drill);
    }
});

it('has a way for what every prescribed drill is expected to change', function () {
    foreach (Codebook::standard()->drills() as $drill) {
        expect(array_keys($drill->ways))
            ->toEqualCanonicalizing($drill->harms ? [] : array_keys($drill->expected), $drill->key);
    }
});

it('is nothing without what belongs to it', function (string $measure, array $of) {
    ExpectedChange::fromArray($measure, $of);
})->with([
    'no such measure' => ['no_such', ['way' => 'larger']],
    'no way' => ['level_share', []],
    'another way' => ['level_share', ['way' => 'better']],
    'toward nothing' => ['heel_toe_ratio', ['way' => 'toward']],
    'toward a word' => ['heel_toe_ratio', ['way' => 'toward', 'value' => 'two']],
    'a value for larger' => ['level_share', ['way' => 'larger', 'value' => 3]],
    'no station where there are several' => ['pelvis_sway', ['way' => 'smaller']],
    'a station where there is none' => ['level_share', ['way' => 'larger', 'at' => 'IM']],
    'no such station' => ['pelvis_sway', ['way' => 'smaller', 'at' => 'ZZ']],
    'a way that is a list' => ['level_share', ['way' => ['larger']]],
])->throws(CodebookException::class);

it('measures how far a value has come', function () {
    $larger = new ExpectedChange(Measure::LevelShare, Way::Larger);
    $smaller = new ExpectedChange(Measure::FootSpin, Way::Smaller);
    $toward = new ExpectedChange(Measure::PelvisSway, Way::Toward, 0.0, Station::BackswingArm);
    expect($larger->goodness(70.0) - $larger->goodness(60.0))->toBe(10.0)
        ->and($smaller->goodness(10.0))->toBeGreaterThan($smaller->goodness(20.0))
        ->and($toward->goodness(-2.0))->toBe($toward->goodness(2.0))
        ->and($toward->goodness(0.0))->toBeGreaterThan($toward->goodness(1.0));
});

it('is refused where a document speaks of what the drill does not change', function () {
    $row = DrillRow::write(Codebook::standard()->drills()['step-in']);
    $lenses = array_keys(StandardLenses::rows());
    foreach ([['tempo' => ['way' => 'larger']], ['level_share' => 'larger'], ['level_share' => ['way' => 'up']]] as $ways) {
        expect(fn (): Drill => DrillRow::read('step-in', [...$row, 'ways' => $ways], $lenses))
            ->toThrow(CodebookException::class);
    }
    // A document of before, without ways, reads as it did.
    expect(DrillRow::read('step-in', array_diff_key($row, ['ways' => 0]), $lenses)->ways)->toBe([]);
    expect(CodebookDocument::standard()->whole()['drills']['step-in']['ways']['level_share'])
        ->toBe(['way' => 'larger']);
});
