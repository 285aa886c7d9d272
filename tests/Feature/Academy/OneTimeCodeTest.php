<?php

use App\Academy\OneTimeCode;
use App\Academy\PasswordRule;
use App\Academy\RecoveryCodes;

it('makes the codes of RFC 6238, appendix B', function (int $time, string $sha1, string $sha256, string $sha512) {
    $step = intdiv($time, OneTimeCode::SECONDS);
    $key = static fn (int $bytes): string => substr(str_repeat('1234567890', 7), 0, $bytes);
    expect(OneTimeCode::at($key(20), $step, 8))->toBe($sha1)
        ->and(OneTimeCode::at($key(32), $step, 8, 'sha256'))->toBe($sha256)
        ->and(OneTimeCode::at($key(64), $step, 8, 'sha512'))->toBe($sha512);
})->with([
    [59, '94287082', '46119246', '90693936'],
    [1111111109, '07081804', '68084774', '25091201'],
    [1111111111, '14050471', '67062674', '99943326'],
    [1234567890, '89005924', '91819424', '93441116'],
    [2000000000, '69279037', '90698825', '38618901'],
    [20000000000, '65353130', '77737706', '47863826'],
]);

it('makes the codes of RFC 4226, appendix D', function () {
    $codes = array_map(static fn (int $i): string => OneTimeCode::at('12345678901234567890', $i), range(0, 9));
    expect($codes)->toBe([
        '755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489',
    ]);
});

it('takes a code near now, once, and nothing that is no code', function () {
    $secret = OneTimeCode::base32('12345678901234567890');
    expect($secret)->toBe('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ');
    $code = static fn (int $step): string => OneTimeCode::at('12345678901234567890', $step);
    $now = 100 * OneTimeCode::SECONDS + 7;
    expect(OneTimeCode::step($secret, $code(100), $now))->toBe(100)
        ->and(OneTimeCode::step($secret, $code(99), $now))->toBe(99)
        ->and(OneTimeCode::step($secret, $code(101), $now))->toBe(101)
        ->and(OneTimeCode::step($secret, $code(98), $now))->toBeNull()
        ->and(OneTimeCode::step($secret, $code(102), $now))->toBeNull()
        ->and(OneTimeCode::step($secret, $code(100), $now, 100))->toBeNull()
        ->and(OneTimeCode::step($secret, $code(99), $now, 100))->toBeNull()
        ->and(OneTimeCode::step($secret, wordwrap($code(100), 3, ' ', true), $now))->toBe(100);
    foreach (['', '12345', '1234567', 'abcdef', "\0\0\0\0\0\0", '１２３４５６'] as $none) {
        expect(OneTimeCode::step($secret, $none, $now))->toBeNull();
    }
});

it('writes base 32 as RFC 4648 does', function (string $bytes, string $text) {
    expect(OneTimeCode::base32($bytes))->toBe($text);
})->with([['f', 'MY'], ['fo', 'MZXQ'], ['foo', 'MZXW6'], ['foob', 'MZXW6YQ'], ['fooba', 'MZXW6YTB'],
    ['foobar', 'MZXW6YTBOI']]);

it('takes each recovery code once', function () {
    $codes = RecoveryCodes::fresh();
    $hashes = RecoveryCodes::hashes($codes);
    expect(array_unique($codes))->toHaveCount(8)->and(array_intersect($codes, $hashes))->toBe([]);
    $left = RecoveryCodes::without($hashes, ' '.strtoupper($codes[3]).' ');
    expect($left)->toHaveCount(7)
        ->and(RecoveryCodes::without($left, $codes[3]))->toBeNull()
        ->and(RecoveryCodes::without([], $codes[0]))->toBeNull();
});

it('refuses passwords that are short, tried first, or about the person', function (string $password, ?string $why) {
    $rule = new PasswordRule(['Maren Ashdown', 'maren@fernhollow.example', 'Fernhollow Golf Academy']);
    expect($rule->refuses($password))->toBe($why);
})->with([
    ['kurz', 'short'],
    ['elevenchars', 'short'],
    ['password1234', 'common'],
    ['Password2026!!', 'common'],
    ['passwordpassword', 'common'],
    ['123456789012', 'common'],
    ['qwertyuiopas', 'common'],
    ['aaaaaaaaaaaaaa', 'common'],
    ['zyxwvutsrqpo', 'common'],
    ['letmeinletmein', 'common'],
    ['maren-ashdown-1', 'about'],
    ['Fernhollow2026!', 'about'],
    ['maren@fernhollow', 'about'],
    [str_repeat('long words ', 7), 'long'],
    ['plain slow river boat', null],
    ['four-legged-table', null],
    ['Übergangsmäntel', null],
    ['fernhollow in a blue mist', null],
]);
