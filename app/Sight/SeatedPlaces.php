<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\Casts\Cell;
use App\Models\User;
use Core\Reading\Stage;
use Core\Sight\Place;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** Every place that recordings have for one person: in the sittings where the person has a seat. */
final class SeatedPlaces
{
    /** @return array<int, list<Place>> by recording */
    public static function of(User $user): array
    {
        $rows = DB::table('seats')
            ->join('sittings', 'sittings.id', '=', 'seats.sitting_id')
            ->join('sitting_cases', 'sitting_cases.sitting_id', '=', 'sittings.id')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->leftJoin(
                'readings',
                static fn (JoinClause $on): JoinClause => $on
                    ->on('readings.sitting_case_id', 'sitting_cases.id')
                    ->where('readings.user_id', $user->id)
                    ->where('readings.stage', Stage::Blind->value),
            )
            ->where('seats.user_id', $user->id)
            ->where('sittings.state', '<>', SittingState::Draft->value)
            ->orderBy('sittings.id')
            ->get([
                'case_swings.recording_id',
                'sittings.id',
                'sittings.kind',
                'sittings.state',
                'sitting_cases.reserved',
                'sitting_cases.withdrawn_at',
                'readings.handed_in_at',
            ]);
        $out = [];
        foreach ($rows as $row) {
            $out[Cell::int($row->recording_id)][] = new Place(
                Cell::int($row->id),
                SittingKind::from(Cell::text($row->kind)),
                SittingState::from(Cell::text($row->state)),
                $row->handed_in_at === null,
                (bool) $row->reserved,
                $row->withdrawn_at !== null,
            );
        }

        return $out;
    }
}
