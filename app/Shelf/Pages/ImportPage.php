<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Exceptions\ActionException;
use App\Models\PendingImport;
use App\Models\RememberedColumns;
use App\Shelf\ReadImport;
use Core\CoreException;
use Core\Format\ColumnMap;
use Core\Format\ImportedRecording;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measured;
use Core\Motion\Station;
use Core\Motion\StationFinder;
use Core\Motion\StationTimes;
use Core\Remark\InWords;
use Core\Trace\DeviceClass;
use Core\Trace\QualityFinding;
use Core\Trace\Series;

/**
 * What a file would become: its columns as understood, the trace drawn, quality and stations, before anything is
 * stored.
 */
final class ImportPage
{
    private const WIDTH = 640;

    private const HEIGHT = 200;

    public function __construct(private readonly ReadImport $read, private readonly InWords $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(PendingImport $import): array
    {
        $import->loadMissing('golfer');
        $out = [
            'import' => $import,
            's' => $import->settings,
            'problem' => null,
            'preview' => null,
            'header' => [],
            'map' => null,
            'channels' => [],
            'remembered' => false,
        ];
        try {
            if ($import->format === 'csv') {
                $out['header'] = $this->read->header($import);
                $out['remembered'] =
                    ! isset($import->settings['map']) &&
                    RememberedColumns::query()
                        ->where('header_checksum', ReadImport::checksum($out['header']))
                        ->exists();
                $map = $this->read->map($import);
                $out['map'] = $map;
                $device = $map->device ?? DeviceClass::Mat;
                $out['channels'] = ['t_s', ...$device->channels(), ...$device->optionalChannels()];
                if ($map === null) {
                    $out['problem'] =
                        'The columns are not recognised as those of a mat, a plate or two plates. Choose the device, '
                            .'then say below which column holds what.';

                    return $out;
                }
                if ($map->missing() !== []) {
                    $out['problem'] = 'No column was found for '.implode(', ', $map->missing()).'. Choose below.';

                    return $out;
                }
            }
            $out['preview'] = $this->preview(($this->read)($import));
        } catch (ActionException|CoreException $e) {
            $out['problem'] = rtrim($e->getMessage(), '.').'.';
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private function preview(ImportedRecording $in): array
    {
        $found = $in->stations === null ? StationFinder::find($in->views, $in->trace) : null;
        $stations = $in->stations ?? $found->times ?? StationTimes::of([]);
        $assessment = Assessment::of(new Evidence($stations, $in->trace, $in->views, $in->trace->stance));
        $share = $in->trace->leadShare();
        $curve = $share ?? $in->trace->totalForce() ?? $in->trace->cop()[0];
        $from = max($in->trace->t0, ($stations->t(Station::Address) ?? $in->trace->t0) - 0.5);
        $to = min($curve->end(), ($stations->t(Station::Finish) ?? $curve->end()) + 0.4);
        $x = static fn (float $t): float => round(40 + (self::WIDTH - 48) * ($t - $from) / max(1e-6, $to - $from), 1);

        return [
            'in' => $in,
            'notes' => $assessment->quality(),
            'stations' => $stations->all(),
            'doubts' => array_map($this->words->phrase(...), $found->doubts ?? []),
            'measured' => count(
                array_filter(
                    $assessment->measurements->all(),
                    static fn (Measured|array $m): bool => is_array($m) || $m->value !== null,
                ),
            ),
            'of' => count($assessment->measurements->all()),
            'label' => $share === null
                    ? ($in->trace->totalForce() === null
                        ? 'centre of pressure, mm'
                        : 'vertical force, % of body weight')
                    : 'lead share, %',
            'path' => self::path($curve, $from, $to, $x),
            'notches' => array_map(
                static fn ($s): float => $x($s->t),
                array_filter($stations->all(), static fn ($s): bool => $s->t >= $from && $s->t <= $to),
            ),
            'spans' => array_values(
                array_filter(
                    array_map(
                        static fn (QualityFinding $f): ?array => $f->span === null
                            ? null
                            : [$x(max($from, min($to, $f->span[0]))), $x(max($from, min($to, $f->span[1])))],
                        $assessment->findings,
                    ),
                ),
            ),
            'seconds' => [$from, $to],
        ];
    }

    /** @param  callable(float): float  $x */
    private static function path(Series $curve, float $from, float $to, callable $x): string
    {
        $points = [];
        for ($i = 0; $i <= 300; $i++) {
            $t = $from + ($to - $from) * $i / 300;
            $v = $curve->at($t);
            if ($v !== null) {
                $points[] = [$t, $v];
            }
        }
        if ($points === []) {
            return '';
        }
        $values = array_column($points, 1);
        [$low, $high] = min($values) >= 0.0 && max($values) <= 100.0 ? [0.0, 100.0] : [min($values), max($values)];
        $path = '';
        foreach ($points as $i => [$t, $v]) {
            $path .=
                ($i === 0 ? 'M' : 'L').
                $x($t).
                ' '.
                round(10 + (self::HEIGHT - 40) * (1 - ($v - $low) / max(1e-6, $high - $low)), 1);
        }

        return $path;
    }

    /** @return list<string> */
    public static function units(string $channel): array
    {
        return array_keys(ColumnMap::UNITS[ColumnMap::kind($channel)]);
    }
}
