<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Recording;
use Core\Number\Written;

/** How the clock of body points stands to the trace's, and the ways in which it may be moved. */
final class BenchClock
{
    /** @return array{says: string, ways: list<array{by: string, shift: ?string, name: string}>}|null without points */
    public static function ofRecording(Recording $recording): ?array
    {
        if ($recording->motion === null) {
            return null;
        }
        $sure = $recording->points_clock_uncertainty_s;
        $ways = [];
        $frame = 1.0 / $recording->motion->rate_hz;
        $sample = 1.0 / $recording->rate_hz;
        foreach ([
            'frame-back' => ['hand', -$frame],
            'frame-on' => ['hand', $frame],
            'sample-back' => ['hand', -$sample],
            'sample-on' => ['hand', $sample],
            'drift-back' => ['drift', -$frame],
            'drift-on' => ['drift', $frame],
            'correlation' => ['correlation', null],
            'impact' => ['impact', null],
        ] as $name => [$by, $shift]) {
            if ($by !== 'correlation' || $recording->deviceClass()->measuresForce()) {
                $ways[] = [
                    'by' => $by,
                    'shift' => $shift === null ? null : sprintf('%.9F', $shift),
                    'name' => (string) __("bench.clock.ways.$name"),
                ];
            }
        }

        return [
            'says' => (string) __('bench.clock.says', [
                'offset' => Written::signed(1000.0 * $recording->points_offset_s, 1),
                'sure' => $sure === null || $sure === 0.0
                    ? ''
                    : __('bench.clock.sure', ['ms' => Written::fixed(1000.0 * $sure, 1)]),
                'by' => $recording->points_clock_by === null
                    ? __('bench.clock.recorded')
                    : __('bench.clock.by', ['by' => $recording->points_clock_by]),
                'drift' => Written::fixed($recording->points_drift_ppm, 0),
            ]),
            'ways' => $ways,
        ];
    }
}
