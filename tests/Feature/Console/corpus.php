<?php

// Computes random designs, with and without resampling, and prints every figure. Arguments: a seed that says in which
// order, since what the JIT makes of a loop depends on what ran before it, and how many.

use Core\Agreement\RatingSet;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Format\Json\StudyJson;

require dirname(__DIR__, 3).'/vendor/autoload.php';

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
                }
            }
            $set->addKey("c$c", "i$i", $chance->between(0, 1) === 1 ? 'present' : 'absent');
        }
    }
    foreach ([0, 60] as $bootstrap) {
        try {
            $study = new Study(
                $set,
                new StudyOptions(
                    categories: $design % 3 === 0 ? null : ['absent', 'present'],
                    cannotTell: 'cannot-tell',
                    positive: 'present',
                    bootstrap: $bootstrap,
                ),
            );
            $result = $study->result();
            $figures = [
                array_map(StudyJson::kept()->item(...), [...$result->items, $result->pooled]),
                StudyJson::kept()->raters($study->againstKey($set->items())),
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
