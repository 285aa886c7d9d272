<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\CaseSwing;
use App\Models\Reading;
use App\Models\Recording;
use App\Words\Term;
use Core\Drawing\FlightShape;
use Core\Measurement\Measure;
use Core\Motion\Handedness;
use Core\Number\Written;
use Core\Reading\BallFlight;
use Core\Reading\CaseKind;
use Core\Reading\Stage;

/**
 * What only the second look at a case shows: what the ball did, and what was measured. Never a verdict, never a key.
 */
final class SecondLook
{
    /** The measures shown, in the order of work. */
    private const SHOWN = [
        Measure::SetupShare,
        Measure::TrailPeak,
        Measure::TrailPeakAt,
        Measure::TopShare,
        Measure::RecentreLead,
        Measure::LevelShare,
        Measure::ImpactShare,
        Measure::Fallback,
        Measure::FinishShare,
        Measure::Rise,
        Measure::Tempo,
    ];

    /**
     * @return array{swings: list<array{name: string, says: string, shape: ?FlightShape}>, one: ?string,
     *     rows: list<array{label: string, unit: string, values: list<string>, uncertainty: string}>}|null null at the
     *     blind stage
     */
    public function of(Reading $reading): ?array
    {
        if ($reading->stage !== Stage::Reveal) {
            return null;
        }
        $case = $reading->case;
        $case->loadMissing(['swings.recording.measured', 'swings.recording.golfer']);
        $swings = array_values($case->swings->map(static fn (CaseSwing $s): array => [
            'name' => $case->kind === CaseKind::Single ? '' : $case->swingName($s),
            'says' => self::outcome($s->recording->flight()),
            'shape' => self::shape($s->recording),
        ])->all());
        $numbers = $reading->arm->trace
            ? array_values($case->swings->map(fn (CaseSwing $s): array => $this->numbers($s->recording))->all())
            : [];

        return [
            'swings' => $swings,
            'one' => count($swings) === 1 ? $swings[0]['says'] : null,
            'rows' => self::rows($numbers, count($swings) === 1 ? '± ' : ''),
        ];
    }

    /**
     * @param  list<array<string, array{label: string, value: string, uncertainty: string, unit: string}>>  $numbers
     * @return list<array{label: string, unit: string, values: list<string>, uncertainty: string}>
     */
    private static function rows(array $numbers, string $sign): array
    {
        $rows = [];
        foreach (self::SHOWN as $m) {
            $found = array_values(array_filter(array_map(
                static fn (array $of): ?array => $of[$m->value] ?? null,
                $numbers,
            )));
            if ($found !== []) {
                $rows[] = [
                    'label' => $found[0]['label'],
                    'unit' => $found[0]['unit'],
                    'values' => array_map(
                        static fn (array $of): string => $of[$m->value]['value'] ?? (string) __('figures.none'),
                        $numbers,
                    ),
                    'uncertainty' => $sign.max(array_column($found, 'uncertainty')),
                ];
            }
        }

        return $rows;
    }

    private static function shape(Recording $recording): ?FlightShape
    {
        $flight = $recording->flight();

        return $flight === null
            ? null
            : FlightShape::ofFlight($flight, Handedness::from($recording->golfer->handedness));
    }

    private static function outcome(?BallFlight $flight): string
    {
        $says = $flight === null ? (string) __('reading.outcome.not-written') : Term::flight($flight);

        return ucfirst($says).'.';
    }

    /** @return array<string, array{label: string, value: string, uncertainty: string, unit: string}> by measure */
    private function numbers(Recording $recording): array
    {
        $numbers = [];
        $found = $recording->measured?->measured();
        foreach (self::SHOWN as $m) {
            $one = $found?->get($m);
            $value = $one?->number();
            if ($one !== null && $value !== null) {
                $u = $one->uncertainty ?? 0.0;
                $numbers[$m->value] = [
                    'label' => Term::measure($m),
                    'value' => Written::fixed($value, abs($value) < 5 ? 2 : 0),
                    'uncertainty' => Written::fixed($u, $u < 1 ? 2 : 1),
                    'unit' => $one->unit,
                ];
            }
        }

        return $numbers;
    }
}
