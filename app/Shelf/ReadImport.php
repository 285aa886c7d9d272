<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Exceptions\ActionException;
use App\Models\PendingImport;
use App\Models\RememberedColumns;
use Core\Format\ColumnMap;
use Core\Format\CsvTable;
use Core\Format\FormatException;
use Core\Format\ImportedRecording;
use Core\Format\ImportSettings;
use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Motion\Handedness;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Stance;
use Illuminate\Support\Facades\Storage;

/** Reads a file that was laid aside, by what its person has set so far. */
final readonly class ReadImport
{
    /** @throws FormatException|ActionException */
    public function __invoke(PendingImport $import): ImportedRecording
    {
        $hand = Handedness::from($import->golfer->handedness);
        $car = $this->sideCar($import);
        if ($car !== null && $car->hand !== null && $car->hand !== $hand) {
            throw new ActionException(
                "The side-car says {$car->hand->value}-handed, but {$import->golfer->pseudonym} is "
                    ."{$import->golfer->handedness}-handed.",
            );
        }
        $s = $import->settings;
        $number = static fn (string $name): ?float => is_numeric($s[$name] ?? null) ? (float) $s[$name] : null;
        $stance = null;
        if ($number('lead_x') !== null && $number('trail_x') !== null) {
            $given = $car?->stance;
            $stance = new Stance(
                new Foot(
                    $number('lead_x'),
                    $number('lead_y') ?? 0.0,
                    $given->lead->lengthMm ?? 270.0,
                    $given->lead->widthMm ?? 100.0,
                    $number('lead_flare') ?? $given?->lead->flareDeg,
                ),
                new Foot(
                    $number('trail_x'),
                    $number('trail_y') ?? 0.0,
                    $given->trail->lengthMm ?? 270.0,
                    $given->trail->widthMm ?? 100.0,
                    $given?->trail->flareDeg,
                ),
            );
        }
        $device = is_string($s['device'] ?? null) ? DeviceClass::tryFrom($s['device']) : null;
        $map = $import->format === 'csv' ? $this->map($import) : null;
        $target = $s['target'] ?? '+x';
        $stream = $this->stream($import);
        try {
            $in = RecordingReader::read(
                $stream,
                $import->file_name,
                $car,
                new ImportSettings(
                    $device,
                    $hand,
                    $number('mass_kg'),
                    $stance,
                    $map === null || $map->isPlain() ? null : $map,
                    in_array($target, ['+x', '-x', '+y', '-y'], true) ? $target : '+x',
                ),
            );
        } finally {
            fclose($stream);
        }
        if ($in->facts->hand !== null && $in->facts->hand !== $hand) {
            throw new ActionException(
                "The file says {$in->facts->hand->value}-handed, but {$import->golfer->pseudonym} is "
                    ."{$import->golfer->handedness}-handed.",
            );
        }

        return $in;
    }

    /** The mapping set by hand, else the one remembered for such a header, else the guess. */
    public function map(PendingImport $import): ?ColumnMap
    {
        $set = $import->settings['map'] ?? null;
        $header = $this->header($import);
        if (! is_array($set)) {
            $set = RememberedColumns::query()->where('header_checksum', self::checksum($header))->first()?->map;
        }
        if (is_array($set) && is_string($set['device'] ?? null) && is_array($set['channels'] ?? null)) {
            /** @var array<string, array{column: string, unit: string}> $channels */
            $channels = $set['channels'];

            return new ColumnMap(DeviceClass::from($set['device']), $channels);
        }

        return ColumnMap::guess($header, Handedness::from($import->golfer->handedness));
    }

    /**
     * @return list<string>
     *
     * @throws FormatException
     */
    public function header(PendingImport $import): array
    {
        $stream = $this->stream($import);
        try {
            return (new CsvTable($stream, $import->file_name))->header;
        } finally {
            fclose($stream);
        }
    }

    /** @param  list<string>  $header */
    public static function checksum(array $header): string
    {
        return hash('sha256', implode("\0", $header));
    }

    private function sideCar(PendingImport $import): ?SideCar
    {
        return $import->meta_path === null
            ? null
            : SideCar::read((string) Storage::disk('local')->get($import->meta_path), (string) $import->meta_name);
    }

    /** @return resource */
    private function stream(PendingImport $import)
    {
        $stream = Storage::disk('local')->readStream($import->path);
        if ($stream === null) {
            throw new ActionException('The file is no longer there; send it again.');
        }

        return $stream;
    }
}
