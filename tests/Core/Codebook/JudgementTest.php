<?php

use Core\Codebook\Judgement;
use Core\Codebook\Verdict;
use Core\Remark\Remark;

function judged(string $verdict, ?float $margin = 2.0): Judgement
{
    return new Judgement(Verdict::from($verdict), $margin, Remark::wordedThen("It is $verdict."));
}

it('judges a series by most of the swings that could be measured', function (
    array $swings,
    string $verdict,
    ?float $margin,
) {
    $whole = Judgement::ofSeries($swings);
    expect($whole->verdict->value)->toBe($verdict)->and($whole->margin)->toBe($margin);
})->with([
    'most for' => [[judged('supported', 1.0), judged('supported', 3.0), judged('contradicted', 9.0)], 'supported', 2.0],
    'most against' => [
        [
            judged('contradicted', 1.5),
            judged('contradicted', 4.0),
            judged('contradicted', 2.5),
            judged('borderline', null),
        ],
        'contradicted',
        2.5,
    ],
    'even' => [[judged('supported'), judged('contradicted')], 'borderline', null],
    'half is no majority' => [
        [judged('supported'), judged('supported'), judged('borderline', null), judged('contradicted')],
        'borderline',
        null,
    ],
    'what could not be measured does not count' => [
        [judged('not measurable', null), judged('not measurable', null), judged('supported', 5.0)],
        'supported',
        5.0,
    ],
    'nothing measured' => [[judged('not measurable', null), judged('not measurable', null)], 'not measurable', null],
    'a margin that is not known is not made up' => [
        [judged('supported', null), judged('supported', 4.0)],
        'supported',
        4.0,
    ],
]);

it('says of how many swings it speaks, and is the same in whatever order they come', function () {
    $swings = [judged('supported', 1.0), judged('contradicted', 2.0), judged('supported', 3.0)];
    expect(inWords()->say(Judgement::ofSeries($swings)->why))
        ->toBe('2 of 3 measured swings: It is supported.')
        ->and(inWords()->say(Judgement::ofSeries([judged('supported'), judged('borderline', null)])->why))
        ->toBe('Of 2 measured swings 1 speak for it and 0 against.');
    foreach ([[0, 2, 1], [1, 0, 2], [2, 1, 0]] as $order) {
        $again = Judgement::ofSeries(array_map(fn (int $i): Judgement => $swings[$i], $order));
        expect([$again->verdict, $again->margin])->toBe([Verdict::Supported, 2.0]);
    }
});

it('calls a fault of a pair present where it shows in either', function (
    Judgement $before,
    Judgement $after,
    string $verdict,
    ?float $margin,
    string $sentence,
) {
    $pair = Judgement::ofPair($before, $after);
    expect([$pair->verdict->value, $pair->margin, inWords()->say($pair->why)])->toBe([$verdict, $margin, $sentence]);
})->with([
    [judged('supported', 3.0), judged('contradicted', 8.0), 'supported', 3.0, 'Before: It is supported.'],
    [judged('contradicted', 8.0), judged('supported', 1.0), 'supported', 1.0, 'After: It is supported.'],
    [judged('supported', 3.0), judged('supported', 4.0), 'supported', 4.0, 'Before and after: It is supported.'],
    [
        judged('contradicted', 3.0),
        judged('contradicted', 1.2),
        'contradicted',
        1.2,
        'Neither before nor after: It is contradicted.',
    ],
    [
        judged('contradicted', 3.0),
        judged('not measurable', null),
        'not measurable',
        null,
        'After: It is not measurable.',
    ],
    [judged('borderline', null), judged('contradicted', 4.0), 'borderline', null, 'Before: It is borderline.'],
    [judged('supported', null), judged('not measurable', null), 'supported', null, 'Before: It is supported.'],
]);
