<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Events\RecordingImported;
use Core\Format\ImportSettings;
use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Sight\Scope;
use Core\Trace\DeviceClass;

/** Reads a recording of any format, with its side-car where there is one, and puts it on the Shelf. */
final readonly class ImportTraceFile
{
    public function __construct(private StoreRecording $store, private MeasureRecording $measure)
    {
    }

    /**
     * @param  string  $name  the file's own name, for errors
     * @param  array{path: string, name: string}|null  $meta  the side-car
     * @param  '+x'|'-x'|'+y'|'-y'  $target  for C3D: the laboratory axis that points to the target
     *
     * @throws \Core\Format\FormatException|ActionException
     */
    public function __invoke(
        Golfer $golfer,
        string $path,
        string $name,
        ?array $meta = null,
        ?DeviceClass $device = null,
        ?User $by = null,
        string $target = '+x',
        ?string $series = null,
        bool $isCold = false,
    ): Recording {
        if (! $golfer->consentsTo(Scope::Lessons, Scope::StaffTraining)) {
            throw ActionException::because('import.no-consent', ['golfer' => $golfer->pseudonym]);
        }
        $car = $meta === null ? new SideCar : SideCar::read((string) file_get_contents($meta['path']), $meta['name']);
        $stream = fopen($path, 'rb');
        if ($stream === false) {
            throw ActionException::because('refusals.shelf.cannot-read-nothing-stored', ['name' => $name]);
        }
        try {
            $in = RecordingReader::read($stream, $name, $car, new ImportSettings($device, null, target: $target));
        } finally {
            fclose($stream);
        }
        foreach (['side-car' => $car->hand, 'file' => $in->facts->hand] as $what => $hand) {
            if ($hand !== null && $hand->value !== $golfer->handedness) {
                throw ActionException::because('refusals.shelf.says-but-nothing-stored', [
                    'what' => $what,
                    'hand' => $hand->value,
                    'golfer' => $golfer->pseudonym,
                    'handedness' => $golfer->handedness,
                ]);
            }
        }
        $recording = ($this->store)(
            $golfer,
            [
                'club' => $in->facts->club ?? 'not stated',
                'swing' => $in->facts->swing ?? 'full',
                'device_name' => $in->facts->deviceName,
                'source' => 'file',
                'series' => $series,
                'is_cold' => $isCold,
            ],
            $in->trace,
            $in->stations,
            $in->views,
        );
        ($this->measure)($recording);
        event(new RecordingImported($recording, $name, $by));

        return $recording;
    }
}
