<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use Core\Reading\Stage;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** What knowing the ball and the numbers changed: calls of the second look beside the same person's blind ones. */
final class OutcomeBias
{
    /**
     * @return array{looks: int, calls: int, changed: int, to: array<string, int>, causes: int}|null  to: by what they
     * became; causes: first causes named otherwise; null where no second look was handed in
     */
    public function of(Sitting $round): ?array
    {
        $pairs = DB::table('readings as blind')
            ->join(
                'readings as again',
                static fn (JoinClause $on): JoinClause => $on
                    ->on('again.sitting_case_id', 'blind.sitting_case_id')
                    ->on('again.user_id', 'blind.user_id')
                    ->where('again.stage', Stage::Reveal)
                    ->whereNotNull('again.handed_in_at'),
            )
            ->join('sitting_cases', 'sitting_cases.id', '=', 'blind.sitting_case_id')
            ->where('sitting_cases.sitting_id', $round->id)->where('blind.stage', Stage::Blind);
        $looks = (clone $pairs)->count();
        if ($looks === 0) {
            return null;
        }
        $calls = (clone $pairs)
            ->join('calls as first', 'first.reading_id', '=', 'blind.id')
            ->join(
                'calls as second',
                static fn (JoinClause $on): JoinClause => $on
                    ->on('second.reading_id', 'again.id')
                    ->on('second.fault', 'first.fault'),
            );
        $to = (clone $calls)
            ->whereColumn('first.presence', '<>', 'second.presence')
            ->groupBy('second.presence')
            ->orderBy('second.presence')
            ->selectRaw('second.presence, count(*) as n')
            ->pluck('n', 'presence');

        /** @var array<string, int> $counts */
        $counts = $to->map(Cell::int(...))->all();

        return [
            'looks' => $looks,
            'calls' => $calls->count(),
            'changed' => array_sum($counts),
            'to' => $counts,
            'causes' => (clone $pairs)->whereRaw('blind.first_causes <> again.first_causes')->count(),
        ];
    }
}
