<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use App\Models\PendingImport;
use App\Shelf\OpenedImport;
use App\Words\Term;
use Core\CoreException;
use Core\Format\ColumnMap;
use Core\Format\ImportedRecording;
use Core\Trace\DeviceClass;
use Core\Trace\Repair;

/**
 * What a file would become: its columns as understood, the trace drawn, quality and stations, before anything is
 * stored.
 */
final readonly class ImportPage
{
    public function __construct(private ImportPreview $preview)
    {
    }

    /** @return array<string, mixed> */
    public function of(PendingImport $import): array
    {
        $import->loadMissing('golfer');
        $opened = new OpenedImport($import);
        $in = $map = $problem = null;
        $header = [];
        try {
            if ($import->format === 'csv') {
                $header = $opened->header();
                $map = $opened->map();
                $problem = self::columnProblem($map);
            }
            $in = $problem === null ? $opened->read() : null;
        } catch (ActionException|CoreException $e) {
            $problem = rtrim(Refusal::sentenceOf($e), '.').'.';
        }

        return [
            'import' => $import,
            'about' => self::about($import),
            'problem' => $problem,
            'preview' => $in === null ? null : $this->preview->of($in),
            'repaired' => array_map(
                static fn (Repair $r): string => (string) __("import.repairs.{$r->kind->value}.is"),
                $opened->repairs(),
            ),
            'fields' => self::fields($import, $in, $map),
            'columns' => $header === [] ? [] : self::columns($map),
            'header' => $header,
            'mappedAsBefore' => $header !== [] && $opened->isMappedAsBefore(),
            'devices' => self::devices(),
            ...FactsPage::choices(),
        ];
    }

    private static function about(PendingImport $import): string
    {
        return (string) __('import.about', [
            'format' => __("import.formats.$import->format"),
            'golfer' => $import->golfer->pseudonym,
            'hand' => $import->golfer->handedness,
            'with' => $import->meta_name === null ? '' : __('import.with', ['file' => $import->meta_name]),
        ]);
    }

    private static function columnProblem(?ColumnMap $map): ?string
    {
        return match (true) {
            $map === null => (string) __('import.unknown-columns'),
            $map->missing() !== [] => (string) __('import.missing-columns', [
                'channels' => implode(', ', $map->missing()),
            ]),
            default => null,
        };
    }

    /**
     * What stands in the fields: what was set, else what the file says; and what the file says, to be seen in an
     * empty one.
     *
     * @return array<string, array{value: string, hint: string}>
     */
    private static function fields(PendingImport $import, ?ImportedRecording $in, ?ColumnMap $map): array
    {
        $stance = $in?->trace->stance;
        $written = static fn (?float $v, int $digits = 0): string => $v === null
            ? ''
            : number_format($v, $digits, '.', '');
        $out = [];
        foreach ([
            'club' => [$in?->facts->club, ''],
            'swing' => [$in->facts->swing ?? 'full', ''],
            'size' => ['', ''],
            'loft_deg' => ['', ''],
            'shape' => ['', ''],
            'effort_pct' => ['', ''],
            'has_ball' => ['', ''],
            'place' => ['', ''],
            'series' => ['', ''],
            'is_cold' => ['', ''],
            'mass_kg' => ['', $written($in?->trace->massKg, 1)],
            'lead_x' => ['', $written($stance?->lead->xMm)],
            'lead_y' => ['', $written($stance?->lead->yMm)],
            'trail_x' => ['', $written($stance?->trail->xMm)],
            'trail_y' => ['', $written($stance?->trail->yMm)],
            'target' => ['+x', ''],
            'device' => [$map?->device->value, ''],
            'device_name' => [$in?->facts->deviceName, ''],
        ] as $name => [$else, $hint]) {
            $value = old($name, Cell::text($import->settings[$name] ?? $else));
            $out[$name] = ['value' => is_scalar($value) ? (string) $value : '', 'hint' => $hint];
        }

        return $out;
    }

    /**
     * @return list<array{channel: string, column: string, unit: string, units: list<string>}>
     */
    private static function columns(?ColumnMap $map): array
    {
        $device = $map->device ?? DeviceClass::Mat;

        return array_map(static fn (string $channel): array => [
            'channel' => $channel,
            'column' => $map->channels[$channel]['column'] ?? '',
            'unit' => $map->channels[$channel]['unit'] ?? '',
            'units' => array_keys(ColumnMap::UNITS[ColumnMap::kind($channel)]),
        ], ['t_s', ...$device->channels(), ...$device->optionalChannels()]);
    }

    /** @return array<string, string> */
    private static function devices(): array
    {
        $out = [];
        foreach (DeviceClass::cases() as $device) {
            $out[$device->value] = Term::device($device);
        }

        return $out;
    }
}
