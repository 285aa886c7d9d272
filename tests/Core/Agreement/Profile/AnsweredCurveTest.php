<?php

use Core\Agreement\Profile\AnsweredCurve;
use Core\Agreement\Profile\ScoredCall;
use Core\Chance\Chance;

/** @param  list<array{bool, float|null}>  $of  whether right, confidence. @return list<ScoredCall> */
function answeredCalls(array $of): array
{
    return array_map(
        static fn (array $c, int $i): ScoredCall => new ScoredCall("c$i", 'sway', $c[0], true, $c[1]),
        $of,
        array_keys($of),
    );
}

it('takes the surest part of all questions, equally sure ones as a whole, and ends where answers end', function () {
    // Eight questions: two at 90 (both right), four at 70 (two right), two not answered.
    $calls = answeredCalls([[true, 0.9], [true, 0.7], [false, 0.7], [true, 0.9], [true, 0.7], [false, 0.7]]);
    $curve = AnsweredCurve::of($calls, 2);
    expect($curve->right)->toBe([25 => 1.0, 50 => 0.75, 75 => 4 / 6])
        ->and($curve->questions)->toBe(8)
        ->and($curve->answered)->toBe(6)
        ->and($curve->half)->toBe(5 / 8);
    shuffle($calls);
    expect(AnsweredCurve::of($calls, 2))->toEqual($curve);
});

it('never rises by not answering: who leaves the unsure questions is met by others at the same share', function () {
    $c = new Chance('leaves');
    $all = [];
    for ($i = 0; $i < 400; $i++) {
        $sure = 0.5 + 0.5 * $c->uniform();
        $all[] = [$c->uniform() < $sure, round($sure, 2)];
    }
    $bold = AnsweredCurve::of(answeredCalls($all), 0);
    $kept = array_values(array_filter($all, static fn (array $q): bool => $q[1] >= 0.7));
    $shy = AnsweredCurve::of(answeredCalls($kept), count($all) - count($kept));
    // By the plain share of right answers the shy one would look better.
    $share = static fn (array $of): float => count(array_filter(array_column($of, 0))) / count($of);
    expect($share($kept))->toBeGreaterThan($share($all))
        ->and($shy->right[50])->toBe($bold->right[50])
        ->and($shy->right)->not->toHaveKey(100)
        ->and($shy->beside([$bold])->others)->toBe(array_intersect_key($bold->right, $shy->right))
        ->and($bold->beside([$shy])->others)->not->toHaveKey(100);
});

it('is nothing where nothing was answered or a confidence is lacking', function () {
    expect(AnsweredCurve::of([], 4))->toBeNull()
        ->and(AnsweredCurve::of(answeredCalls([[true, 0.9], [true, null]]), 0))->toBeNull()
        ->and(AnsweredCurve::of(answeredCalls([[true, 0.5]]), 9)->right)->toBe([])
        ->and(AnsweredCurve::of(answeredCalls([[true, 0.5]]), 9)->half)->toBe(0.55);
});
