<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Models\Recording;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** What hangs on a recording, to be told before it is taken away. */
final class RemovalPage
{
    /**
     * @return array{recording: Recording, sittings: list<array{name: string, state: SittingState, cases: int,
     * readings: int}>, entries: int, films: int}
     */
    public function of(Recording $recording): array
    {
        $cases = DB::table('case_swings')->where('recording_id', $recording->id)->pluck('case_id');
        $sittings = DB::table('sittings')
            ->join('sitting_cases', 'sitting_cases.sitting_id', '=', 'sittings.id')
            ->leftJoin('readings', 'readings.sitting_case_id', '=', 'sitting_cases.id')
            ->whereIn('sitting_cases.case_id', $cases)
            ->groupBy('sittings.id', 'sittings.name', 'sittings.state')
            ->orderBy('sittings.id')
            ->selectRaw(
                'sittings.name, sittings.state, count(distinct sitting_cases.id) as cases, '
                    .'count(readings.handed_in_at) as readings',
            )
            ->get();

        return [
            'recording' => $recording->load('golfer', 'films'),
            'sittings' => array_values(
                $sittings
                    ->map(
                        static fn (object $s): array => [
                            'name' => (string) $s->name,
                            'state' => SittingState::from($s->state),
                            'cases' => (int) $s->cases,
                            'readings' => (int) $s->readings,
                        ],
                    )
                    ->all(),
            ),
            'entries' => DB::table('key_entries')->whereIn('case_id', $cases)->count(),
            'films' => $recording->films->count(),
        ];
    }
}
