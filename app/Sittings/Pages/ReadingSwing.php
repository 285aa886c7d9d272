<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\CaseSwing;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Rendition;

/** One swing of the case somebody reads: the only way from a reading to evidence. */
final class ReadingSwing
{
    /** The recording; the request ends where there is no such swing. That it may be looked at is the policy's. */
    public function __invoke(Reading $reading, int $position): Recording
    {
        $reading->loadMissing(['case.sitting', 'case.swings.recording.golfer', 'case.renditions']);
        $swing = $reading->case->swings->first(static fn (CaseSwing $s): bool => $s->position === $position);

        return $swing->recording ?? abort(404);
    }

    public function rendition(Reading $reading, Recording $recording): ?Rendition
    {
        return $reading->case->renditions->firstWhere('recording_id', $recording->id);
    }

    /**
     * @return array<int, float> by how much each swing's own clock is behind the recording's, s, by swing of the case
     */
    public function starts(Reading $reading): array
    {
        $reading->loadMissing(['case.swings', 'case.renditions']);
        $out = [];
        foreach ($reading->case->swings as $swing) {
            $start = $reading->case->renditions->firstWhere('recording_id', $swing->recording_id)?->start_s;
            if ($start !== null) {
                $out[$swing->position] = $start;
            }
        }

        return $out;
    }
}
