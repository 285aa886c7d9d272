<?php

use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\StandardLenses;
use Core\CoreException;
use Core\Reading\Aid;
use Core\Reading\Call;
use Core\Reading\Chain;
use Core\Reading\Edit;
use Core\Reading\Misses;
use Core\Reading\Outside;
use Core\Reading\Pin;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Reading\Severity;
use Core\Reading\Stop;
use Core\Reading\Trend;
use Core\Reading\Turf;

/** @param  list<array{string, mixed}>  $edits */
function edited(array $edits, Reading $reading = new Reading([])): Reading
{
    foreach ($edits as [$target, $value]) {
        $reading = (new Edit($target, $value))
            ->applyTo($reading, CodebookDocument::standard()->names(StandardLenses::DEFAULT));
    }

    return $reading;
}

it('builds a whole reading change by change', function () {
    $r = edited([
        [
            'call:sway',
            [
                'presence' => 'present',
                'severity' => 2,
                'onset' => 'LB',
                'decision' => 'later',
                'confidence' => 80,
                'pins' => [
                    ['on' => 'film', 't' => 1.2, 'view' => 'face-on', 'reason' => ' hip past the foot '],
                    ['on' => 'turf', 'reason' => 'scuff behind', 'turf' => 'dug-behind'],
                ],
                'reaction' => 'outside-fear',
            ],
        ],
        ['call:hang-back', ['presence' => 'present', 'severity' => 3]],
        ['call:fall-off', ['presence' => 'cannot-tell']],
        ['call:no-load', ['presence' => 'absent', 'sound' => true]],
        ['causes', ['sway', 'outside-grip', 'sway', 'outside-other']],
        ['other-cause', ' looks up early '],
        ['breaks', 3],
        ['chain', [['sway', 'hang-back'], ['outside-grip', 'hang-back']]],
        ['cue', '  turn, do not slide '],
        ['drill', ['key' => 'box-turn', 'stop' => 'short-iron']],
        ['misses', ['thin' => 20, 'fat' => 50]],
        ['mark:TP', 1.501], ['mark:IM', 1.75],
        ['aids', [['kind' => 'plumb', 'view' => 'face-on', 'points' => [['x' => 0.5, 'y' => 0.25, 't' => 0.6]]]]],
    ]);
    expect($r->calls['sway']->pins[0])
        ->toEqual(new Pin('film', 1.2, 'hip past the foot', 'face-on'))
        ->and($r->calls['sway']->pins[1]->t)
        ->toBeNull()
        ->and($r->firstCauses)
        ->toBe(['sway', 'outside-grip', 'outside-other'])
        ->and($r->otherCause)->toBe('looks up early')
        ->and($r->breaks)->toBe(3)
        ->and($r->calls['sway']->reaction)->toBe(Outside::Fear)
        ->and($r->calls['sway']->pins[1]->turf)->toBe(Turf::DugBehind)
        ->and($r->calls['no-load']->sound)->toBeTrue()
        ->and($r->chain->roots())
        ->toBe(['sway', 'outside-grip'])
        ->and($r->cue)
        ->toBe('turn, do not slide')
        ->and([$r->drill, $r->stop])
        ->toBe(['box-turn', Stop::ShortIron])
        ->and($r->misses->percent)->toBe(['fat' => 50, 'thin' => 20])
        ->and($r->misses->none())->toBe(30)
        ->and($r->marks)
        ->toBe(['TP' => 1.501, 'IM' => 1.75])
        ->and($r->aids)
        ->toHaveCount(1);
    $less = edited([['call:sway', null], ['drill', null], ['misses', []], ['breaks', null], ['mark:TP', null]], $r);
    expect(array_keys($less->calls))
        ->toBe(['hang-back', 'fall-off', 'no-load'])
        ->and([$less->drill, $less->stop, $less->breaks])
        ->toBe([null, null, null])
        ->and($less->misses->none())->toBe(100)
        ->and($less->marks)
        ->toBe(['IM' => 1.75]);
});

it('gives the same reading in whatever order changes of different things arrive', function () {
    $edits = [
        ['call:sway', ['presence' => 'present', 'severity' => 1]],
        ['call:no-load', ['presence' => 'absent']],
        ['cue', 'wait'],
        ['misses', ['thin' => 60]],
        ['mark:IM', 1.7],
        ['causes', ['sway']],
    ];
    $one = edited($edits);
    foreach ([[5, 4, 3, 2, 1, 0], [2, 0, 4, 1, 5, 3]] as $order) {
        expect(edited(array_map(static fn (int $i): array => $edits[$i], $order)))->toEqual($one);
    }
});

it('refuses a value that makes no sense, in a sentence', function (string $target, mixed $value, string $says) {
    expect(fn () => edited([[$target, $value]]))->toRefuse($says);
})->with([
    ['call:moonwalk', ['presence' => 'absent'], "no fault 'moonwalk'"],
    ['call:sway', 'present', 'wrong shape'],
    ['call:sway', ['present'], 'wrong shape'],
    ['call:sway', [], 'no such presence'],
    ['call:sway', ['presence' => ['present']], 'no such presence'],
    ['call:sway', ['presence' => 'present', 'severity' => '2'], 'Severity is 1'],
    ['call:sway', ['presence' => 'absent', 'severity' => 2], 'belong only'],
    ['call:sway', ['presence' => 'present', 'onset' => 'QQ'], 'no such station'],
    ['call:sway', ['presence' => 'present', 'confidence' => 101], 'between 50 and 100'],
    ['call:sway', ['presence' => 'absent', 'trend' => 'worse'], 'belong only'],
    ['call:sway', ['presence' => 'present', 'pins' => array_fill(0, 7, ['on' => 'turf'])], '6 pins at most'],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'film']]], 'needs its time'],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'ball', 't' => 1]]], 'has no time'],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'film', 't' => 'x']]], 'number'],
    [
        'call:sway',
        ['presence' => 'present', 'pins' => [['on' => 'trace', 't' => 1, 'view' => 'face-on']]],
        'Only a pin on film',
    ],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'turf', 'reason' => str_repeat('x', 121)]]], 'short'],
    ['causes', 'sway', 'must be a list'],
    ['causes', [['sway']], 'text'],
    ['causes', ['sway', 'no-load', 'fall-off', 'outside-grip'], 'At most 3'],
    ['causes', ['not-in-the-feet'], 'say which'],
    ['causes', ['outside-weather'], "no fault 'outside-weather'"],
    ['chain', [['sway', 'outside-grip']], 'not an effect'],
    ['other-cause', str_repeat('x', 61), 'at most 60'],
    ['call:sway', ['presence' => 'absent', 'reaction' => 'outside-grip'], 'belong only'],
    ['call:sway', ['presence' => 'present', 'reaction' => 'sway'], 'no such cause outside'],
    ['call:sway', ['presence' => 'present', 'sound' => true], 'called absent'],
    ['call:sway', ['presence' => 'absent', 'sound' => 1], 'so or it is not'],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'ball', 'turf' => 'spun']]], 'Only a pin on turf'],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'turf', 'turf' => 'clean']]], 'Only a pin on turf'],
    ['breaks', 1, 'after the first'],
    ['breaks', 6, 'after the first'],
    ['breaks', -2, 'after the first'],
    ['breaks', '2', 'after the first'],
    ['misses', ['fat' => 60, 'thin' => 50], 'more than 100'],
    ['misses', ['fat' => 0], '1 to 100'],
    ['misses', ['fat' => '50'], '1 to 100'],
    ['misses', ['none' => 50], 'no such miss'],
    ['misses', ['shank' => 50], 'no such miss'],
    ['misses', [50], 'wrong shape'],
    ['misses', null, 'wrong shape'],
    ['chain', [['sway']], 'one finding to one other'],
    ['chain', [['sway', 'sway']], 'to itself'],
    ['chain', [['sway', 'no-load'], ['sway', 'no-load']], 'twice'],
    ['chain', [['sway', 'no-load'], ['no-load', 'fall-off'], ['fall-off', 'sway']], 'in a circle'],
    ['chain', 7, 'must be a list'],
    ['cue', null, 'text'],
    ['cue', str_repeat('é', 121), 'at most 120'],
    ['cue', "\xff", 'text'],
    ['drill', ['key' => 'dance'], 'no such drill'],
    ['drill', ['key' => 'step-in', 'stop' => 'moon'], 'no such stopping point'],
    ['miss', 'shank', 'no such miss'],
    ['mark:TB', 1.0, 'Only the top and impact'],
    ['mark:TP', -1.0, 'within the recording'],
    ['mark:TP', NAN, 'number'],
    ['mark:TP', 1e12, 'within the recording'],
    ['aids', [['kind' => 'circle', 'view' => 'face-on', 'points' => []]], 'no such drawing aid'],
    [
        'aids',
        [['kind' => 'plumb', 'view' => 'above', 'points' => [['x' => 0, 'y' => 0, 't' => 0]]]],
        'face-on or the down-the-line',
    ],
    ['aids', [['kind' => 'hips', 'view' => 'face-on', 'points' => [['x' => 0, 'y' => 0, 't' => 0]]]], 'has 2 points'],
    [
        'aids',
        [['kind' => 'plumb', 'view' => 'face-on', 'points' => [['x' => 1.2, 'y' => 0, 't' => 0]]]],
        'within the picture',
    ],
    [
        'aids',
        array_fill(0, 25, ['kind' => 'plumb', 'view' => 'face-on', 'points' => [['x' => 0, 'y' => 0, 't' => 0]]]),
        'more than 24',
    ],
    ['secret', 1, 'nothing of that name'],
    ['', 1, 'nothing of that name'],
]);

it('lays a chain out from causes to effects', function () {
    $chain = new Chain([['a', 'c'], ['b', 'c'], ['c', 'd'], ['a', 'd']]);
    expect($chain->layers())
        ->toBe([['a', 'b'], ['c'], ['d']])
        ->and($chain->roots())
        ->toBe(['a', 'b'])
        ->and((new Chain())->layers())
        ->toBe([]);
});

it('never lets random links become a circle', function (int $seed) {
    $chance = new Core\Chance\Chance("chain|$seed");
    $links = [];
    for ($k = 0; $k < 60; $k++) {
        $link = ['n'.(int) (6 * $chance->uniform()), 'n'.(int) (6 * $chance->uniform())];
        try {
            $links = (new Chain([...$links, $link]))->links;
        } catch (CoreException) {
        }
    }
    $order = array_flip(array_merge(...(new Chain($links))->layers()));
    foreach ($links as [$from, $to]) {
        expect($order[$from])->toBeLessThan($order[$to]);
    }
})->with(range(1, 8));

it('says what of the chain and the drill stands in the way', function () {
    $calls = allAbsent([
        'sway' => new Call('sway', Presence::Present, Severity::Clear, trend: Trend::Worse),
        'hang-back' => new Call('hang-back', Presence::Present, Severity::Clear),
    ]);
    $r = new Reading($calls, ['sway']);
    $r = $r->with([
        'cue' => 'turn',
        'drill' => 'box-turn',
        'misses' => new Misses(['fat' => 100]),
        'chain' => new Chain([['sway', 'no-load']]),
        'marks' => ['TP' => 1.0, 'IM' => 1.3],
    ]);
    expect(sentences($r->obstacles(Codebook::standard())))
        ->toBe([
            'Never loads the trail side stands in the chain but is not called present.',
            'How far to take the drill is missing.',
        ]);
    expect(fn () => new Reading([], stop: Stop::Rehearsal))
        ->toRefuse('belongs to a drill')
        ->and(fn () => new Aid('heel', 'face-on', []))
        ->toThrow(CoreException::class);
});

it('has a drill of full text for every key the faults name, and says why of those that harm', function () {
    $drills = Codebook::standard()->drills();
    foreach (Codebook::standard()->faults as $fault) {
        expect(array_diff([...$fault->helps, ...$fault->harms], array_keys($drills)))->toBe([], $fault->key);
    }
    foreach ($drills as $drill) {
        expect($drill->not)
            ->not->toBe('')
            ->and($drill->far)
            ->not->toBe('')
            ->and($drill->harms || ($drill->steps !== [] && $drill->expected !== []))
            ->toBeTrue($drill->key);
        foreach (array_keys($drill->expected) as $measure) {
            expect(Core\Measurement\Measure::tryFrom($measure))->not->toBeNull("$drill->key names $measure");
        }
    }
});

it('knows of a change whether it tells a time: what tells none is not moved', function (string $target, mixed $value, bool $tells) {
    $edit = new Edit($target, $value);
    expect($edit->tellsTimes())->toBe($tells);
    $moved = $edit->later([1 => 0.75, 2 => 1.5])->value;
    expect($moved !== $value)->toBe($tells);
})->with([
    ['call:sway', ['presence' => 'absent', 'pins' => []], false],
    ['call:sway', ['presence' => 'absent'], false],
    ['call:sway', null, false],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'film', 't' => 1.0]]], true],
    ['mark:TP', 1.25, true],
    ['mark:TP', null, false],
    ['aids', [['kind' => 'line', 'view' => 'face-on', 'points' => [['x' => 0.1, 'y' => 0.2, 't' => 1.0]]]], true],
    ['cue', 'Turn', false],
    ['misses', ['fat' => 40], false],
    ['chain', [['sway', 'no-load']], false],
]);
