<?php

use Core\Number\Written;

it('writes figures with a true minus and no negative nought', function () {
    expect(Written::fixed(-1.25, 1))
        ->toBe('−1.3')
        ->and(Written::fixed(-0.04, 1))
        ->toBe('0.0')
        ->and(Written::fixed(-0.0, 0))
        ->toBe('0')
        ->and(Written::fixed(12345.6, 0))
        ->toBe('12,346')
        ->and(Written::signed(0.3, 1))
        ->toBe('+0.3')
        ->and(Written::signed(-0.3, 1))
        ->toBe('−0.3')
        ->and(Written::signed(0.001, 2))
        ->toBe('0.00')
        ->and(Written::signed(0.0, 0))
        ->toBe('0');
});

it('writes as many decimals as a size bears', function (float $v, string $text) {
    expect(Written::short($v))->toBe($text);
})->with([
    [0.0, '0'],
    [0.456, '0.46'],
    [1.5, '1.5'],
    [-1.999, '−2'],
    [3.14159, '3.1'],
    [19.96, '20'],
    [68.4, '68'],
    [-140.2, '−140'],
    [1234.5, '1235'],
    [-0.001, '0'],
]);

it('writes what somebody set as it was set, and what was worked out short', function (float $v, string $text) {
    expect(Written::set($v))->toBe($text);
})->with([
    [76.5, '76.5'], [-70.0, '−70'], [0.785, '0.785'], [0.0, '0'], [-0.0, '0'], [1250.0, '1250'], [-74.93333, '−75'],
    [0.1 + 0.2, '0.3'], [1e15, '1000000000000000'], [0.0004, '0'],
]);

it('writes half an interval the same in a list, on a curve and in a sentence', function (float $u, string $text) {
    expect(Written::plusMinus($u))->toBe($text)
        ->and(inWords()->say(new Core\Remark\Remark('clause.found', [
            'measure' => 'impact_share', 'op' => '<', 'threshold' => 68.0, 'value' => 52.0, 'uncertainty' => $u,
        ])))->toContain('± '.preg_replace('/\.0$/', '', $text).' ');
})->with([[1.02, '1.0'], [0.96, '1.0'], [0.94, '0.9'], [0.083, '0.08'], [2.0, '2.0'], [14.26, '14.3']]);
