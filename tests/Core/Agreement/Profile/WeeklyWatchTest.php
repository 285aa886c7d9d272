<?php

declare(strict_types=1);

use Core\Agreement\Profile\StaffWatch;
use Core\Agreement\Profile\WeeklyWatch;
use Core\Chance\Chance;

/**
 * @return list<array{right: float, present: float}> of a reader whose golfers differ, from some case on with a shift
 */
function watched(Chance $chance, int $n, float $shift = 0.0, int $from = 0, float $skew = 0.0): array
{
    $out = [];
    for ($i = 0; $i < $n; $i++) {
        $x = $chance->normal();
        $out[] = [
            'right' => 2.0 * ($x + $skew * $x * $x) + ($i >= $from ? $shift : 0.0),
            'present' => -0.5 * $x + $chance->normal(),
        ];
    }

    return $out;
}

it('judges nothing with too few cases, and the same cases the same', function () {
    $chance = new Chance('few');
    $units = watched($chance, 30);
    expect(WeeklyWatch::of(array_slice($units, 0, WeeklyWatch::LEAST - 1)))->toBeNull();
    $one = WeeklyWatch::of($units, 'seed', 999);
    expect($one)->toEqual(WeeklyWatch::of($units, 'seed', 999))
        ->and($one->units)->toBe(30)
        ->and($one->limit)->toBeGreaterThan(2.0)->toBeLessThan(5.0);
    // No spread at all moves nobody.
    $same = WeeklyWatch::of(array_fill(0, 30, ['right' => 1.0, 'present' => 0.0]), 1, 999);
    expect([$same->right, $same->present, $same->isBeyond()])->toBe([0.0, 0.0, false]);
});

it('finds a reader who has turned worse, and says which way', function () {
    $chance = new Chance('turned');
    $found = 0;
    for ($i = 0; $i < 20; $i++) {
        $watch = WeeklyWatch::of(watched($chance, 48, -4.0, 36), "turned $i", 4999);
        $found += $watch->isBeyond() && $watch->right < 0.0 ? 1 : 0;
    }
    expect($found)->toBeGreaterThan(14);
});

it('alarms in no more than one unchanging year of twenty, also where scores are skewed', function (float $skew) {
    $years = many(20, 400);
    $chance = new Chance("year $skew");
    $alarms = 0;
    for ($y = 0; $y < $years; $y++) {
        $units = watched($chance, 156, 0.0, 0, $skew);
        for ($week = 8; $week <= 52; $week++) {
            if (WeeklyWatch::of(array_slice($units, 0, 3 * $week), "$y|$week", 2999)->isBeyond()) {
                $alarms++;
                break;
            }
        }
    }
    // Binomially, 20 years at 5 % have more than 4 alarms in 1 of 400 runs.
    expect($alarms)->toBeLessThanOrEqual($years === 20 ? 4 : (int) round(0.085 * $years));
})->with([0.0, 0.6]);

it('takes nobody for moved because somebody else has, however few they are', function (int $readers) {
    $chance = new Chance("staff of $readers");
    $blamed = $found = 0;
    for ($run = 0; $run < many(8, 60); $run++) {
        $cases = [];
        for ($case = 0; $case < 48; $case++) {
            $questions = [];
            for ($q = 0; $q < 12; $q++) {
                $there = $chance->uniform() < 0.3;
                foreach (range(1, $readers) as $reader) {
                    $right = $chance->uniform() < ($reader === 1 && $case >= 36 ? 0.3 : 0.85);
                    $questions[$q][$reader] = [$right ? 1.0 : 0.0, $right === $there ? 1.0 : 0.0];
                }
            }
            $cases[] = $questions;
        }
        $watches = StaffWatch::of($cases, $run, 4999);
        $found += $watches[1]->isBeyond() ? 1 : 0;
        $blamed += count(
            array_filter(
                $watches,
                fn (WeeklyWatch $w, int $r): bool => $r !== 1 && $w->isBeyond(),
                ARRAY_FILTER_USE_BOTH,
            ),
        );
    }
    // At one look an unchanging reader is blamed once in a thousand.
    expect($found)->toBe(many(8, 60))->and($blamed)->toBe(0);
})->with([4, 8]);

it('blames nobody while somebody else begins to turn, week by week, and finds who does', function () {
    // Held against the plain mean of the others 31 of these 210 looks blame somebody who has not changed.
    $chance = new Chance('begins to turn');
    $blamed = $found = 0;
    for ($run = 0; $run < many(3, 30); $run++) {
        $cases = [];
        for ($case = 0; $case < 42; $case++) {
            $questions = [];
            for ($q = 0; $q < 28; $q++) {
                $there = $chance->uniform() < 0.2;
                foreach (range(1, 5) as $reader) {
                    $right = $chance->uniform() < ($reader === 1 && $case >= 24 ? 0.5 : 0.98);
                    $questions[$q][$reader] = [$right ? 1.0 : 0.0, $right === $there ? 1.0 : 0.0];
                }
            }
            $cases[] = $questions;
            if ($case >= 23 && $case % 3 === 2) {
                foreach (StaffWatch::of($cases, "$run|$case", 2999) as $reader => $watch) {
                    $blamed += $reader !== 1 && $watch->isBeyond() ? 1 : 0;
                    $found += $reader === 1 && $watch->isBeyond() ? 1 : 0;
                }
            }
        }
    }
    expect($blamed)->toBeLessThanOrEqual(many(0, 3))->and($found)->toBeGreaterThan(many(6, 60));
});

it('cannot tell of three whose move it was', function () {
    $cases = [];
    for ($case = 0; $case < 40; $case++) {
        $cases[] = array_fill(0, 10, [1 => [$case < 28 ? 1.0 : 0.0, 0.0], 2 => [1.0, 0.0], 3 => [1.0, 0.0]]);
    }
    $units = StaffWatch::units($cases);
    expect(WeeklyWatch::of($units[1], 1, 4999)->isBeyond())->toBeTrue();
    foreach (StaffWatch::of($cases, 1, 4999) as $watch) {
        expect($watch->isBeyond())->toBeFalse();
    }
});

it('holds nobody against fewer than two others, and a question that one answered against nobody', function () {
    $said = [1 => [1.0, 1.0], 2 => [0.0, 0.0]];
    expect(StaffWatch::units([[$said]]))->toBe([]);
    $units = StaffWatch::units([[$said + [3 => [1.0, 0.0]], [5 => [1.0, 1.0]]]]);
    expect($units[1][0])->toEqual(['right' => 0.5, 'present' => 1.0])
        ->and($units[2][0])->toEqual(['right' => -1.0, 'present' => -0.5])
        ->and($units)->not->toHaveKey(5);
});
