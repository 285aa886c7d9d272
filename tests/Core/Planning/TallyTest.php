<?php

use Core\Planning\Candidate;
use Core\Planning\Tally;

/** The cost by its definition, from the cases themselves. */
function costOf(array $set, int $wanted, int $absent, array $faults, array $shares): float
{
    $cost = 0.0;
    $count = static fn (string $fault, bool $is): int => count(
        array_filter($set, static fn (Candidate $c): bool => ($c->faults[$fault] ?? null) === $is),
    );
    foreach ($faults as $fault) {
        $cost += max(0, $wanted - $count($fault, true)) ** 2 + max(0, $absent - $count($fault, false)) ** 2
            + 0.25 * max(0, $count($fault, true) - $wanted) ** 2;
    }
    foreach ($shares as $trait => $values) {
        foreach ($values as $value => $share) {
            $n = count(array_filter($set, static fn (Candidate $c): bool => $c->allTraits[$trait] === $value));
            $cost += 0.5 * ($n - $share * count($set)) ** 2 / count($values);
        }
    }

    return $cost;
}

it('counts what a set costs as its definition does, whatever comes and goes', function () {
    $draw = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar(3));
    $faults = ['sway', 'slide', 'hang'];
    $shares = [
        'difficulty' => ['easy' => 0.4, 'middling' => 0.3, 'hard' => 0.3],
        'hand' => ['left' => 0.25, 'right' => 0.75],
    ];
    for ($k = 0; $k < 30; $k++) {
        [$wanted, $absent] = [$draw->getInt(1, 6), $draw->getInt(1, 6)];
        $tally = new Tally($wanted, $absent, $faults, $shares);
        $cost = static fn (array $set): float => costOf($set, $wanted, $absent, $faults, $shares);
        $set = [];
        for ($i = 0; $i < 40; $i++) {
            $of = [];
            // One that nobody asks about, and now and then one that the key does not settle.
            foreach ([...$faults, 'other'] as $fault) {
                if ($draw->getInt(0, 4) > 0) {
                    $of[$fault] = $draw->getInt(0, 2) === 0;
                }
            }
            $hand = $draw->getInt(0, 3) === 0 ? 'left' : 'right';
            $next = new Candidate("c$i", $of, $draw->getInt(0, 100) / 100, ['hand' => $hand]);
            expect($tally->costWith($next))->toEqualWithDelta($cost([...$set, $next]), 1e-9);
            if ($set !== [] && $draw->getInt(0, 2) === 0) {
                $tally->remove(array_pop($set));
            } else {
                $tally->add($set[] = $next);
            }
            expect($tally->cost())->toEqualWithDelta($cost($set), 1e-9);
        }
    }
});
