<?php

use Core\Agreement\Caution;
use Core\Agreement\Figure;
use Core\Agreement\NewReaders;
use Core\Agreement\Profile\AnsweredCurve;
use Core\Agreement\Profile\CaseTalk;
use Core\Agreement\Profile\LatentRates;
use Core\Agreement\Profile\PeopleInOrder;
use Core\Agreement\Profile\RankedPerson;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\ArmDifference;
use Core\Agreement\Study\ArmFigures;
use Core\Agreement\Study\ArmResult;
use Core\Agreement\Study\Change;
use Core\Agreement\Study\KeyErrorResult;
use Core\Agreement\Study\PersonResult;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\RoundChange;
use Core\Agreement\Study\RoundResult;
use Core\Agreement\Study\RoundSummary;
use Core\Agreement\Study\StationTimes;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Study\StudyResult;
use Core\Agreement\Undefined;
use Core\Chance\Chance;
use Core\Format\Json\PersonJson;
use Core\Format\Json\RoundJson;
use Core\Format\Json\StudyJson;
use Core\Motion\Station;
use Core\Remark\Remark;

/** A study of any scale, with gaps, repeats, a key or none, and now and then nobody who agrees or disagrees. */
function anyStudy(int $i): StudyResult
{
    $c = new Chance("study-$i");
    $scale = Scale::cases()[$i % count(Scale::cases())];
    $apart = $i % 3 === 0 ? null : 'cannot-tell';
    $set = new RatingSet($scale, $apart);
    $values = $scale->isCategorical()
        ? array_slice(['1', '2', '3', '4'], 0, $c->between(1, 4))
        : ['1.5', '2', '2.25', '7', '30'];
    [$cases, $items, $raters] = [$c->between(1, 9), $c->between(1, 3), $c->between(1, 4)];
    for ($case = 0; $case < $cases; $case++) {
        for ($item = 0; $item < $items; $item++) {
            for ($rater = 0; $rater < $raters; $rater++) {
                if ($c->uniform() < 0.85) {
                    $set->add(
                        "c$case",
                        $items === 1 ? '' : (string) $item,
                        (string) $rater,
                        $c->uniform() < 0.1 && $apart !== null ? $apart : $values[$c->between(0, count($values) - 1)],
                    );
                    if ($c->uniform() < 0.2) {
                        $set->add(
                            "c$case",
                            $items === 1 ? '' : (string) $item,
                            (string) $rater,
                            $values[$c->between(0, count($values) - 1)],
                            '2',
                        );
                    }
                }
            }
            if ($i % 2 === 0 && $c->uniform() < 0.8) {
                $set->addKey("c$case", $items === 1 ? '' : (string) $item, $values[$c->between(0, count($values) - 1)]);
            }
        }
    }

    return (new Study(
        $set,
        new StudyOptions(
            cannotTell: $apart,
            positive: $values[0],
            pairs: $i % 5 !== 0,
            bootstrap: $i % 4 === 0 ? 20 : 0,
        ),
    ))->result();
}

/** As a row of the database gives it back. */
function keptRow(mixed $data): mixed
{
    return json_decode(json_encode($data, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true);
}

it('reads back what it wrote of any study, bit for bit', function () {
    for ($i = 0; $i < 60; $i++) {
        $study = anyStudy($i);
        foreach ([...$study->items, $study->pooled] as $item) {
            expect(StudyJson::readItem(keptRow(StudyJson::kept()->item($item))))->toEqual($item);
        }
    }
});

it('publishes any study by its schema', function () {
    for ($i = 0; $i < 60; $i++) {
        $validator = new JsonSchema\Validator;
        $data = json_decode(json_encode(published(anyStudy($i)), JSON_PRESERVE_ZERO_FRACTION));
        $validator->validate(
            $data,
            (object) ['$ref' => 'file://'.dirname(__DIR__, 3).'/docs/schemas/agreement.schema.json'],
        );
        expect(
            array_map(static fn (array $e): string => "$i {$e['property']}: {$e['message']}", $validator->getErrors()),
        )->toBe([]);
    }
});

it('reads back every part of a round', function () {
    $study = anyStudy(4);
    $round = new RoundResult(
        $study,
        $study->pooled->againstKey,
        ['u3' => ['sway' => [1, 2, 3, 4]]],
        new ArmResult(
            [new ArmFigures('both', 12, 0.5, null), new ArmFigures('film', 11, null, 1.0)],
            [
                new ArmDifference('both', 'film', Figure::undefined(Undefined::FewCasesInOne), null, null),
                new ArmDifference('both', 'trace', Figure::estimated(0.1, 0.04, 0.0, 0.2, 'percentile'), 0.04, 0.11),
            ],
        ),
        ['contested' => 3],
        12,
        ['u3' => 1],
        [],
        2,
        2000,
        1,
        new RoundChange(
            4,
            23,
            12,
            new Change(
                0.4,
                0.5,
                Figure::estimated(0.1, 0.04, 0.0, 0.2, 'cluster jackknife')
                    ->forReadersLike(new NewReaders(0.05, -0.1, 0.3, Remark::of(Caution::FewReaders, readers: 4), 0.2)),
                0.02,
                0.04,
                null,
            ),
            null,
            new RoundsOnScale(0.4, 0.2, 0.7, 0.78, 1, 1840, 1.05),
        ),
        [
            new StationTimes(
                Station::Top,
                [new RaterResult('u3', 8, ['bias' => Figure::estimated(20.0, 3.0, 14.0, 26.0, 'normal')])],
                7, 2, 10.0, 1.5, null, [1 => 19.8, 3 => 11.4],
            ),
            new StationTimes(Station::Impact, [], 1, 1, null, null, Remark::of(Undefined::FewReaders), []),
        ],
        [new CaseTalk(12, 3.25, 'sway'), new CaseTalk(4, 0.0, null)],
        $study->pooled->againstKey,
        new PeopleInOrder([new RankedPerson('u3', 12, 0.75, 0.7, 1, 2), new RankedPerson('u10', 9, 0.5, 0.6, 1, 2)],
            1.25),
        new KeyErrorResult(240, 220, 0.3, 0.8, 0.9, $study->pooled->againstKey),
    );
    $summary = $round->summary();
    expect(RoundJson::readSummary(keptRow(RoundJson::summary($summary))))
        ->toEqual($summary)
        ->and($summary->pooled->coefficients)
        ->toEqual($study->pooled->coefficients)
        ->and(RoundJson::readArms(keptRow(RoundJson::arms($round->arms))))
        ->toEqual($round->arms)
        ->and(RoundJson::readChange(keptRow(RoundJson::change($round->change))))
        ->toEqual($round->change)
        ->and(RoundJson::readTimes(keptRow(RoundJson::times($round->times))))
        ->toEqual($round->times)
        ->and(RoundJson::readTalk(keptRow(RoundJson::talk($round->talk))))
        ->toEqual($round->talk)
        ->and(RoundJson::readMap(keptRow($round->map)))
        ->toBe($round->map);
    $nobody = new RoundSummary(null, [], [], [], [], 0, [], [], null, 2000, 1);
    expect(RoundJson::readSummary(keptRow(RoundJson::summary($nobody))))->toEqual($nobody);
});

it('reads back what a round tells of one person, and refuses what is none', function () {
    $person = new PersonResult(
        [
            7 => [
                new ScoredCall('9c7', 'sway', true, false, 0.7),
                new ScoredCall('9c7', 'early-lead', false, false, null),
            ],
            3 => [new ScoredCall('9c3', 'sway', true, true, 1.0)],
        ],
        new LatentRates(0.8, 0.1, 0.25, true, 4, 5, true),
        anyStudy(4)->pooled->pairs,
        new AnsweredCurve(12, 9, 0.7, [25 => 1.0, 50 => 0.8, 75 => 0.75], [25 => 0.9, 50 => 0.85]),
    );
    $name = static fn (int $case): string => "9c$case";
    $kept = keptRow(PersonJson::write($person));
    $nothing = new PersonResult([], null, []);
    expect(PersonJson::read($kept, $name))
        ->toEqual($person)
        ->and(array_keys(PersonJson::read($kept, $name)->calls))
        ->toBe([7, 3])
        ->and(PersonJson::read(keptRow(PersonJson::write($nothing)), $name))
        ->toEqual($nothing);
    foreach ([['calls' => 'sway'], ['calls' => [['sway', true, 1, null]]], ['calls' => [null]], []] as $wrong) {
        expect(fn () => PersonJson::read(['cases' => [['case' => 7, ...$wrong]]], $name))->toRefuse('calls');
    }
});

it('reads what the releases before wrote, in their words', function () {
    $old = RoundJson::readSummary([
        'pooled' => null,
        'items' => [],
        'raters_vs_rest' => [],
        'against_key' => [
            [
                'rater' => 'u7',
                'n' => 12,
                'ppv' => ['estimate' => null, 'reason' => 'nothing was called positive'],
                'npv' => ['estimate' => 1, 'se' => 0, 'low' => 0.7, 'high' => 1, 'method' => 'wilson'],
            ],
        ],
        'left_out' => ['contested' => 2],
        'cases' => 12,
        'unsupported' => [],
        'cannot_tell' => ['u7' => 1],
        'key_version' => 1,
        'bootstrap' => 2000,
        'seed' => 1,
    ]);
    $arms = RoundJson::readArms([
        'arms' => [['arm' => 'film and trace', 'cases' => 6, 'ac1' => 0.25, 'same' => 0.5]],
        'differences' => [
            [
                'first' => 'film and trace',
                'second' => 'film only',
                'estimate' => null,
                'low' => null,
                'high' => null,
                'reason' => 'too few cases in one of the two',
                'p' => null,
                'detectable' => null,
            ],
            [
                'first' => 'film and trace',
                'second' => 'trace only',
                'estimate' => -0.2,
                'low' => -0.3,
                'high' => -0.1,
                'reason' => null,
                'p' => 0.01,
                'detectable' => 0.2,
            ],
        ],
    ]);
    expect($old->pooled)
        ->toBeNull()
        ->and(worded($old->againstKey[0]->figures['ppv']->reason))
        ->toBe('nothing was called positive')
        ->and($old->againstKey[0]->figures['npv']->estimate)
        ->toBe(1.0)
        ->and($arms->arms[0]->arm)
        ->toBe('both')
        ->and($arms->differences[1]->second)
        ->toBe('trace')
        ->and($arms->differences[1]->difference->low)
        ->toBe(-0.3)
        ->and(worded($arms->differences[0]->difference->reason))
        ->toBe('too few cases in one of the two')
        ->and(RoundJson::readMap(['u7' => ['sway' => [0, 1, 0, 2]]])['u7']['sway'])
        ->toBe([0, 1, 0, 2]);
});
