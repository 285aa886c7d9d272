<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Training\PracticeEffect;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What published rounds tell of one person one after the other, and whether what was practised between two of them is
 * read better in the second on the cases that both asked. Withheld whole where the asker has still to read one of them.
 *
 * @phpstan-type Told array{name: string, date: string, calls: int, right: int, sure: ?float, minutes: ?float,
 *     cases: int}
 */
final readonly class RoundProgress
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return Collection<int, Sitting> published, with a seat for this person, the oldest first */
    public function rounds(User $user, User $asking): Collection
    {
        $onlooker = $this->onlookers->of($asking);

        return Sitting::query()
            ->where('kind', 'round')
            ->where('state', 'published')
            ->whereHas('members', static fn ($q) => $q->whereKey($user->id))
            ->with('result')
            ->orderBy('published_at')
            ->orderBy('id')
            ->get()
            ->filter(static fn (Sitting $s): bool => $onlooker->hidden() === [] || $onlooker->withheld($s) === null)
            ->values();
    }

    /**
     * @param  Collection<int, Sitting>  $rounds
     * @return list<Told>
     */
    public function told(User $user, Collection $rounds): array
    {
        $ids = $rounds->map(static fn (Sitting $s): int => $s->id);
        $calls = self::calls($user)
            ->whereIn('sittings.id', $ids)
            ->groupBy('sittings.id')
            ->selectRaw('sittings.id, count(*) as n, count(*) filter (where calls.presence = '.ScoredCalls::TRUTH.') as hits,
                avg(calls.confidence) as sure')
            ->get()
            ->keyBy('id');
        $times = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->whereIn('sitting_id', $ids)
            ->where('readings.user_id', $user->id)
            ->where('stage', 'blind')
            ->whereNotNull('handed_in_at')
            ->groupBy('sitting_id')
            ->selectRaw('sitting_id, count(*) as n,
                percentile_cont(0.5) within group (order by active_ms) filter (where active_ms > 0) as ms')
            ->get()
            ->keyBy('sitting_id');
        $out = [];
        foreach ($rounds as $round) {
            $of = $calls->get($round->id);
            $time = $times->get($round->id);
            $out[] = [
                'name' => $round->name,
                'date' => $round->published_at?->format('j M Y') ?? '',
                'calls' => Cell::int($of->n ?? 0),
                'right' => Cell::int($of->hits ?? 0),
                'sure' => isset($of->sure) ? Cell::float($of->sure) : null,
                'minutes' => isset($time->ms) ? Cell::float($time->ms) / 60_000.0 : null,
                'cases' => Cell::int($time->n ?? 0),
            ];
        }

        return $out;
    }

    /** @param  Collection<int, Sitting>  $rounds  the newest two of them are looked at; null where there are not two */
    public function effect(User $user, Collection $rounds): ?PracticeEffect
    {
        [$before, $after] = [$rounds->get($rounds->count() - 2), $rounds->get($rounds->count() - 1)];
        if ($rounds->count() < 2 || $before === null || $after === null) {
            return null;
        }
        $practised = DB::query()->fromSub(
            PersonSkills::faultsPractised($user, $before->published_at, $after->opened_at),
            'practised',
        )->distinct()->pluck('fault')->flip();
        $calls = [];
        $right = static fn (int $round): Builder => self::calls($user)
            ->where('sittings.id', $round)
            ->selectRaw('sitting_cases.case_id, calls.fault, calls.presence = '.ScoredCalls::TRUTH.' as "right"');
        foreach (DB::query()
            ->fromSub($right($before->id), 'one')
            ->joinSub($right($after->id), 'two', static fn (JoinClause $j) => $j
                ->on('two.case_id', '=', 'one.case_id')
                ->on('two.fault', '=', 'one.fault'))
            ->join('case_swings', 'case_swings.case_id', '=', 'one.case_id')
            ->join('recordings', 'recordings.id', '=', 'case_swings.recording_id')
            ->orderBy('golfer_id')
            ->distinct()
            ->get(['golfer_id', 'one.case_id', 'one.fault', 'one.right as before', 'two.right as after']) as $row) {
            $calls[] = [
                'golfer' => 'g'.Cell::int($row->golfer_id),
                'practised' => $practised->has(Cell::text($row->fault)),
                'before' => (bool) $row->before,
                'after' => (bool) $row->after,
            ];
        }

        return PracticeEffect::of($calls);
    }

    /**
     * This person's own, none of whoever was told before; a round with kept cases is withheld whole from its readers.
     */
    private static function calls(User $user): Builder
    {
        return ScoredCalls::all()->where('readings.user_id', $user->id)->where('readings.exposed', false);
    }
}
