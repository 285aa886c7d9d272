<?php

use Core\Agreement\Study\SecondLookStudy;
use Core\Chance\Chance;

/** @return array{golfer: string, rater: string, item: string, blind: string, after: string, truth: string, n: int} */
function lookedAgain(
    string $golfer,
    string $blind,
    string $after,
    string $truth,
    int $n = 1,
    string $rater = 'r',
): array {
    return compact('golfer', 'rater', 'blind', 'after', 'truth', 'n') + ['item' => 'sway'];
}

it('counts what changed, and what of it went toward the key and what away', function () {
    $all = (new SecondLookStudy([
        lookedAgain('a', 'absent', 'present', 'present', 3),
        lookedAgain('a', 'absent', 'absent', 'absent', 5),
        lookedAgain('b', 'present', 'absent', 'present'),
        lookedAgain('b', 'cannot-tell', 'present', 'present'),
        lookedAgain('b', 'present', 'cannot-tell', 'absent'),
        lookedAgain('c', 'absent', 'present', '', 2),
        lookedAgain('c', 'present', 'present', 'present', 2),
    ]))->all();
    expect($all->calls)->toBe(15)
        ->and($all->changed->estimate)->toEqualWithDelta(8 / 15, 1e-12)
        ->and([$all->scored, $all->toward, $all->away])->toBe([13, 4, 1])
        ->and($all->gain->estimate)->toEqualWithDelta(3 / 13, 1e-12)
        // By hand: without a 0/5, without b 3/10, without c 3/11; (2/3) Σ (θ − θ)².
        ->and($all->gain->se)
        ->toEqualWithDelta(sqrt(2 / 3 * ((3 / 13) ** 2 + (3 / 13 - 0.3) ** 2 + (3 / 13 - 3 / 11) ** 2)), 1e-12);
});

it('says nothing of how far chance reaches where nothing changed, and nothing at all of nothing', function () {
    $still = (new SecondLookStudy([
        lookedAgain('a', 'absent', 'absent', 'absent', 4), lookedAgain('b', 'present', 'present', 'absent', 4),
    ]))->all();
    expect($still->changed->estimate)->toBe(0.0)->and($still->changed->high)->toBeGreaterThan(0.2)
        ->and([$still->gain->estimate, $still->gain->low])->toBe([0.0, null]);
    $none = (new SecondLookStudy([]))->all();
    expect($none->changed->estimate)->toBeNull()->and($none->gain->estimate)->toBeNull()
        ->and((new SecondLookStudy([lookedAgain('a', 'absent', 'present', '')]))->all()->gain->estimate)->toBeNull();
});

it('holds its 95 % where golfers differ in how often a second look helps', function () {
    $held = 0;
    for ($study = 0, $all = many(60, 600); $study < $all; $study++) {
        $c = new Chance("second look $study");
        $pairs = [];
        for ($golfer = 0; $golfer < 25; $golfer++) {
            // Of this golfer's calls so many are wrong blind; the ball mends half of them, and spoils one in ten.
            $wrong = 0.2 + 0.2 * $c->uniform();
            for ($i = 0, $n = $c->between(4, 30); $i < $n; $i++) {
                $was = $c->uniform() >= $wrong;
                $is = $was ? $c->uniform() >= 0.1 : $c->uniform() < 0.5;
                $pairs[] = lookedAgain("g$golfer", $was ? 'present' : 'absent', $is ? 'present' : 'absent', 'present');
            }
        }
        $gain = (new SecondLookStudy($pairs))->all()->gain;
        // 0.3 wrong on average: mended 0.15, spoilt 0.07.
        $held += $gain->low <= 0.08 && $gain->high >= 0.08 ? 1 : 0;
    }
    expect($held / $all)->toBeGreaterThan(0.89);
});

it('tells readers and faults apart, those who changed most first', function () {
    $study = new SecondLookStudy([
        lookedAgain('a', 'absent', 'absent', 'absent', 4, 'steady'),
        lookedAgain('a', 'absent', 'present', 'absent', 3, 'swayed'),
        lookedAgain('b', 'absent', 'absent', 'absent', 1, 'swayed'),
    ]);
    $by = $study->by('rater');
    expect([$by[0]->name, $by[1]->name])->toBe(['swayed', 'steady'])
        ->and([$by[0]->away, $by[1]->away])->toBe([3, 0])
        ->and($study->by('item'))->toHaveCount(1)
        ->and($study->by('item')[0]->away)->toBe(3);
});
