<?php

declare(strict_types=1);

// Writes an archive of many recordings: a few simulated swings, each with a little noise of its own.

use App\Operations\Actions\ExportLibrary;
use Core\Format\ImportedRecording;
use Core\Format\RecordingBundle;
use Core\Format\SideCar;
use Core\Motion\Handedness;
use Core\Motion\Views;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $path, $n] = $argv;
$swings = array_map(
    static fn (int $i): Swing => Swing::simulated(new GolferSpec("archive$i", device: DeviceClass::cases()[$i % 3])),
    range(0, 5),
);
$tables = [
    'golfers' => [['Wren', 'right', '', 'false']],
    'consents' => [['Wren', 'staff-training', '2020-01-01', '2099-01-01', '']],
    'recordings' => [],
    'stations' => [],
];
$zip = new ZipArchive();
$zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
for ($i = 0; $i < (int) $n; $i++) {
    $s = $swings[$i % 6];
    $channels = $s->trace->channels;
    $first = array_key_first($channels);
    $channels[$first][$i % 300] += 0.01 * (1 + intdiv($i, 300));
    $trace = new Trace($s->trace->device, $s->trace->rateHz, $channels, $s->stance, 78.0);
    $id = sprintf('bench%05d', $i);
    $zip->addFromString(
        "recordings/$id.json",
        RecordingBundle::write(
            new ImportedRecording(
                $trace,
                new Views($s->motion()),
                $s->stations,
                new SideCar(78.0, Handedness::Right, 'hybrid', 'full', $s->stance),
            ),
        ),
    );
    $tables['recordings'][] = [
        $id,
        'Wren',
        'hybrid',
        'full',
        '',
        $trace->device->value,
        '',
        $trace->rateHz,
        $trace->samples(),
        78,
        '',
        'false',
        0,
        0,
        $id,
        "recordings/$id.json",
    ];
    foreach ($s->stations->all() as $code => $t) {
        $tables['stations'][] = [$id, $code, $t->t, $t->uncertainty, 'motion'];
    }
    if ($i % 50 === 49) {
        $zip->close();
        $zip = new ZipArchive;
        $zip->open($path);
    }
}
foreach ($tables as $table => $rows) {
    $zip->addFromString(
        "$table.csv",
        implode(
            "\n",
            array_map(static fn (array $r): string => implode(',', $r), [
                array_keys(ExportLibrary::TABLES[$table]),
                ...$rows,
            ]),
        )."\n",
    );
}
$zip->close();
