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
use Core\Trace\Repair;
use Core\Trace\Stance;
use Illuminate\Support\Facades\Storage;

/**
 * A file that was laid aside, read by what its person has set so far. It is fetched once, however much is asked of it.
 */
final class OpenedImport
{
    /** @var resource|null */
    private $stream = null;

    /** @var list<string>|null */
    private ?array $header = null;

    private ?ColumnMap $remembered = null;

    private bool $isRecalled = false;

    public function __construct(private readonly PendingImport $import)
    {
    }

    public function __destruct()
    {
        if (is_resource($this->stream)) {
            fclose($this->stream);
        }
    }

    /** Where files that were laid aside are kept. */
    public static function disk(): string
    {
        return 'imports';
    }

    /** @throws FormatException|ActionException */
    public function read(): ImportedRecording
    {
        $hand = Handedness::from($this->import->golfer->handedness);
        $car = $this->sideCar();
        $this->sameHand($car?->hand, 'side-car');
        $map = $this->import->format === 'csv' ? $this->map() : null;
        $target = $this->text('target');
        $in = RecordingReader::read(
            $this->stream(),
            $this->import->file_name,
            $car,
            new ImportSettings(
                DeviceClass::tryFrom($this->text('device')),
                $hand,
                $this->number('mass_kg'),
                $this->stance($car),
                $map === null || $map->isPlain() ? null : $map,
                in_array($target, ['+x', '-x', '+y', '-y'], true) ? $target : '+x',
            ),
        );
        $this->sameHand($in->facts->hand, 'file');
        $part = $this->part();

        return ($part === null ? $in : $in->between(...$part))->repaired(...$this->repairs());
    }

    /** @return list<Repair> what a person has said yes to, in that order */
    public function repairs(): array
    {
        $made = $this->import->settings['repairs'] ?? [];

        return array_values(array_filter(array_map(Repair::from(...), is_array($made) ? $made : [])));
    }

    /** @return array{float, float}|null the stretch of the file that is meant, s */
    private function part(): ?array
    {
        $part = $this->import->settings['part'] ?? null;
        [$from, $to] = is_array($part) ? [$part[0] ?? null, $part[1] ?? null] : [null, null];

        return is_numeric($from) && is_numeric($to) ? [(float) $from, (float) $to] : null;
    }

    /**
     * The mapping set by hand, else the one remembered for such a header, else the guess.
     *
     * @throws FormatException|ActionException
     */
    public function map(): ?ColumnMap
    {
        return self::mapOf($this->import->settings['map'] ?? null)
            ?? $this->remembered()
            ?? ColumnMap::guess($this->header(), Handedness::from($this->import->golfer->handedness));
    }

    /** Whether the columns are mapped as those of the last file that had them. */
    public function isMappedAsBefore(): bool
    {
        return ! isset($this->import->settings['map']) && $this->remembered() !== null;
    }

    /**
     * @return list<string>
     *
     * @throws FormatException|ActionException
     */
    public function header(): array
    {
        return $this->header ??= (new CsvTable($this->stream(), $this->import->file_name))->header;
    }

    /** What files with the same columns have in common. */
    public function headerChecksum(): string
    {
        return hash('sha256', implode("\0", $this->header()));
    }

    private function remembered(): ?ColumnMap
    {
        if (! $this->isRecalled) {
            $this->isRecalled = true;
            $this->remembered = self::mapOf(
                RememberedColumns::query()->where('header_checksum', $this->headerChecksum())->first()?->map,
            );
        }

        return $this->remembered;
    }

    private static function mapOf(mixed $set): ?ColumnMap
    {
        if (! is_array($set) || ! is_string($set['device'] ?? null) || ! is_array($set['channels'] ?? null)) {
            return null;
        }
        /** @var array<string, array{column: string, unit: string}> $channels */
        $channels = $set['channels'];

        return new ColumnMap(DeviceClass::from($set['device']), $channels);
    }

    /** @throws ActionException */
    private function sameHand(?Handedness $said, string $by): void
    {
        $golfer = $this->import->golfer;
        if ($said !== null && $said->value !== $golfer->handedness) {
            throw ActionException::because("import.other-hand.$by", [
                'said' => $said->value,
                'golfer' => $golfer->pseudonym,
                'hand' => $golfer->handedness,
            ]);
        }
    }

    /** Where the feet stood, as set by hand; null where that was not said. */
    private function stance(?SideCar $car): ?Stance
    {
        [$lead, $trail] = [$this->number('lead_x'), $this->number('trail_x')];
        if ($lead === null || $trail === null) {
            return null;
        }
        $given = $car?->stance;

        return new Stance(
            self::foot($lead, $this->number('lead_y'), $given?->lead, $this->number('lead_flare')),
            self::foot($trail, $this->number('trail_y'), $given?->trail, null),
        );
    }

    private static function foot(float $x, ?float $y, ?Foot $given, ?float $flare): Foot
    {
        return new Foot(
            $x,
            $y ?? 0.0,
            $given->lengthMm ?? 270.0,
            $given->widthMm ?? 100.0,
            $flare ?? $given?->flareDeg,
        );
    }

    private function text(string $setting): string
    {
        $set = $this->import->settings[$setting] ?? null;

        return is_string($set) ? $set : '';
    }

    private function number(string $setting): ?float
    {
        $set = $this->import->settings[$setting] ?? null;

        return is_numeric($set) ? (float) $set : null;
    }

    private function sideCar(): ?SideCar
    {
        return $this->import->meta_path === null
            ? null
            : SideCar::read(
                (string) Storage::disk(self::disk())->get($this->import->meta_path),
                (string) $this->import->meta_name,
            );
    }

    /**
     * @return resource at its start
     *
     * @throws ActionException
     */
    private function stream()
    {
        if ($this->stream === null) {
            $kept = Storage::disk(self::disk())->readStream($this->import->path);
            $here = fopen('php://temp', 'w+b');
            if ($kept === null || $here === false) {
                throw ActionException::because('import.gone');
            }
            stream_copy_to_stream($kept, $here);
            fclose($kept);
            $this->stream = $here;
        }
        rewind($this->stream);

        return $this->stream;
    }
}
