<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Casts\Cell;
use App\Models\User;
use Core\Reading\Stage;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Time spent on training between two days, by person: as it was measured, not as it was said. A question that lay open
 * counts for so much at most.
 */
final class Hours
{
    /** Of one practice question, s. */
    private const MOST_S = 300;

    /**
     * @return list<array{string, string, string, int, float, int, float, float}> person, from, to, practice questions
     *     and minutes, cases read and minutes, hours of both
     */
    public static function of(User $asks, Carbon $from, Carbon $to): array
    {
        $who = static fn (Builder $q, string $column): Builder => $asks->isHeadCoach() ? $q : $q->where(
            $column,
            $asks->id,
        );
        $practised = $who(DB::table('practice_answers')
            ->join('practice_sittings', 'practice_sittings.id', '=', 'practice_answers.practice_sitting_id')
            ->whereBetween('practice_answers.answered_at', [$from, $to]), 'practice_sittings.user_id')
            ->groupBy('practice_sittings.user_id')
            ->selectRaw('practice_sittings.user_id as id, count(*) as n, sum(least(extract(epoch from
                practice_answers.answered_at - practice_answers.asked_at), ?)) as s', [self::MOST_S])
            ->get()
            ->keyBy('id');
        $read = $who(DB::table('readings')
            ->where('stage', Stage::Blind->value)
            ->whereBetween('handed_in_at', [$from, $to]), 'readings.user_id')
            ->groupBy('readings.user_id')
            ->selectRaw('readings.user_id as id, count(*) as n, coalesce(sum(active_ms), 0) / 1000.0 as s')
            ->get()
            ->keyBy('id');
        $out = [];
        foreach (User::query()
            ->whereKey([...$practised->keys()->all(), ...$read->keys()->all()])
            ->orderBy('name')
            ->orderBy('id')
            ->get() as $user) {
            [$p, $r] = [$practised->get($user->id), $read->get($user->id)];
            [$ps, $rs] = [$p === null ? 0.0 : Cell::float($p->s), $r === null ? 0.0 : Cell::float($r->s)];
            $out[] = [
                $user->name,
                $from->toDateString(),
                $to->toDateString(),
                $p === null ? 0 : Cell::int($p->n),
                round($ps / 60.0, 1),
                $r === null ? 0 : Cell::int($r->n),
                round($rs / 60.0, 1),
                round(($ps + $rs) / 3600.0, 2),
            ];
        }

        return $out;
    }
}
