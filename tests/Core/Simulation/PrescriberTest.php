<?php

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Reading\CaseKind;
use Core\Reading\Ladder;
use Core\Reading\Outside;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Simulation\Rater;
use Core\Trace\DeviceClass;

/** What a rater of some keenness says of one golfer. */
function advisedBy(float $sensitivity, string $seed, array $outside = [Outside::Grip], ?int $breaks = null): Reading
{
    return (new Rater($sensitivity, 0.0))->read(
        Codebook::standard(),
        ['sway' => 2, 'hang-back' => 2],
        new Shown(DeviceClass::DualPlate, true),
        1,
        ['TP' => 1.6, 'IM' => 1.87],
        new Chance($seed),
        $outside,
        $breaks,
    );
}

it('says of every case what can be handed in, the same for the same seed', function () {
    for ($i = 0; $i < 60; $i++) {
        $reading = advisedBy(0.5 + $i / 12.0, "any $i", $i % 3 === 0 ? [] : [Outside::Fear], $i % 2 === 0 ? 3 : null);
        expect(sentences($reading->obstacles(
            Codebook::standard(),
            $i % 2 === 0 ? CaseKind::Ladder : CaseKind::Single,
        )))->toBe([], "reading $i")
            ->and(count($reading->firstCauses))->toBeLessThanOrEqual(Reading::CAUSES)
            ->and($reading->misses->none())->toBeGreaterThanOrEqual(0);
        foreach ($reading->calls as $call) {
            expect($call->sound && $call->presence !== Presence::Absent)->toBeFalse();
        }
        expect(advisedBy(0.5 + $i / 12.0, "any $i", $i % 3 === 0 ? [] : [Outside::Fear], $i % 2 === 0 ? 3 : null))
            ->toEqual($reading);
    }
});

it('names what lies outside the feet, and where a ladder breaks, more often the keener it is', function () {
    $share = static function (float $sensitivity, Closure $right): float {
        $n = 0;
        for ($i = 0; $i < 300; $i++) {
            $n += $right(advisedBy($sensitivity, "share $i", breaks: 3)) ? 1 : 0;
        }

        return $n / 300;
    };
    $grip = static fn (Reading $r): bool => in_array(Outside::Grip->value, $r->firstCauses, true);
    $breaks = static fn (Reading $r): bool => $r->breaks === 3;
    expect($share(4.0, $grip))->toBeGreaterThan($share(1.0, $grip) + 0.2)
        ->and($share(4.0, $breaks))->toBeGreaterThan($share(1.0, $breaks) + 0.2)
        // Who errs says that it holds, or that it cannot be told.
        ->and(array_unique(array_map(
            static fn (int $i): ?int => advisedBy(1.0, "errs $i", breaks: 3)->breaks,
            range(1, 120),
        )))->toContain(3, Ladder::HOLDS, Ladder::CANNOT_TELL)
        // Nothing outside the feet is made up where there is nothing.
        ->and(array_filter(advisedBy(1.0, 'none', [])->firstCauses, Reading::isOutside(...)))->toBe([]);
});

it('never makes a fault both a first cause and a reaction', function () {
    for ($i = 0; $i < 80; $i++) {
        $reading = advisedBy(2.0, "reaction $i");
        foreach ($reading->calls as $fault => $call) {
            if ($call->reaction !== null) {
                expect($reading->firstCauses)->not->toContain($fault)
                    ->and($reading->firstCauses)->toContain($call->reaction->value);
            }
        }
    }
});
