<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Models\Casts\Cell;
use App\Models\Check;
use App\Models\CheckPlan;
use App\Models\Enums\UserState;
use App\Models\KeyVersion;
use App\Models\RatedCase;
use App\Models\User;
use Core\Chance\Chance;
use Core\Reading\CaseKind;
use Core\Sight\Role;
use Core\Sight\Scope;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Which cases may be set apart for weekly checks, and which come next: none that an instructor knows, one a golfer. */
final class CheckCases
{
    /** Cases a week. */
    public const WEEKLY = 3;

    /** Fewer would come round every other week. */
    public const LEAST = 6;

    /**
     * @return list<KeyVersion> the newest key of every published panel that has enough cases nobody on the staff knows
     */
    public static function keys(): array
    {
        return array_values(KeyVersion::query()
            ->newest()
            ->whereHas('sitting', static fn ($q) => $q->where('state', SittingState::Published))
            ->with('sitting')
            ->orderByDesc('id')
            ->get()
            ->filter(static fn (KeyVersion $k): bool => count(self::of($k)) >= self::LEAST)
            ->all());
    }

    /** @return list<int> single swings of which no instructor has read or been told anything, one a golfer */
    public static function of(KeyVersion $key): array
    {
        $staff = array_map(static fn (User $u): int => $u->id, self::staff());
        $known = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->whereIn('readings.user_id', $staff)
            ->select('case_swings.recording_id')
            ->union(DB::table('exposures')->whereIn('user_id', $staff)->select('recording_id'));
        $by = [];
        foreach (self::usable()
            ->whereIn('id', DB::table('key_entries')->where('key_version_id', $key->id)->select('case_id'))
            ->whereDoesntHave('swings', static fn ($q) => $q->whereIn('recording_id', $known))
            ->with('swings.recording')
            ->orderBy('id')
            ->get() as $case) {
            $by[$case->swings->firstOrFail()->recording->golfer_id] ??= $case->id;
        }

        return array_values($by);
    }

    /**
     * @return list<int> those of next week: what was read the longest ago, else by lot; fewer where consents have ended
     */
    public static function next(CheckPlan $plan): array
    {
        $last = [];
        foreach (DB::table('checks')
            ->join('sitting_cases', 'sitting_cases.sitting_id', '=', 'checks.sitting_id')
            ->where('checks.check_plan_id', $plan->id)
            ->groupBy('sitting_cases.case_id')
            ->selectRaw('case_id, max(week_on) as last')
            ->get() as $row) {
            $last[Cell::int($row->case_id)] = Cell::text($row->last);
        }
        $weeks = Check::query()->where('check_plan_id', $plan->id)->count();
        $cases = (new Chance("check|$plan->public_id|$weeks"))->shuffled(array_values(self::usable()
            ->whereKey($plan->cases)
            ->orderBy('id')
            ->get()
            ->map(static fn (RatedCase $c): int => $c->id)
            ->all()));
        usort($cases, static fn (int $a, int $b): int => ($last[$a] ?? '') <=> ($last[$b] ?? ''));

        return array_slice($cases, 0, self::WEEKLY);
    }

    /** @return list<User> who is checked */
    public static function staff(): array
    {
        return array_values(User::query()
            ->where('state', UserState::Active)
            ->where('role', Role::Instructor)
            ->orderBy('id')
            ->get()
            ->all());
    }

    /** @return Builder<RatedCase> */
    private static function usable(): Builder
    {
        return RatedCase::query()
            ->where('kind', CaseKind::Single)
            ->whereHas('swings.recording', static fn ($q) => $q
                ->whereNull('erased_at')
                ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::StaffTraining)));
    }
}
