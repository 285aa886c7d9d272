<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\SittingArm;
use App\Models\SittingCase;
use App\Models\User;
use Core\Planning\Arms;
use Core\Reading\Stage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What each member is shown of the cases of a round that are shown by turns. Of a case kept from an earlier round it is
 * what that member was shown then: a change between rounds is none of the evidence.
 */
final readonly class DealArms
{
    /**
     * @param  Collection<int, SittingCase>  $cases
     * @param  Collection<int, User>  $members
     * @param  User|null  $instead  whose ways are taken over
     * @return array<int, array<int, int>> the arm, by case_id and member; none of cases that all see alike
     */
    public function of(Sitting $round, Collection $cases, Collection $members, ?User $instead = null): array
    {
        $crossed = $cases->whereNull('arm_id')->where('occasion', 1);
        if ($crossed->isEmpty()) {
            return [];
        }
        $ids = array_values($crossed->map(static fn (SittingCase $c): int => $c->case_id)->all());
        // Who comes late and alone has turns of their own.
        $late = $round->opened_at === null ? '' : '|'.implode(' ', array_map(Cell::text(...), $members->modelKeys()));
        $dealt = Arms::crossed(
            self::present($round, $ids),
            array_values(array_map(Cell::int(...), $members->modelKeys())),
            $round->seed.$late,
        );
        $arms = [];
        foreach (Arms::CODES as $code) {
            $arms[$code] = SittingArm::in($round, $code !== 'trace', $code !== 'film')->id;
        }
        $out = array_map(
            static fn (array $of): array => array_map(static fn (string $code): int => $arms[$code], $of),
            $dealt,
        );
        foreach ($instead === null ? [] : self::armsOf($round, $instead) as $case => $arm) {
            if (isset($out[$case])) {
                $out[$case] = array_fill_keys(array_keys($out[$case]), $arm);
            }
        }
        foreach ($this->before($round, $crossed->where('reserved', true), $members) as [$case, $member, $code]) {
            $out[$case][$member] = $arms[$code];
        }

        return $out;
    }

    /** @return array<int, int> what somebody was shown in this round, by case_id */
    private static function armsOf(Sitting $round, User $who): array
    {
        $rows = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('readings.user_id', $who->id)
            ->where('readings.stage', Stage::Blind)
            ->get(['case_id', 'readings.arm_id']);
        $out = [];
        foreach ($rows as $row) {
            $out[Cell::int($row->case_id)] = Cell::int($row->arm_id);
        }

        return $out;
    }

    /**
     * @param  list<int>  $cases
     * @return array<int, int> by case, how many faults the key calls present
     */
    private static function present(Sitting $round, array $cases): array
    {
        $of = DB::table('key_entries')
            ->where('key_version_id', $round->key_version_id)
            ->whereIn('case_id', $cases)
            ->groupBy('case_id')
            ->selectRaw("case_id, count(*) filter (where coalesce(ruling, label) = 'present') as n")
            ->pluck('n', 'case_id');
        $out = [];
        foreach ($cases as $case) {
            $out[$case] = Cell::int($of[$case] ?? 0);
        }

        return $out;
    }

    /**
     * @param  Collection<int, SittingCase>  $anchors
     * @param  Collection<int, User>  $members
     * @return list<array{int, int, string}> case, member, what was shown in the first round that asked it
     */
    private function before(Sitting $round, Collection $anchors, Collection $members): array
    {
        $rows = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sitting_arms', 'sitting_arms.id', '=', 'readings.arm_id')
            ->where('sitting_cases.sitting_id', '<>', $round->id)
            ->where('sitting_cases.reserved', true)
            ->where('readings.stage', Stage::Blind)
            ->whereNotNull('readings.handed_in_at')
            ->whereIn('sitting_cases.case_id', $anchors->pluck('case_id'))
            ->whereIn('readings.user_id', $members->modelKeys())
            ->orderByDesc('readings.handed_in_at')
            ->orderByDesc('readings.id')
            ->get(['case_id', 'user_id', 'code']);

        return array_values($rows->map(static fn (object $row): array => [
            Cell::int($row->case_id),
            Cell::int($row->user_id),
            Cell::text($row->code),
        ])->all());
    }
}
