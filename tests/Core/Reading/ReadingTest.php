<?php

use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Motion\Station;
use Core\Reading\Call;
use Core\Reading\CaseKind;
use Core\Reading\Chain;
use Core\Reading\Decision;
use Core\Reading\Miss;
use Core\Reading\Misses;
use Core\Reading\Outside;
use Core\Reading\Pin;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Reading\Severity;
use Core\Trace\DeviceClass;

it('is complete when every fault has a call and what is present has a severity and a first cause', function () {
    expect((new Reading(allAbsent()))->obstacles(Codebook::standard()))
        ->toBe([])
        ->and(
            (new Reading(
                allAbsent(['sway' => new Call('sway', Presence::Present, Severity::Clear)]),
                ['sway'],
                'Turn, do not slide',
            ))->obstacles(Codebook::standard()),
        )
        ->toBe([])
        ->and((new Reading(allAbsent(), [Outside::Grip->value]))->obstacles(Codebook::standard()))
        ->toBe([]);
});

it('says one by one what stands in the way', function () {
    $calls = allAbsent(['sway' => new Call('sway', Presence::Present)]);
    unset($calls['fall-off']);
    $reading = new Reading($calls, ['hang-back', 'sway'], 'one two three four five six seven eight nine');
    expect(sentences($reading->obstacles(Codebook::standard())))
        ->toBe([
            'Drifting off the ball is called present without a severity.',
            'Does not finish on the lead side has no call.',
            'A first cause must be a fault called present, or lie outside the feet.',
            'The cue has more than eight words.',
        ])
        ->and(sentences((new Reading(
            allAbsent(['sway' => new Call('sway', Presence::Present, Severity::Slight)]),
        ))->obstacles(Codebook::standard())))
        ->toBe(['A first cause is missing.']);
});

it('asks which cause lies outside the feet, what another is, what a mark is and where a ladder breaks', function () {
    $says = static fn (Reading $r, CaseKind $kind = CaseKind::Single): array => sentences(
        $r->obstacles(Codebook::standard(), $kind),
    );
    expect($says(new Reading(allAbsent(), [Reading::NOT_IN_THE_FEET])))
        ->toBe(['A cause is “not in the feet”: say which.'])
        ->and($says(new Reading(allAbsent(), [Outside::Other->value])))
        ->toBe(['Another cause outside the feet needs a few words.'])
        ->and($says(new Reading(allAbsent(), [Outside::Other->value], otherCause: 'looks up')))->toBe([])
        ->and($says(new Reading(allAbsent()), CaseKind::Ladder))
        ->toBe(['Where the change breaks on the ladder is missing.'])
        ->and($says(new Reading(allAbsent(), breaks: Core\Reading\Ladder::HOLDS), CaseKind::Ladder))->toBe([])
        ->and($says(new Reading(allAbsent(['sway' => new Call('sway', Presence::Absent, pins: [new Pin('turf')])]))))
        ->toBe(['Drifting off the ball has a pin on turf that does not say what the mark is.'])
        // What a sheet of before said in a chain is asked for again too.
        ->and($says(new Reading(
            allAbsent(['sway' => new Call('sway', Presence::Present, Severity::Clear)]),
            ['sway'],
            chain: new Chain([[Reading::NOT_IN_THE_FEET, 'sway']]),
        )))->toBe(['A cause is “not in the feet”: say which.']);
});

it('takes one miss of a sheet of before as sure, and its none as none', function () {
    expect(Misses::certain(Miss::Fat)->percent)->toBe(['fat' => 100])
        ->and(Misses::certain(Miss::None)->none())->toBe(100)
        ->and((new Misses(['slice' => 30, 'push' => 30, 'fat' => 35]))->percent)
        ->toBe(['fat' => 35, 'push' => 30, 'slice' => 30]);
});

it('counts words as a person does', function () {
    expect(Reading::words('  press   the ground, then turn '))
        ->toBe(5)
        ->and(Reading::words(''))
        ->toBe(0)
        ->and(Reading::words("tourne\u{a0}d’abord"))
        ->toBe(2);
});

it('counts calls that what was shown cannot support, and never a "cannot tell"', function () {
    $calls = allAbsent([
        'sway' => new Call('sway', Presence::CannotTell),
        'spin-out' => new Call('spin-out', Presence::Present, Severity::Clear),
    ]);
    expect((new Reading($calls))->unsupported(Codebook::standard(), new Shown(DeviceClass::Mat, false)))
        ->toBe([
            'locked-feet',
            'knees-in',
            'ahead-of-pressure',
            'trail-rise',
            'chest-first',
            'spin-out',
            'knee-part',
            'slide',
            'early-rise',
            'weak-couple',
            'head-back',
            'late-push',
        ])
        ->and((new Reading($calls))->unsupported(Codebook::standard(), new Shown(DeviceClass::DualPlate, true)))
        ->toBe(['knee-part']);
});

it('refuses a call that contradicts itself', function (Closure $make, string $why) {
    expect($make)->toRefuse($why);
})->with([
    [fn () => new Call('sway', Presence::Absent, Severity::Clear), 'belong only to a fault called present'],
    [fn () => new Call('sway', Presence::CannotTell, null, Station::Top), 'belong only to a fault called present'],
    [fn () => new Call('sway', Presence::Absent, decision: Decision::Now), 'belong only to a fault called present'],
    [fn () => new Call('sway', Presence::Present, Severity::Clear, confidence: 40), 'between 50 and 100'],
    [fn () => new Call('sway', Presence::CannotTell, confidence: 60), 'carries no confidence'],
    [fn () => new Pin('film', -1.0), 'within the recording'],
    [fn () => new Pin('floor', 1.0), 'film, trace, ball'],
]);
