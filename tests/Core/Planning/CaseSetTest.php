<?php

use Core\Chance\Chance;
use Core\CoreException;
use Core\Planning\Candidate;
use Core\Planning\CaseSet;

/** @return list<Candidate> a shelf on which faults are rare, devices uneven and most cases easy */
function shelf(int $n, string $seed = 'shelf'): array
{
    $c = new Chance($seed);
    $out = [];
    for ($i = 0; $i < $n; $i++) {
        $out[] = new Candidate(
            "r$i",
            ['sway' => $c->uniform() < 0.2, 'slide' => $c->uniform() < 0.3, 'hang-back' => $c->uniform() < 0.15],
            $c->uniform() ** 2,
            [
                'device' => $c->uniform() < 0.8 ? 'mat' : 'dual-plate',
                'hand' => $c->uniform() < 0.85 ? 'right' : 'left',
                'club' => ['wedge', 'iron', 'driver'][$c->between(0, 2)],
            ],
        );
    }

    return $out;
}

it('suggests as many as asked, none twice, and the faults nearer to the share wanted than chance would', function () {
    $shelf = shelf(150);
    $set = CaseSet::suggest($shelf, 24, ['sway', 'slide', 'hang-back'], 0.4);
    $ids = array_map(static fn (Candidate $c): string => $c->id, $set->cases);
    expect($ids)->toHaveCount(24)->and(array_unique($ids))->toHaveCount(24)->and($set->short)->toBe([]);
    foreach ($set->faults as $fault => $b) {
        expect($b['present'])
            ->toBeGreaterThanOrEqual(10)
            ->toBeLessThanOrEqual(13)
            ->and($b['present'] + $b['absent'])
            ->toBe(24)
            ->and($b['wanted'])
            ->toBe(10);
    }
});

it('spreads difficulty, device, hand and club', function () {
    $set = CaseSet::suggest(shelf(200), 30, ['sway', 'slide', 'hang-back']);
    expect($set->traits['device']['dual-plate']['chosen'])
        ->toBeGreaterThanOrEqual(7)
        ->and($set->traits['hand']['left']['chosen'])
        ->toBeGreaterThanOrEqual(6)
        ->and($set->traits['difficulty']['hard']['chosen'])
        ->toBeGreaterThanOrEqual(6);
    foreach ($set->traits['club'] as $n) {
        expect($n['chosen'])->toBeGreaterThanOrEqual(7);
    }
});

it('says what the shelf could not give', function () {
    $set = CaseSet::suggest(
        array_map(
            static fn (int $i): Candidate => new Candidate("r$i", ['sway' => $i === 0, 'slide' => true], 0.5, []),
            range(0, 11),
        ),
        8,
        ['sway', 'slide', 'flare'],
        0.5,
        2,
    );
    expect(sentences($set->short))
        ->toContain('sway: present in 1 of 4 wanted')
        ->toContain('slide: absent in 0 of 4 wanted')
        ->toContain('flare: present in 0 of 4 wanted')
        ->toContain('repeats need 10 other cases between, and new ones among them: 8 cases leave room for 0')
        ->and($set->repeats)
        ->toBe([]);
});

it('takes as many hidden repeats as there is room for', function () {
    $set = CaseSet::suggest(shelf(60), 20, ['sway', 'slide'], repeats: 4);
    expect($set->repeats)
        ->toBe(array_map(static fn (Candidate $c): string => $c->id, array_slice($set->cases, 0, 4)))
        ->and($set->short)
        ->toBe([]);
});

it('has those come twice that are not the only ones of their kind, as far as there are such', function () {
    $kinds = ['a', 'a', 'b', 'c', 'c', 'c', 'd', 'e', 'f', 'g'];
    foreach (range(1, 20) as $seed) {
        $shelf = array_map(
            static fn (Candidate $c, int $i): Candidate => new Candidate(
                $c->id, $c->faults, $c->difficulty, $c->traits, $kinds[$i] ?? "alone $i",
            ),
            $all = shelf(36, "kinds $seed"),
            array_keys($all),
        );
        $set = CaseSet::suggest($shelf, 36, ['sway', 'slide'], repeats: 7, seed: $seed);
        $twice = array_map(static fn (string $id): string => $shelf[(int) substr($id, 1)]->beside, $set->repeats);
        expect($twice)->toHaveCount(7)
            ->and(array_unique($set->repeats))->toHaveCount(7)
            ->and(array_slice($twice, 0, 5))->each->toBeIn(['a', 'c'])
            ->and(array_intersect(array_slice($twice, 5), ['a', 'c']))->toBe([]);
    }
});

it('suggests the same for the same seed, another for another', function () {
    $ids = static fn (int $seed): array => array_map(
        static fn (Candidate $c): string => $c->id,
        CaseSet::suggest(shelf(80), 12, ['sway', 'slide'], seed: $seed)->cases,
    );
    expect($ids(3))->toBe($ids(3))->and($ids(4))->not->toBe($ids(3));
});

it('refuses more cases than there are, and repeats of what is not there', function () {
    expect(fn () => CaseSet::suggest(shelf(5), 6, ['sway']))
        ->toRefuse('6 cases were asked for; there are 5 to choose from')
        ->and(fn () => CaseSet::suggest(shelf(5), 3, ['sway'], repeats: 4))
        ->toRefuse('repeats must not be more')
        ->and(fn () => CaseSet::suggest(shelf(5), 3, ['sway'], prevalence: 1.0))
        ->toThrow(CoreException::class);
});
