<?php

declare(strict_types=1);

// A simulated swing as some studio's software might write it: other names, other units.

use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$trace = Swing::simulated(new GolferSpec('studio take 12', new Plant(['late-recentre' => 2]), device: DeviceClass::Mat))
    ->trace;
echo "Time (ms),Left %,Right %,COP X (cm),COP Y (cm)\n";
for ($i = 0; $i < $trace->samples(); $i++) {
    printf(
        "%d,%.1f,%.1f,%.2f,%.2f\n",
        10 * $i,
        $trace->channels['lead_pct'][$i],
        $trace->channels['trail_pct'][$i],
        $trace->channels['copx_mm'][$i] / 10,
        $trace->channels['copy_mm'][$i] / 10,
    );
}
