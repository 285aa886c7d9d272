<?php

declare(strict_types=1);

namespace App\Sight;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** A reader's own swing that was dealt before anybody knew: nobody waits for it, and it counts in nothing. */
final class OwnSwing
{
    /** Leaves such readings out of a query over readings and sitting_cases. */
    public static function leaveOut(Builder $query): void
    {
        $query->whereNotExists(DB::query()
            ->from('case_swings')
            ->join('recordings', 'recordings.id', '=', 'case_swings.recording_id')
            ->join('users as owners', 'owners.golfer_id', '=', 'recordings.golfer_id')
            ->whereColumn('owners.id', 'readings.user_id')
            ->whereColumn('case_swings.case_id', 'sitting_cases.case_id')
            ->selectRaw('1'));
    }
}
