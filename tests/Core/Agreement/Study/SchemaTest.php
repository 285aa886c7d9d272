<?php

use Core\Agreement\RatingSet;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use JsonSchema\Validator;

/** @return list<string> what the published schema has against a result */
function schemaErrors(mixed $result): array
{
    $validator = new Validator;
    $data = json_decode(json_encode($result, JSON_THROW_ON_ERROR));
    $validator->validate(
        $data,
        (object) ['$ref' => 'file://'.dirname(__DIR__, 4).'/docs/schemas/agreement.schema.json'],
    );

    return array_map(static fn (array $e): string => $e['property'].': '.$e['message'], $validator->getErrors());
}

it('publishes what its schema says, whatever the data', function (array $rows, array $options, ?array $key) {
    $set = ratings($rows);
    foreach ($key ?? [] as $case => $value) {
        $set->addKey(sprintf('c%03d', $case), '', $value);
    }
    expect(schemaErrors(published((new Study($set, new StudyOptions(...$options)))->result())))->toBe([]);
})->with([
    'plain' => [['a' => 'p a p a p', 'b' => 'p a a a p', 'c' => 'p p p a .'], ['bootstrap' => 60], null],
    'with a key' => [
        ['a' => 'p a p a p', 'b' => 'p a a a p'],
        ['bootstrap' => 60, 'positive' => 'p'],
        ['p', 'a', 'p', 'a', 'a'],
    ],
    'three way' => [['a' => 'p a ? a p', 'b' => 'p ? a a p'], ['bootstrap' => 0, 'cannotTell' => '?'], null],
    'everybody alike' => [['a' => 'p p', 'b' => 'p p'], ['bootstrap' => 20], null],
    'one case' => [['a' => 'p', 'b' => 'a'], ['bootstrap' => 20], ['p']],
    'one rater' => [['a' => 'p a p'], ['bootstrap' => 20], ['p', 'a', 'a']],
    'many categories' => [['a' => '1 2 3 4 5', 'b' => '1 2 3 3 5', 'c' => '1 1 3 4 5'], ['bootstrap' => 20], null],
]);

it('publishes several items and repeats by its schema', function () {
    $set = new RatingSet;
    foreach (['x', 'y'] as $item) {
        foreach (['c1', 'c2', 'c3'] as $case) {
            foreach (['1', '2'] as $occasion) {
                foreach (['a', 'b'] as $i => $rater) {
                    $set->add(
                        $case,
                        $item,
                        $rater,
                        $case === 'c2' && $i + (int) $occasion === 2 ? 'a' : 'p',
                        $occasion,
                        0.8,
                    );
                }
            }
        }
    }
    $result = published((new Study($set, new StudyOptions(bootstrap: 10)))->result());
    expect(schemaErrors($result))
        ->toBe([])
        ->and($result['items'])
        ->toHaveCount(2)
        ->and($result['pooled']['self'])
        ->toHaveCount(2);
});

it('would refuse another shape', function () {
    $result = published((new Study(ratings(['a' => 'p a', 'b' => 'p p']), new StudyOptions(bootstrap: 0)))->result());
    $result['items'][0]['coefficients']['gwet_ac1'] = ['estimate' => null];
    expect(schemaErrors($result))->not->toBe([]);
});
