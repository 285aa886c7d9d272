<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\CaseSwing;
use App\Models\Reading;
use App\Models\Recording;
use Core\Measurement\Measure;
use Core\Number\Written;
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
     * @return list<array{name: string, says: string, numbers: list<array{label: string, value: string,
     * uncertainty: string, unit: string}>}> of each swing; none at the blind stage
     */
    public function of(Reading $reading): array
    {
        if ($reading->stage !== Stage::Reveal) {
            return [];
        }

        $reading->case->loadMissing('swings.recording.measured');

        return array_values($reading->case->swings->map(fn (CaseSwing $s): array => [
            'name' => $reading->case->kind === CaseKind::Single ? '' : $reading->case->swingName($s),
            'says' => $s->recording->flight()?->words() ?? 'what the ball did was not written down',
            'numbers' => $reading->arm->trace ? $this->numbers($s->recording) : [],
        ])->all());
    }

    /** @return list<array{label: string, value: string, uncertainty: string, unit: string}> */
    private function numbers(Recording $recording): array
    {
        $numbers = [];
        $found = $recording->measured?->measured();
        foreach (self::SHOWN as $m) {
            $one = $found?->get($m);
            $value = $one?->number();
            if ($one !== null && $value !== null) {
                $u = $one->uncertainty ?? 0.0;
                $numbers[] = [
                    'label' => $m->label(),
                    'value' => Written::fixed($value, abs($value) < 5 ? 2 : 0),
                    'uncertainty' => Written::fixed($u, $u < 1 ? 2 : 1),
                    'unit' => $one->unit,
                ];
            }
        }

        return $numbers;
    }
}
