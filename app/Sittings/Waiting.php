<?php

declare(strict_types=1);

namespace App\Sittings;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Sight\OwnSwing;
use Core\Reading\Stage;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** Of whom an open round still waits for blind readings, and of how many. */
final class Waiting
{
    /** @return array<int, int> readings by user; nobody who is left out, nothing that is taken out or their own */
    public static function in(Sitting $round): array
    {
        $rows = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('seats', static fn (JoinClause $on) => $on
                ->on('seats.user_id', 'readings.user_id')
                ->on('seats.sitting_id', 'sitting_cases.sitting_id'))
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('readings.stage', Stage::Blind)
            ->whereNull('readings.handed_in_at')
            ->whereNull('sitting_cases.withdrawn_at')
            ->whereNull('seats.left_out_at')
            ->tap(OwnSwing::leaveOut(...))
            ->groupBy('readings.user_id')
            ->selectRaw('readings.user_id, count(*) as n')
            ->get();
        $out = [];
        foreach ($rows as $row) {
            $out[Cell::int($row->user_id)] = Cell::int($row->n);
        }

        return $out;
    }
}
