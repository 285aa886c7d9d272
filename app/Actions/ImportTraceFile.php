<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuditEntry;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\User;
use Core\Format\SideCar;
use Core\Format\TraceCsv;
use Core\Trace\DeviceClass;

/** Reads a trace CSV with its side-car JSON and puts it on the Shelf. */
final readonly class ImportTraceFile
{
    public function __construct(private StoreRecording $store)
    {
    }

    /**
     * @param  string  $name  the file's own name, for errors
     * @param  array{path: string, name: string}|null  $meta  the side-car
     *
     * @throws \Core\Format\FormatException|ActionException
     */
    public function __invoke(Golfer $golfer, string $path, string $name, ?array $meta = null, ?DeviceClass $device = null, ?User $by = null): Recording
    {
        if (! $golfer->isConsenting()) {
            throw new ActionException("{$golfer->pseudonym} has no valid consent for training use; nothing was stored. Record the consent first.");
        }
        $car = $meta === null ? new SideCar : SideCar::read((string) file_get_contents($meta['path']), $meta['name']);
        if ($car->hand !== null && $car->hand->value !== $golfer->handedness) {
            throw new ActionException("The side-car says {$car->hand->value}-handed, but {$golfer->pseudonym} is {$golfer->handedness}-handed; nothing was stored.");
        }
        $stream = fopen($path, 'rb');
        if ($stream === false) {
            throw new ActionException("$name cannot be read; nothing was stored.");
        }
        try {
            $trace = TraceCsv::read($stream, $name, $device ?? $car->device, $car->stance, $car->massKg);
        } finally {
            fclose($stream);
        }
        $recording = ($this->store)($golfer, [
            'club' => $car->club ?? 'not stated', 'swing' => $car->swing ?? 'full', 'device_name' => $car->deviceName, 'source' => 'file',
        ], $trace, $car->stations);
        AuditEntry::note($by, 'import', "recording {$recording->public_id}", ['file' => $name]);

        return $recording;
    }
}
