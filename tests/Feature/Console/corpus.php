<?php

// Computes random designs, with and without resampling, and prints every figure. Arguments: a seed that says in which
// order, since what the JIT makes of a loop depends on what ran before it, and how many.

use Core\Agreement\PanelVote;
use Core\Agreement\Profile\FacetModel;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\Change;
use Core\Agreement\Study\RoundComparison;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Format\Json\FacetJson;
use Core\Format\Json\FigureJson;
use Core\Format\Json\StudyJson;

require dirname(__DIR__, 3).'/vendor/autoload.php';

/** @return list<array<string, mixed>> what moved where the first reader says the opposite */
function changesOf(RatingSet $set, int $bootstrap): array
{
    $after = new RatingSet;
    foreach ($set->raterNames() as $r => $rater) {
        foreach ($set->ratingsOf($rater, '1') as $case => $said) {
            foreach ($said as $item => [$value]) {
                $turned = ['present' => 'absent', 'absent' => 'present'][$value] ?? $value;
                $after->add((string) $case, $item, $rater, $r === 0 ? $turned : $value);
            }
        }
    }
    $found = (new RoundComparison($set, $after, new StudyOptions(
        categories: ['absent', 'present'],
        cannotTell: 'cannot-tell',
        bootstrap: $bootstrap,
    )))->result();

    return array_map(
        static fn (Change $c): array => [$c->first, $c->second, FigureJson::write($c->difference), $c->p, $c->adjusted],
        array_values([...$found->coefficients ?? [], ...$found->specific ?? []]),
    );
}

$designs = (new Chance("order {$argv[1]}"))->shuffled(range(0, (int) $argv[2] - 1));
$out = [];
foreach ($designs as $design) {
    $chance = new Chance("design $design");
    $set = new RatingSet();
    [$cases, $raters, $items, $share] = [
        $chance->between(3, 24),
        $chance->between(2, 7),
        $chance->between(1, 3),
        $chance->between(3, 97),
    ];
    for ($c = 0; $c < $cases; $c++) {
        for ($i = 0; $i < $items; $i++) {
            for ($r = 0; $r < $raters; $r++) {
                if ($chance->between(0, 9) > 0) {
                    $value =
                        $chance->between(0, 19) === 0
                            ? 'cannot-tell'
                            : ($chance->between(0, 99) < $share
                                ? 'present'
                                : 'absent');
                    $set->add(
                        "c$c",
                        "i$i",
                        "r$r",
                        $value,
                        '1',
                        $value === 'cannot-tell' ? null : $chance->between(50, 100) / 100,
                    );
                    if ($r === 0 && $c % 3 === 0) {
                        $set->add("c$c", "i$i", 'r0', $chance->between(0, 99) < $share ? 'present' : 'absent', '2');
                    }
                }
            }
            $true = $chance->between(0, 1) === 1 ? 'present' : 'absent';
            $votes = $chance->between(0, 5);
            $vote = $design % 4 === 0 ? PanelVote::counted($votes, 5 - $votes) : null;
            $set->addKey("c$c", "i$i", $vote !== null && $votes > 1 && $votes < 4 ? '' : $true, $vote);
        }
        // Golfers of uneven size in two designs of three.
        if ($design % 3 > 0) {
            $set->group("c$c", 'g'.intdiv($c * $c, 20));
        }
    }
    $calls = [];
    foreach ($set->raterNames() as $rater) {
        foreach ($set->ratingsOf($rater, '1') as $case => $said) {
            foreach ($said as $item => [$value]) {
                $calls[] = [$value === $set->keyFor($item, (string) $case), [$rater, (string) $case, $item]];
            }
        }
    }
    $scale = FacetModel::fit($calls, ['reader', 'case', 'fault']);
    foreach ([0, 100] as $bootstrap) {
        try {
            $study = new Study(
                $set,
                new StudyOptions(
                    categories: $design % 3 === 0 ? null : ['absent', 'present'],
                    cannotTell: 'cannot-tell',
                    positive: 'present',
                    bootstrap: $bootstrap,
                    fieldPrevalence: 0.2,
                ),
            );
            $result = $study->result();
            $figures = [
                array_map(StudyJson::kept()->item(...), [...$result->items, $result->pooled]),
                StudyJson::kept()->raters($study->againstKey($set->items())),
                $scale === null ? null : FacetJson::write($scale),
                // Against itself with one reader's calls turned round.
                changesOf($set, $bootstrap),
            ];
        } catch (CoreException $e) {
            $figures = [$e->getMessage()];
        }
        $out[$design][$bootstrap] = json_encode($figures, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }
}
ksort($out);
echo json_encode($out, JSON_THROW_ON_ERROR),
"\n",
function_exists('opcache_get_status') && (opcache_get_status(false)['jit']['on'] ?? false) ? 'jit' : 'plain',
"\n";
