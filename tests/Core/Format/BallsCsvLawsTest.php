<?php

use Core\Chance\Chance;
use Core\Drawing\FlightShape;
use Core\Format\BallsCsv;
use Core\Format\FormatException;
use Core\Motion\Handedness;
use Core\Reading\BallFlight;
use Core\Reading\Turf;

/** A flight by chance, with some of what a device may have given. */
function flightByChance(Chance $chance): BallFlight
{
    $within = static fn (float $most): float => round($most * ($chance->between(-1000, 1000) / 1000.0), 3);
    $maybe = static fn (float $most): ?float => $chance->between(0, 1) === 1 ? $within($most) : null;
    $turfs = [null, ...Turf::cases()];

    return new BallFlight(
        $within(45.0),
        $within(60.0),
        BallFlight::HEIGHTS[$chance->between(0, 2)],
        BallFlight::STRIKES[$chance->between(0, 5)],
        $maybe(40.0),
        $maybe(30.0),
        $maybe(30.0),
        $turfs[$chance->between(0, count($turfs) - 1)],
    );
}

it('gives back any balls it wrote, to the last digit', function () {
    $chance = new Chance('balls');
    for ($run = 0; $run < many(40, 400); $run++) {
        $balls = [];
        for ($i = 1; $i <= $chance->between(1, 12); $i++) {
            $balls[] = [
                'place' => $i,
                'club' => [null, 'hybrid', 'iron, seven', 'a "wedge"'][$chance->between(0, 3)],
                'flight' => flightByChance($chance),
                'note' => [null, 'felt good', "two\nlines", '=1+1', 'é, ü'][$chance->between(0, 4)],
            ];
        }
        $read = BallsCsv::read(stream(BallsCsv::write($balls)), 'b.csv');
        foreach ($read as $i => $ball) {
            expect($ball['flight'])->toEqual($balls[$i]['flight'])
                ->and($ball['place'])->toBe($balls[$i]['place'])
                ->and($ball['club'])->toBe($balls[$i]['club']);
        }
        expect($read)->toHaveCount(count($balls));
    }
});

it('refuses whatever is no table of balls with one error of its own', function () {
    $chance = new Chance('no balls');
    $parts = ['ball', 'start_deg', 'curve_deg', 'height', 'strike', ',', "\n", '"', '1', '-3.5', 'low', 'toe',
        "\0", '1e400',
        'é', ' ', 'NaN', ';', "\r\n", '9999999999'];
    for ($run = 0; $run < many(300, 5000); $run++) {
        $text = '';
        for ($i = 0; $i < $chance->between(0, 60); $i++) {
            $text .= $parts[$chance->between(0, count($parts) - 1)];
        }
        try {
            foreach (BallsCsv::read(stream($text), 'b.csv') as $ball) {
                expect($ball['place'])->toBeGreaterThan(0);
            }
        } catch (FormatException $e) {
            expect($e->refusal)->not->toBe('');
        }
    }
    expect(true)->toBeTrue();
});

it('draws any flight within its box, and the mirror of it for the other hand', function () {
    $chance = new Chance('drawn');
    for ($run = 0; $run < many(200, 5000); $run++) {
        $flight = flightByChance($chance);
        $right = FlightShape::ofFlight($flight, Handedness::Right);
        $left = FlightShape::ofFlight($flight, Handedness::Left);
        expect($right->endX + $left->endX)->toEqualWithDelta((float) FlightShape::WIDTH, 0.11)
            ->and($right->endY)->toBe($left->endY)
            ->and($right->side)->toBe($left->side)
            ->and($right->endX)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual((float) FlightShape::WIDTH)
            ->and($right->endY)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual((float) FlightShape::HEIGHT);
    }
});
