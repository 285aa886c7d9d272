<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Sight\OwnSwing;
use Core\Reading\Stage;
use Core\Sight\SittingState;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** How far a round is read, person by person; asked for again and again while it is open. */
final class ReadBy
{
    /** @return array<string, mixed> */
    public function of(Sitting $round): array
    {
        $people = self::people($round);

        return [
            'progress' => $people,
            'progressTitle' => (string) __('round.progress', [
                'done' => array_sum(array_column($people, 'done')),
                'of' => array_sum(array_column($people, 'of')),
            ]),
            'follows' => $round->state === SittingState::Open,
        ];
    }

    /** Blind readings of a round by person, in the order of their names: nothing taken out, nobody's own swings. */
    public static function blind(Sitting $round): Builder
    {
        return DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->leftJoin('seats', static fn (JoinClause $on): JoinClause => $on
                ->on('seats.user_id', 'users.id')
                ->where('seats.sitting_id', $round->id))
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('readings.stage', Stage::Blind)
            ->whereNull('sitting_cases.withdrawn_at')
            ->tap(OwnSwing::leaveOut(...))
            ->groupBy('users.id', 'users.name')
            ->orderBy('users.name');
    }

    /** @return list<array{name: string, done: int, of: int, last: string}> */
    private static function people(Sitting $round): array
    {
        $zone = Academy::zone();

        return array_values(self::blind($round)
            ->selectRaw('users.name, count(*) as cases, count(readings.handed_in_at) as done')
            ->selectRaw('max(readings.handed_in_at) as last, max(seats.left_out_at) as left_out')
            ->get()
            ->map(static fn (\stdClass $p): array => [
                'name' => Cell::text($p->name),
                'done' => Cell::int($p->done),
                'of' => Cell::int($p->cases),
                'last' => match (true) {
                    $p->left_out !== null => (string) __('round.left-out'),
                    $p->last === null => (string) __('figures.none'),
                    default => Carbon::parse(Cell::text($p->last))->timezone($zone)->format('j M, H:i'),
                },
            ])
            ->all());
    }
}
