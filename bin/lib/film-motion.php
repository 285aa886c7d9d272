<?php

declare(strict_types=1);

// Prints, one JSON line each, the body points of the demo's filmed golfers, for bin/films to draw.

use App\Demo\Fernhollow;
use Core\Simulation\Swing;
use Core\Trace\Axis;

require dirname(__DIR__, 2).'/vendor/autoload.php';

foreach (Fernhollow::recordings() as $i => $row) {
    foreach ($row['filmed'] as $view => $rate) {
        $swing = Swing::simulated($row['spec']);
        $motion = $swing->motion();
        $times = array_map(static fn ($s): float => round($s->t, 4), $swing->stations->all());
        $im = $times['IM'];
        $at = static fn (Axis $axis): float => round($motion->coordinate('club_head', $axis)->at($im) ?? 0.0);
        echo json_encode(
            [
                'file' => Fernhollow::film($i, $view),
                'view' => $view,
                'fps' => $rate,
                'from' => Fernhollow::FILM_STARTS_S,
                'kit' => $i,
                'hand' => $row['spec']->hand->value,
                'stations' => $times,
                'rate' => $motion->rateHz,
                't0' => $motion->t0,
                'ball' => [$at(Axis::X), $at(Axis::Y) + 42.0, 21],
                'points' => array_map(
                    static fn (array $axes): array => array_map(
                        static fn (array $v): array => array_map(static fn (float $x): float => round($x, 1), $v),
                        $axes,
                    ),
                    $motion->points,
                ),
            ],
            JSON_THROW_ON_ERROR,
        )."\n";
    }
}
