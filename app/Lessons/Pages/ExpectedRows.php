<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Bench\Pages\MeasurementPrint;
use App\Lessons\LessonSeries;
use App\Models\Prescription;
use App\Words\Term;
use Core\Codebook\Drill;
use Core\Codebook\ExpectedChange;
use Core\Codebook\Way;
use Core\Measurement\Spread;
use Core\Prescription\RealChange;
use Core\Prescription\SeriesChange;

/**
 * What should change, in which way and by how much at least to count as real, in words and figures.
 *
 * @phpstan-type Expected array{name: string, way: string, now: string, least: string}
 */
final readonly class ExpectedRows
{
    public function __construct(private LessonSeries $series)
    {
    }

    /** @return list<Expected> of a draft by its session's swings, of what was handed over as it was handed over */
    public function of(Prescription $of, ?Drill $drill): array
    {
        if ($of->issued_at !== null) {
            return array_map(static fn (array $row): array => self::row(
                ExpectedChange::fromArray($row['measure'], $row['change']),
                $row['mean'] === null ? null : (float) $row['mean'],
                $row['n'],
                $row['least'] === null ? null : (float) $row['least'],
            ), $of->expected);
        }
        $swings = $this->series->full($of->lesson);

        return array_values(array_map(static function (ExpectedChange $change) use ($swings): array {
            $measured = LessonSeries::measured($swings, $change->measure, $change->at);
            $spread = Spread::ofMeasured($measured);
            $after = max(SeriesChange::LEAST, $spread->n ?? 0);

            return self::row(
                $change,
                $spread?->mean,
                $spread->n ?? 0,
                RealChange::planned($spread, $after, SeriesChange::doubt($measured))?->least,
            );
        }, $drill->ways ?? []));
    }

    public static function way(ExpectedChange $change): string
    {
        return (string) __("prescriptions.ways.{$change->way->value}", [
            'value' => $change->way === Way::Toward ? MeasurementPrint::value((float) $change->value) : '',
        ]);
    }

    /** @return Expected */
    private static function row(ExpectedChange $change, ?float $mean, int $n, ?float $least): array
    {
        $unit = $change->measure->unit();

        return [
            'name' => Term::measure($change->measure, $change->at?->value),
            'way' => self::way($change),
            'now' => $mean === null
                ? (string) __('prescriptions.expected.no-series')
                : trans_choice('prescriptions.expected.now', $n, [
                    'mean' => MeasurementPrint::value($mean), 'unit' => $unit, 'n' => $n,
                ]),
            'least' => $least === null
                ? (string) __('prescriptions.expected.no-least')
                : (string) __('prescriptions.expected.least', [
                    'least' => MeasurementPrint::value($least), 'unit' => $unit,
                ]),
        ];
    }
}
