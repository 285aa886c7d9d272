<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\CaseSwing;
use App\Models\Reading;
use App\Models\Sitting;
use Core\Sight\Sight;
use Core\Sight\Why;

/** What a member of a panel may see of what is asked of it once its blind round is over. */
final readonly class PanelSight
{
    public function __construct(private Onlooker $onlooker)
    {
    }

    /** Whether one of its recordings is still to be read blind by this person, wherever that is. */
    public function isAwaited(Sitting $of): bool
    {
        foreach ($this->onlooker->standingsIn($of) as $standing) {
            if ($standing->hiddenBy() === Why::Awaited) {
                return true;
            }
        }

        return false;
    }

    /**
     * By the own sheet of its case: of every swing.
     *
     * @param  bool  $asked  whether the person has a seat in it, and it is open
     */
    public function ofQuestion(Reading $own, bool $asked): Sight
    {
        $turn = $this->onlooker->turn($own);

        return Sight::ofAll($own->case->swings->map(
            fn (CaseSwing $s): Sight => Sight::ofFollowing($this->onlooker->standing($s->recording_id), $turn, $asked),
        ));
    }

    /**
     * Of the drills of a case, likewise.
     *
     * @param  bool  $asked  whether it is asked of the person, and still open
     */
    public function ofDrills(Reading $own, bool $asked): Sight
    {
        $turn = $this->onlooker->turn($own);

        return Sight::ofAll($own->case->swings->map(
            fn (CaseSwing $s): Sight => Sight::ofJudging($this->onlooker->standing($s->recording_id), $turn, $asked),
        ));
    }
}
