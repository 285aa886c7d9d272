<?php

use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\ArmDifference;
use Core\Agreement\Study\ArmFigures;
use Core\Agreement\Study\RoundResult;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Study\StudyResult;
use Core\Agreement\Undefined;
use Core\Chance\Chance;
use Core\Format\Json\RoundJson;
use Core\Format\Json\StudyJson;

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
        expect(StudyJson::read(keptRow(StudyJson::kept()->study($study))))->toEqual($study);
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

it('reads back the figures of a round', function () {
    $study = anyStudy(4);
    $round = new RoundResult(
        $study,
        $study->pooled->againstKey,
        ['u3' => ['sway' => [1, 2, 3, 4]]],
        [new ArmFigures('both', 12, 0.5, null), new ArmFigures('film', 11, null, 1.0)],
        [
            new ArmDifference('both', 'film', Figure::undefined(Undefined::FewCasesInOne), null, null),
            new ArmDifference('both', 'trace', Figure::estimated(0.1, 0.04, 0.0, 0.2, 'percentile'), 0.04, 0.11),
        ],
        ['contested' => 3],
        12,
        ['u3' => 1],
        [],
        2,
        2000,
        1,
    );
    expect(RoundJson::read(keptRow(RoundJson::write($round))))->toEqual($round);
    $nobody = new RoundResult(null, [], [], [], [], [], 0, [], [], null, 2000, 1);
    expect(RoundJson::read(keptRow(RoundJson::write($nobody))))
        ->toEqual($nobody)
        ->and(fn () => RoundJson::read([...keptRow(RoundJson::write($nobody)), 'version' => 99]))
        ->toRefuse('version');
});

it('reads what the releases before wrote, in their words', function () {
    $old = RoundJson::read([
        'study' => ['items' => [], 'pooled' => null],
        'against_key' => [
            [
                'rater' => 'u7',
                'n' => 12,
                'ppv' => ['estimate' => null, 'reason' => 'nothing was called positive'],
                'npv' => ['estimate' => 1, 'se' => 0, 'low' => 0.7, 'high' => 1, 'method' => 'wilson'],
            ],
        ],
        'map' => ['u7' => ['sway' => [0, 1, 0, 2]]],
        'left_out' => ['contested' => 2],
        'cases' => 12,
        'unsupported' => [],
        'cannot_tell' => ['u7' => 1],
        'key_version' => 1,
        'bootstrap' => 2000,
        'seed' => 1,
        'arms' => [
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
        ],
    ]);
    expect($old->study)
        ->toBeNull()
        ->and(worded($old->againstKey[0]->figures['ppv']->reason))
        ->toBe('nothing was called positive')
        ->and($old->againstKey[0]->figures['npv']->estimate)
        ->toBe(1.0)
        ->and($old->arms[0]->arm)
        ->toBe('both')
        ->and($old->armDifferences[1]->second)
        ->toBe('trace')
        ->and($old->armDifferences[1]->difference->low)
        ->toBe(-0.3)
        ->and(worded($old->armDifferences[0]->difference->reason))
        ->toBe('too few cases in one of the two')
        ->and($old->map['u7']['sway'])
        ->toBe([0, 1, 0, 2]);
});
