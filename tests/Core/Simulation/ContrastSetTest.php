<?php

use Core\Codebook\Codebook;
use Core\Codebook\StandardLenses;
use Core\Codebook\SwingReport;
use Core\Codebook\Verdict;
use Core\CoreException;
use Core\Motion\Handedness;
use Core\Motion\Station;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet;
use Core\Simulation\MadeSwing;
use Core\Simulation\Mishap;
use Core\Trace\DeviceClass;

function contrastSet(
    ContrastKind $kind,
    string $fault,
    ?string $other = null,
    ?string $mishap = null,
    DeviceClass $device = DeviceClass::DualPlate,
    Handedness $hand = Handedness::Right,
    int $body = 4,
): ContrastSet {
    return new ContrastSet($kind, $fault, $other, $mishap, $device, $hand, StandardLenses::DEFAULT, $body);
}

it('plants a fault in rising steps, so that the ends are settled and only the slight one is open', function (
    string $fault,
    Handedness $hand,
) {
    $book = Codebook::standard();
    $settled = array_map(
        static fn (MadeSwing $s): ?bool => $s->settles($s->truly(), $book)[$fault] ?? null,
        contrastSet(ContrastKind::Fault, $fault, hand: $hand)->swings(),
    );
    expect(array_keys($settled))->toBe(['absent', 'slight', 'clear', 'dominant'])
        ->and($settled['absent'])->toBeFalse()
        ->and($settled['dominant'])->toBeTrue()
        ->and($settled['slight'])->not->toBeFalse();
})->with(['hang-back', 'no-load', 'spin-out', 'toe-dive'])->with([[Handedness::Right], [Handedness::Left]]);

it('says of a planted fault only what is planted and truly measured alike', function () {
    $swing = new MadeSwing(2, ['hang-back' => 3.0], Handedness::Right, DeviceClass::Mat);
    $book = Codebook::standard();
    $truly = $swing->truly();
    $verdicts = $truly->faults($book);
    foreach ($swing->settles($truly, $book) as $fault => $there) {
        expect($verdicts[$fault]->judgement->verdict)->toBe($there ? Verdict::Supported : Verdict::Contradicted)
            ->and($there)->toBe($fault === 'hang-back');
    }
    // What a planted fault brings along is neither there nor not.
    expect($verdicts['spin-out']->judgement->verdict)->not->toBe(Verdict::Contradicted)
        ->and($swing->settles($truly, $book))->not->toHaveKey('spin-out');
});

it('tells the two of a pair apart, and neither where neither is planted', function () {
    $book = Codebook::standard();
    $set = contrastSet(ContrastKind::Alike, 'late-recentre', 'early-lunge');
    foreach (['neither' => [false, false], 'one' => [true, false], 'other' => [false, true]] as $name => $is) {
        $swing = $set->swings()[$name];
        $settled = $swing->settles($swing->truly(), $book);
        expect([$settled['late-recentre'] ?? null, $settled['early-lunge'] ?? null])->toBe($is, $name);
    }
});

it('does to an instrument what its check of quality finds, and to none of the others', function (string $mishap) {
    $devices = Mishap::all()[$mishap]->devices;
    $device = in_array(DeviceClass::DualPlate, $devices, true) ? DeviceClass::DualPlate : $devices[0];
    $set = contrastSet(ContrastKind::Artefact, ContrastSet::MISTAKEN[$mishap], null, $mishap, $device);
    foreach ($set->swings() as $name => $swing) {
        $notes = (new SwingReport($swing->evidence()))->assessment->quality();
        expect($notes === [])->toBe($name !== 'instrument', $name);
    }
    $swings = $set->swings();
    // The body is the same: what the film shows tells nothing of the instrument.
    expect($swings['instrument']->evidence()->views)->toEqual($swings['neither']->evidence()->views)
        ->and($swings['instrument']->evidence()->trace)->not->toEqual($swings['neither']->evidence()->trace);
})->with(array_keys(ContrastSet::MISTAKEN));

it('makes the same golfer easy at about half the speed, judged by the same rules', function () {
    $book = Codebook::standard();
    $down = [];
    foreach (contrastSet(ContrastKind::Speed, 'late-recentre')->swings() as $name => $swing) {
        $times = $swing->evidence()->stations;
        $down[$name] = $times->t(Station::Impact) - $times->t(Station::Top);
        expect($swing->settles($swing->truly(), $book)['late-recentre'] ?? null)
            ->toBe(str_ends_with($name, '-with'), $name);
    }
    expect($down['easy-without'] / $down['full-without'])->toBeGreaterThan(1.25)
        ->and($down['easy-with'] / $down['full-with'])->toBeGreaterThan(1.25);
});

it('makes the same swing of the same words, and another of any other', function () {
    $one = contrastSet(ContrastKind::Fault, 'sway');
    expect($one->key())->toBe(contrastSet(ContrastKind::Fault, 'sway')->key())
        ->and($one->swings()['clear']->evidence())
        ->toEqual(contrastSet(ContrastKind::Fault, 'sway')->swings()['clear']->evidence());
    $keys = array_map(static fn (ContrastSet $s): string => $s->key(), [
        $one,
        contrastSet(ContrastKind::Speed, 'sway'),
        contrastSet(ContrastKind::Fault, 'slide'),
        contrastSet(ContrastKind::Fault, 'sway', device: DeviceClass::Mat),
        contrastSet(ContrastKind::Fault, 'sway', hand: Handedness::Left),
        contrastSet(ContrastKind::Fault, 'sway', body: 5),
    ]);
    expect(array_unique($keys))->toHaveCount(count($keys));
    foreach ($one->swings() as $swing) {
        expect(MadeSwing::fromArray($swing->toArray()))->toEqual($swing);
    }
});

it('refuses what cannot be made', function (Closure $make) {
    expect($make)->toThrow(CoreException::class);
})->with([
    'no such fault' => [fn () => contrastSet(ContrastKind::Fault, 'nothing-known')],
    'too much of it' => [fn () => new MadeSwing(1, ['sway' => 3.5], Handedness::Right, DeviceClass::Mat)],
    'none of it' => [fn () => new MadeSwing(1, ['sway' => 0.0], Handedness::Right, DeviceClass::Mat)],
    'plates exchanged on a mat' => [fn () => contrastSet(
        ContrastKind::Artefact, 'no-load', null, 'plates-exchanged', DeviceClass::Mat,
    )],
    'no such thing' => [fn () => contrastSet(ContrastKind::Artefact, 'no-load', null, 'struck by lightning')],
]);
