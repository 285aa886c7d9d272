<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\CaseSwing;
use App\Models\Reading;
use App\Models\Recording;

/** One swing of the case somebody reads: the only way from a reading to evidence. */
final class ReadingSwing
{
    /** The recording, or the request ends: no such swing, a consent that has ended, a second look that has to wait. */
    public function __invoke(Reading $reading, int $position): Recording
    {
        $this->mayBeLookedAt($reading);
        $swing = $reading->case->swings->first(static fn (CaseSwing $s): bool => $s->position === $position);

        return $swing->recording ?? abort(404);
    }

    public function mayBeLookedAt(Reading $reading): void
    {
        $reading->loadMissing(['case.round', 'case.swings.recording.golfer.consents']);
        foreach ($reading->case->swings as $swing) {
            abort_unless($swing->recording->golfer->isConsenting(), 410, 'The consent for this recording has ended; it is no longer shown.');
        }
        abort_if($reading->comesTooSoon(), 409, 'This case is not to be read yet; go on with the next one.');
        abort_if($reading->stage === Reading::REVEAL && $reading->handed_in_at === null && $reading->awaitsABlindOne(), 409, 'One of these swings waits for a reading of yours without the numbers; hand that in first.');
    }
}
