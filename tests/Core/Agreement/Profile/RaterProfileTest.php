<?php

use Core\Agreement\Profile\KeyTable;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Profile\ScoredCall;
use Core\Chance\Chance;
use Core\Format\Json\RecordJson;

/** Calls on so many cases of ten items, a third of them there, by a rater whose criterion moves from case to case. */
function callsOf(int $cases, float $moves, string $seed = 'profile', float $swagger = 0.0): array
{
    $chance = new Chance($seed);
    $out = [];
    for ($c = 0; $c < $cases; $c++) {
        for ($i = 0; $i < 10; $i++) {
            $truth = $chance->uniform() < 0.33;
            $beyond = ($truth ? 1.1 : -1.1) + $chance->normal() - $moves * ($c - $cases / 2);
            // Belief in one's own call, by the model itself.
            $right = 1 / (1 + exp(-2.2 * abs($beyond)));
            $out[] = new ScoredCall(
                "c$c",
                "i$i",
                $beyond > 0,
                $truth,
                round(20 * min(1.0, max(0.5, $right + $swagger))) / 20,
            );
        }
    }

    return $out;
}

it('counts item by item what one table counts over all', function () {
    $calls = callsOf(30, 0.0);
    $profile = new RaterProfile($calls);
    $table = new KeyTable;
    foreach ($calls as $c) {
        $table->add((int) substr($c->case, 1), $c->called, $c->truth, $c->confidence);
    }
    $sum = [0, 0, 0, 0];
    foreach ($profile->byItem() as $cells) {
        $sum = array_map(static fn (int $a, int $b): int => $a + $b, $sum, $cells);
    }
    expect($sum)->toBe($table->cells())->and($profile->byItem())->toHaveCount(10)
        ->and($profile->figures()['d_prime']->estimate)->toBe($table->figures()['d_prime']->estimate)
        ->and($profile->figures()['brier']->estimate)->toEqualWithDelta($table->figures()['brier']->estimate, 1e-12)
        ->and($profile->figures(item: 'i3')['sensitivity']->method)->toBe('clustered wilson');
});

it('sees a reader who moves against the others, and not one who stays', function () {
    $against = static fn (array $calls): RaterProfile => new RaterProfile(array_map(
        static fn (ScoredCall $c): ScoredCall => new ScoredCall(
            $c->case, $c->item, $c->called, $c->truth, $c->confidence, $c->case, $c->truth ? 0.8 : 0.15,
        ),
        $calls,
    ));
    $moved = $against(callsOf(60, 0.05))->drift();
    expect($moved->p)->toBeLessThan(0.01)
        ->and($moved->points[0]['present'])->toBeGreaterThan($moved->points[9]['present'])
        ->and(array_filter(array_column($moved->points, 'beyond')))->not->toBeEmpty()
        ->and($against(callsOf(60, 0.0))->drift()->p)->toBeGreaterThan(0.05)
        ->and($against(callsOf(9, 0.0))->drift())->toBeNull()
        // Nobody else read these cases.
        ->and((new RaterProfile(callsOf(60, 0.05)))->drift())->toBeNull();
});

it('tells the too sure from the modest, and lists the surest wrong calls first', function () {
    $even = new RaterProfile(callsOf(200, 0.0));
    $loud = new RaterProfile(callsOf(200, 0.0, swagger: 0.15));
    $meek = new RaterProfile(callsOf(200, 0.0, swagger: -0.15));
    expect(abs($even->swagger()))
        ->toBeLessThan(0.02)
        ->and($loud->swagger())
        ->toBeGreaterThan(0.05)
        ->and($meek->swagger())
        ->toBeLessThan(-0.05);
    $rows = $even->calibration();
    expect(array_sum(array_column($rows, 'n')))
        ->toBe(2000)
        ->and(end($rows)['share'])
        ->toBeGreaterThan($rows[0]['share']);
    $wrong = $even->sureAndWrong();
    $sorted = array_column($wrong, 'confidence');
    rsort($sorted);
    expect($wrong)
        ->not->toBeEmpty()
        ->and(array_column($wrong, 'confidence'))
        ->toBe($sorted)
        ->and(min($sorted))
        ->toBe(0.8);
    foreach ($wrong as $c) {
        expect($c->isRight())->toBeFalse();
    }
    expect((new RaterProfile([]))->swagger())
        ->toBeNull()
        ->and((new RaterProfile([new ScoredCall('a', 'b', true, true, null)]))->calibration())
        ->toBe([]);
});

it('is written, published by its schema, and read back', function () {
    foreach ([0, 3, 40] as $cases) {
        $profile = new RaterProfile(callsOf($cases, 0.02, "record$cases"));
        $row = json_decode(json_encode(RecordJson::write($profile), JSON_PRESERVE_ZERO_FRACTION), true);
        $file = json_encode(RecordJson::publish($profile, inWords()), JSON_PRESERVE_ZERO_FRACTION);
        expect(RecordJson::read($row))
            ->toEqual($profile)
            ->and(RecordJson::read(json_decode($file, true)))
            ->toEqual($profile);
        $validator = new JsonSchema\Validator();
        $data = json_decode($file);
        $validator->validate(
            $data,
            (object) ['$ref' => 'file://'.dirname(__DIR__, 4).'/docs/schemas/record.schema.json'],
        );
        expect(
            array_map(
                static fn (array $e): string => "$cases {$e['property']}: {$e['message']}",
                $validator->getErrors(),
            ),
        )->toBe([]);
    }
});
