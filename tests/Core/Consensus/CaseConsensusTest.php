<?php

use Core\Consensus\CaseConsensus;
use Core\Consensus\SetTally;
use Core\Consensus\Tally;
use Core\Format\Json\CaseConsensusJson;
use Core\Reading\Call;
use Core\Reading\Chain;
use Core\Reading\Decision;
use Core\Reading\Misses;
use Core\Reading\Outside;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Reading\Severity;

/** @param  array<string, Decision>  $now  what is present, and what to do with it */
function advisedReading(array $now, array $causes, array $change = []): Reading
{
    $calls = ['no-load' => new Call('no-load', Presence::Absent, sound: true)];
    foreach ($now as $fault => $decision) {
        $calls[$fault] = new Call($fault, Presence::Present, Severity::Clear, decision: $decision);
    }

    return (new Reading($calls, $causes))->with($change);
}

it('settles a set only where every part has its majority, in or out', function (array $sets, ?array $settled) {
    expect(SetTally::of($sets, 0.75, 3)->settled())->toBe($settled);
})->with([
    'all the same' => [[['a'], ['a'], ['a']], ['a']],
    'three of four' => [[['a'], ['a'], ['a'], ['b']], ['a']],
    'a second part lies between' => [[['a', 'b'], ['a', 'b'], ['a'], ['a']], null],
    'two parts' => [[['b', 'a'], ['a', 'b'], ['a', 'b', 'c'], ['b', 'a']], ['a', 'b']],
    'nothing is an answer' => [[[], [], [], ['a']], []],
    'named twice counts once' => [[['a', 'a'], ['a'], ['b'], ['b']], null],
    'too few' => [[['a'], ['a']], null],
    'nobody' => [[], null],
]);

it('settles a question with one answer by its majority, ties never', function () {
    expect(Tally::of(['x', 'x', 'x', 'y'], 0.75, 3)->settled)->toBe('x')
        ->and(Tally::of(['x', 'x', 'y', 'y'], 0.5001, 3)->settled)->toBeNull()
        ->and(Tally::of(['x', 'x'], 0.75, 3)->settled)->toBeNull()
        ->and(Tally::of(['b', 'a', '10', '10'], 0.75, 3)->counts)->toBe(['10' => 2, 'a' => 1, 'b' => 1])
        ->and(Tally::of([], 0.75, 0)->settled)->toBeNull();
});

it('makes of a panel’s sheets what has its majority, and says how the rest is spread', function () {
    $grip = Outside::Grip->value;
    $read = [
        advisedReading(['sway' => Decision::Now, 'slide' => Decision::Later], [$grip, 'sway'], [
            'chain' => new Chain([[$grip, 'sway']]), 'misses' => new Misses(['fat' => 40]), 'drill' => 'box-turn',
        ]),
        advisedReading(['sway' => Decision::Now, 'slide' => Decision::Now], ['sway'], [
            'chain' => new Chain([[$grip, 'sway']]), 'misses' => new Misses(['fat' => 20, 'thin' => 50]),
        ]),
        advisedReading(['sway' => Decision::Now], ['sway'], ['chain' => new Chain([[$grip, 'sway']])]),
        advisedReading(['sway' => Decision::Leave], [Outside::Other->value], ['otherCause' => 'Looks up']),
    ];
    $c = CaseConsensus::fromReadings($read);
    expect($c->readers)->toBe(4)
        ->and($c->causes->settled())->toBe(['sway'])
        ->and($c->causes->counts)->toBe(['sway' => 3, $grip => 1, 'outside-other looks up' => 1])
        ->and($c->chain->settled())->toBe(["$grip>sway"])
        // The first names the grip first, which is to be worked on before what comes of it.
        ->and($c->priority->counts)->toBe(['sway' => 2, $grip => 1, 'outside-other looks up' => 1])
        ->and($c->priority->settled)->toBeNull()
        ->and($c->decisions['sway']->settled)->toBe('now')
        ->and($c->decisions['slide']->settled)->toBeNull()
        ->and($c->misses)->toBe(['fat' => 15.0, 'thin' => 12.5])
        ->and($c->sound->settled())->toBe(['no-load'])
        ->and($c->breaks)->toBeNull()
        ->and($c->drills)->toBe(['box-turn' => 1]);
    // In whatever order they are taken, and as it is kept.
    expect(CaseConsensus::fromReadings(array_reverse($read)))->toEqual($c);
    $kept = json_decode(json_encode(CaseConsensusJson::write($c), JSON_PRESERVE_ZERO_FRACTION), true);
    expect(CaseConsensusJson::read($kept))->toEqual($c)
        ->and(fn () => CaseConsensusJson::read(['readers' => 4]))->toRefuse('causes');
});

it('never lets two who say something else in other words agree', function () {
    $other = fn (string $words): Reading => advisedReading([], [Outside::Other->value], ['otherCause' => $words]);
    expect(CaseConsensus::fromReadings([$other('looks up'), $other('sore hand'), $other('rain')])->causes->settled())
        ->toBeNull()
        ->and(CaseConsensus::fromReadings([$other('Looks up'), $other('looks up'), $other('LOOKS UP')])->causes->settled())
        ->toBe(['outside-other looks up']);
});

it('takes the first cause that is to be treated now as what is worked on first', function () {
    expect(advisedReading(['sway' => Decision::Later, 'slide' => Decision::Now], ['sway'])->priority())->toBe('slide')
        ->and(advisedReading(['sway' => Decision::Now, 'slide' => Decision::Now], ['slide', 'sway'])->priority())
        ->toBe('slide')
        ->and(advisedReading(['sway' => Decision::Now, 'slide' => Decision::Now], [])->priority())->toBe('')
        ->and(advisedReading(['sway' => Decision::Leave], ['sway'])->priority())->toBe('')
        ->and(advisedReading(['sway' => Decision::Now], [Outside::Cold->value, 'sway'])->priority())
        ->toBe(Outside::Cold->value);
});
