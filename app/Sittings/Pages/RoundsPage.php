<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Sight\OwnSwing;
use Core\Sight\SittingState;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\DB;

/** The rounds, newest first, a page at a time, with how far each is read. */
final class RoundsPage
{
    private const A_PAGE = 30;

    /**
     * @return LengthAwarePaginator<int, array{name: string, url: string, readBy: string, state: string, cases: int,
     *     members: int, done: int, of: int, result: ?array{word: string, url: string}}>
     */
    public function rows(): LengthAwarePaginator
    {
        $pages = Sitting::query()->withCount(['cases', 'members'])->orderByDesc('id')->paginate(self::A_PAGE);
        $read = self::read(array_values(array_map(
            static fn (Sitting $round): int => $round->id,
            array_filter($pages->items(), static fn (Sitting $round): bool => $round->state === SittingState::Open),
        )));

        return $pages->through(static fn (Sitting $round): array => [
            'name' => $round->name,
            'url' => route('rounds.show', $round),
            'readBy' => (string) __($round->isPanel() ? 'rounds.by-panel' : 'rounds.by-instructors'),
            'state' => (string) __("rounds.states.{$round->state->value}"),
            'cases' => (int) $round->cases_count,
            'members' => (int) $round->members_count,
            'done' => $read[$round->id]['done'] ?? $round->readings_handed_in ?? 0,
            'of' => $read[$round->id]['of'] ?? $round->readings_dealt ?? 0,
            'result' => $round->state === SittingState::Published ? self::result($round) : null,
        ]);
    }

    /**
     * @param  list<int>  $rounds  open ones; of closed ones it is known
     * @return array<int, array{of: int, done: int}> readings of each, and those handed in
     */
    private static function read(array $rounds): array
    {
        $out = [];
        $rows = DB::table('sitting_cases')
            ->join('readings', 'readings.sitting_case_id', '=', 'sitting_cases.id')
            ->whereIn('sitting_cases.sitting_id', $rounds)
            ->whereNull('sitting_cases.withdrawn_at')
            ->tap(OwnSwing::leaveOut(...))
            ->groupBy('sitting_cases.sitting_id')
            ->selectRaw('sitting_cases.sitting_id, count(*) as readings, count(readings.handed_in_at) as done')
            ->get();
        foreach ($rows as $row) {
            $out[Cell::int($row->sitting_id)] = ['of' => Cell::int($row->readings), 'done' => Cell::int($row->done)];
        }

        return $out;
    }

    /** @return array{word: string, url: string} */
    private static function result(Sitting $round): array
    {
        return $round->isPanel()
            ? ['word' => (string) __('rounds.key'), 'url' => route('panel', $round)]
            : ['word' => (string) __('rounds.figures'), 'url' => route('agreement', $round)];
    }
}
