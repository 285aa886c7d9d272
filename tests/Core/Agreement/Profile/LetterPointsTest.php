<?php

use Core\Agreement\Profile\LetterPoints;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Profile\ScoredCall;

/** @param  string  $said  a letter a case: h hit, m missed, o over-called, r rightly absent */
function letterCalls(string $item, string $said, float $sure = 0.8): array
{
    $out = [];
    foreach (str_split($said) as $i => $c) {
        $out[] = new ScoredCall("c$i", $item, in_array($c, ['h', 'o'], true), in_array($c, ['h', 'm'], true),
            $sure - 0.01 * $i, "g$i");
    }

    return $out;
}

it('praises by the lower end, not by the estimate, and names what would set most calls right', function () {
    $letter = LetterPoints::of(new RaterProfile([
        ...letterCalls('sway', 'hhhhhhhhhhhhrrrr'),
        ...letterCalls('slide', 'hhhrrrrrrrrrrrrr'),
        ...letterCalls('spin-out', 'mmmhhrrrrooooorr'),
        ...letterCalls('hang-back', 'mmhhhrrrrrrrrrrr'),
        ...letterCalls('flip', 'mhrrrrrrrrrrrrrr'),
    ]));
    expect(array_column($letter->well, 'item'))->toBe(['sway'])
        ->and($letter->well[0]['seen'])->toBe(12)
        // Three of three is a perfect share, and says little.
        ->and(array_column($letter->next, 'item'))->toBe(['spin-out', 'hang-back'])
        ->and([$letter->next[0]['missed'], $letter->next[0]['over']])->toBe([3, 5])
        ->and(array_map(static fn (ScoredCall $c): string => $c->case, $letter->next[0]['calls']))
        ->toBe(['c0', 'c1', 'c2'])
        ->and($letter->unsaid)->toBe(['flip']);
});

it('says nothing of nothing, and at most three and two', function () {
    $none = LetterPoints::of(new RaterProfile([]));
    expect([$none->well, $none->next, $none->unsaid])->toBe([[], [], []]);
    $many = [];
    foreach (range(1, 6) as $i) {
        array_push($many, ...letterCalls("good$i", 'hhhhhhhhhhhhhhhh'), ...letterCalls("bad$i", 'mmmmmmmmoooooooo'));
    }
    $letter = LetterPoints::of(new RaterProfile($many));
    expect(array_column($letter->well, 'item'))->toBe(['good1', 'good2', 'good3'])
        ->and(array_column($letter->next, 'item'))->toBe(['bad1', 'bad2'])
        ->and($letter->next[0]['calls'])->toHaveCount(3);
});
