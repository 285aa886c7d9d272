<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\ReadinessDecision;
use App\Models\ReadinessRule;
use App\Models\User;
use Core\Training\BarKind;
use Core\Training\ReadinessStanding;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Where people stand beside the rules today: a rule's decisions go on from version to version. */
final class Standings
{
    /**
     * @param  list<int>  $users
     * @param  iterable<ReadinessRule>  $rules  current ones
     * @return array<int, array<int, ReadinessStanding>> by person and rule
     */
    public static function of(array $users, iterable $rules): array
    {
        $today = Carbon::now(Academy::zone())->format('Y-m-d');
        $decisions = [];
        foreach (ReadinessDecision::query()->whereIn('user_id', $users)->with('rule')->orderBy('id')->get() as $decision) {
            $decisions[$decision->user_id][$decision->rule->line()][] = [
                $decision->kind,
                $decision->until?->format('Y-m-d'),
            ];
        }
        $last = self::lastRead($users);
        $out = [];
        foreach ($rules as $rule) {
            $away = $rule->toCore()->bars[BarKind::Recency->value] ?? null;
            foreach ($users as $user) {
                $days = isset($last[$user]) ? $last[$user]->diffInDays(Carbon::now()) : INF;
                $out[$user][$rule->id] = ReadinessStanding::of(
                    $decisions[$user][$rule->line()] ?? [],
                    $today,
                    $away !== null && $days > $away->limit,
                );
            }
        }

        return $out;
    }

    public static function ofOne(User $user, ReadinessRule $rule): ReadinessStanding
    {
        return self::of([$user->id], [$rule])[$user->id][$rule->id];
    }

    /** @return Collection<int, ReadinessDecision> on one person by any version of a rule, in order */
    public static function decisions(User $user, ReadinessRule $rule): Collection
    {
        return ReadinessDecision::query()
            ->where('user_id', $user->id)
            ->whereHas('rule', static fn ($q) => $q->where('id', $rule->line())->orWhere('first_id', $rule->line()))
            ->with(['decider', 'rule'])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  list<int>  $users
     * @return array<int, Carbon> when each handed a case in last, of a round, a check or a test
     */
    public static function lastRead(array $users): array
    {
        $out = [];
        foreach (DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->whereIn('sittings.kind', ['round', 'check', 'test'])
            ->whereIn('readings.user_id', $users)
            ->where('stage', 'blind')
            ->whereNotNull('handed_in_at')
            ->groupBy('readings.user_id')
            ->selectRaw('readings.user_id, max(handed_in_at) as at')
            ->get() as $row) {
            $out[Cell::int($row->user_id)] = Carbon::parse(Cell::text($row->at));
        }

        return $out;
    }
}
