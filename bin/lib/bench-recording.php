<?php

// Puts a filmed 5 s, 12-channel, 1000 Hz recording on the Shelf and prints its address, for bin/bench pages.

declare(strict_types=1);

use App\Models\Consent;
use App\Models\Film;
use App\Models\Golfer;
use App\Shelf\Actions\ConvertFilm;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\StoreRecording;
use Core\Motion\Handedness;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$swing = Swing::simulated(
    new GolferSpec('bench', new Plant(['hang-back' => 2]), Handedness::Right, DeviceClass::DualPlate, 1780.0, 78.0),
);
$long = array_map(static function (array $v): array {
    while (count($v) < 5001) {
        array_push($v, ...array_slice($v, -500));
    }

    return array_slice($v, 0, 5001);
}, $swing->trace->channels);
$golfer = Golfer::query()->create(['pseudonym' => 'Bench', 'handedness' => 'right']);
Consent::query()->create([
    'golfer_id' => $golfer->id,
    'scope' => 'staff-training',
    'given_on' => now()->toDateString(),
    'expires_on' => now()->addYear()->toDateString(),
]);
$recording = $app->make(StoreRecording::class)(
    $golfer,
    ['club' => 'hybrid', 'source' => 'demo'],
    new Trace(DeviceClass::DualPlate, 1000.0, $long, $swing->trace->stance, 78.0),
    $swing->stations,
    $swing->motion(),
);
$app->make(MeasureRecording::class)($recording);
foreach (['face-on', 'down-the-line'] as $view) {
    $file = base_path("demo/films/00-$view.mp4");
    $film = Film::query()->create([
        'recording_id' => $recording->id,
        'view' => $view,
        'name' => basename($file),
        'bytes' => filesize($file),
        'offset_s' => 0.1,
        'clock_by' => 'as recorded',
        'clock_uncertainty_s' => 0.004,
    ]);
    $app->make(ConvertFilm::class)->adopt($film, $file);
}
printf("/bench/%s %d %d\n", $recording->public_id, count($long), $recording->samples);
