<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Bench\Pages\TraceTitle;
use App\Models\CaseSwing;
use App\Models\Reading;

/** The swing of a case as it was shown on a member's own blind sheet, for a page that asks once more about it. */
final class AskedSwing
{
    /**
     * @return array{reading: Reading, film: bool, trace: bool, evidence: string, traceTitle: string,
     *     swings: list<array{name: string, url: string}>}
     */
    public static function of(Reading $own): array
    {
        $own->loadMissing(['arm', 'case.swings.recording.golfer.limitsInForce', 'case.sitting']);
        $swings = $own->case->swings;

        return [
            'reading' => $own,
            'film' => $own->arm->film,
            'trace' => $own->arm->trace,
            'evidence' => route('read.evidence', [$own, 1], false),
            'traceTitle' => TraceTitle::ofRecording($own->case->recording),
            'swings' => $swings->count() === 1 ? [] : array_values($swings->map(static fn (CaseSwing $s): array => [
                'name' => $own->case->swingName($s),
                'url' => route('read.evidence', [$own, $s->position], false),
            ])->all()),
        ];
    }
}
