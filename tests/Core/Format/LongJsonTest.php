<?php

use Core\Format\Json\LongJson;

it('writes piece by piece what would be written at once', function () {
    $draw = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar(11));
    $value = function (int $depth) use (&$value, $draw): mixed {
        return match ($draw->getInt(0, $depth > 3 ? 5 : 8)) {
            0 => null,
            1 => $draw->getInt(0, 1) === 1,
            2 => $draw->getInt(-9, 9),
            3 => $draw->getInt(-9, 9) / 3,
            4 => "a \"text\",\n with / breaks \u{2028} and é",
            5 => 1.0,
            6 => (object) [],
            7 => array_map(fn () => $value($depth + 1), range(1, $draw->getInt(1, 3))),
            default => ['a' => $value($depth + 1), "b\n" => $value($depth + 1), 'none' => []],
        };
    };
    for ($i = 0; $i < 200; $i++) {
        $all = ['first "one"' => $value(0)];
        $long = [];
        for ($k = $draw->getInt(0, 3); $k >= 0; $k--) {
            $all["m$k"] = $draw->getInt(0, 1) === 1 ? $value(0) : array_map(
                fn () => $value(1),
                $draw->getInt(0, 2) === 0 ? [] : range(1, 3),
            );
            $long["m$k"] = is_array($all["m$k"]) && array_is_list($all["m$k"]);
        }
        $pieces = [];
        foreach ($all as $name => $member) {
            $pieces[$name] = $long[$name] ?? false
                ? (static fn (): Generator => yield from $member)()
                : $member;
        }
        expect(implode('', iterator_to_array(LongJson::pieces($pieces), false)))->toBe(json_encode(
            $all,
            JSON_PRETTY_PRINT |
                JSON_UNESCAPED_SLASHES |
                JSON_UNESCAPED_UNICODE |
                JSON_PRESERVE_ZERO_FRACTION |
                JSON_THROW_ON_ERROR,
        ));
    }
});
