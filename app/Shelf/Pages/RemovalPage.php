<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Models\Casts\Cell;
use App\Models\Recording;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** What hangs on a recording, to be told before it is taken away. */
final class RemovalPage
{
    /**
     * @return array{recording: Recording, name: string, sittings: list<array{name: string, state: string, cases: int,
     *     readings: int}>, says: string, stays: string}
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
            'name' => "{$recording->golfer->pseudonym}, $recording->club",
            'sittings' => array_values(
                $sittings
                    ->map(
                        static fn (object $s): array => [
                            'name' => Cell::text($s->name),
                            'state' => (string) __('removal.states.'.SittingState::from(Cell::text($s->state))->value),
                            'cases' => Cell::int($s->cases),
                            'readings' => Cell::int($s->readings),
                        ],
                    )
                    ->all(),
            ),
            'says' => $sittings->isEmpty()
                ? trans_choice('removal.whole', $recording->films->count(), ['count' => $recording->films->count()])
                : (string) __('removal.in-part'),
            'stays' => (string) __('removal.stays', [
                'entries' => DB::table('key_entries')->whereIn('case_id', $cases)->count(),
            ]),
        ];
    }
}
