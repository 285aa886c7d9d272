<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Figure;
use Core\Agreement\Profile\ConfusedWith;
use Core\Agreement\Study\Definition;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What panels and staff did with one fault in the newest rounds that a person may see the figures of: a round that
 * holds anything hidden from the person counts in nothing here.
 */
final readonly class DefinitionCounts
{
    /**
     * What counts of a sitting's readings: handed in, blind, the first time, by who had not seen the answer, did not
     * make the key and is not the golfer.
     */
    private const COUNTED = "readings.stage = 'blind' and readings.handed_in_at is not null and not readings.exposed
        and sitting_cases.withdrawn_at is null and sitting_cases.occasion = 1
        and not exists (select 1 from key_versions k join seats m on m.sitting_id = k.sitting_id
            where k.id = s.key_version_id and m.user_id = readings.user_id)
        and not exists (select 1 from case_swings o join recordings x on x.id = o.recording_id
            join users u on u.golfer_id = x.golfer_id
            where o.case_id = sitting_cases.case_id and u.id = readings.user_id)";

    /** So many rounds, and so many panels, of so many that are looked at. */
    private const NEWEST = 2;

    private const LOOKED_AT = 3;

    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array{rounds: Collection<int, Sitting>, panels: Collection<int, Sitting>} the newest first */
    public function sittings(User $user): array
    {
        return [
            'rounds' => $this->newest($user, SittingKind::Round, [SittingState::Published]),
            'panels' => $this->newest($user, SittingKind::Panel, [SittingState::Closed, SittingState::Published]),
        ];
    }

    /**
     * @param  list<SittingState>  $states
     * @return Collection<int, Sitting> of which the person may see the figures
     */
    private function newest(User $user, SittingKind $kind, array $states): Collection
    {
        $onlooker = $this->onlookers->of($user);
        $some = Sitting::query()
            ->where('kind', $kind)
            ->whereIn('state', $states)
            ->when($kind === SittingKind::Round, static fn ($q) => $q->whereHas('result'))
            ->orderByDesc('opened_at')
            ->orderByDesc('id')
            ->limit(self::LOOKED_AT)
            ->get();
        // What is asked of each is fetched for all of them at once.
        $onlooker->seenCases($some, Thing::Numbers);
        $out = new Collection;
        foreach ($some as $sitting) {
            if ($out->count() < self::NEWEST && $onlooker->withheld($sitting) === null) {
                $out->push($sitting);
            }
        }

        return $out;
    }

    /**
     * @param  Collection<int, Sitting>  $rounds
     * @param  Collection<int, Sitting>  $panels
     * @param  Figure|null  $joined  specific agreement on present, in the newest round that asked it
     */
    public function definition(string $fault, Collection $rounds, Collection $panels, ?Figure $joined): Definition
    {
        $panel = $this->panel($fault, self::ids($panels));
        $shown = $this->byShown($fault, self::ids($rounds));

        return new Definition(
            $joined,
            $panel['cases'],
            $panel['contested'],
            $panel['present'],
            $shown['untold'],
            ConfusedWith::among($this->confusions($fault, self::ids($rounds))),
            $shown['joined'],
        );
    }

    /**
     * @param  list<int>  $panels
     * @return array{cases: int, contested: int, present: list<array{int, int}>} present: by golfer, of settled cases
     */
    private function panel(string $fault, array $panels): array
    {
        $rows = DB::select('
            with newest as (
                select distinct on (k.sitting_id) k.id
                from key_versions k join sittings s on s.id = k.sitting_id and s.lens = k.lens
                where k.sitting_id = any (?::bigint[])
                order by k.sitting_id, k.number desc)
            select r.golfer_id, count(*) as cases,
                count(*) filter (where e.grade = \'contested\') as contested,
                count(*) filter (where e.grade <> \'contested\' and coalesce(e.ruling, e.label) = \'present\') as present
            from newest
            join key_entries e on e.key_version_id = newest.id and e.fault = ?
            join case_swings w on w.case_id = e.case_id and w.position = 1
            join recordings r on r.id = w.recording_id
            group by r.golfer_id order by r.golfer_id', [self::literal($panels), $fault]);
        $out = ['cases' => 0, 'contested' => 0, 'present' => []];
        foreach ($rows as $row) {
            $of = (array) $row;
            $settled = Cell::int($of['cases']) - Cell::int($of['contested']);
            $out['cases'] += Cell::int($of['cases']);
            $out['contested'] += Cell::int($of['contested']);
            if ($settled > 0) {
                $out['present'][] = [Cell::int($of['present']), $settled];
            }
        }

        return $out;
    }

    /**
     * By what was shown – a device, or film alone – and golfer.
     *
     * @param  list<int>  $rounds
     * @return array{untold: array<string, list<array{int, int}>>, joined: array<string, list<array{int, int}>>} untold:
     *     calls that could not tell, of all; joined: of what others say who could tell, of whoever says present, how much
     *     is present too. Each meets those who were shown the same of the same case in the same round.
     */
    private function byShown(string $fault, array $rounds): array
    {
        $rows = DB::select("
            with read as (
                select case when a.trace then r.device_class else 'film' end as device, r.golfer_id,
                    count(*) as calls, count(*) filter (where c.presence = 'cannot-tell') as untold,
                    count(*) filter (where c.presence <> 'cannot-tell') as told,
                    count(*) filter (where c.presence = 'present') as present
                from readings
                join sitting_cases on sitting_cases.id = readings.sitting_case_id
                join sittings s on s.id = sitting_cases.sitting_id
                join sitting_arms a on a.id = readings.arm_id
                join calls c on c.reading_id = readings.id and c.fault = ?
                join case_swings w on w.case_id = sitting_cases.case_id and w.position = 1
                join recordings r on r.id = w.recording_id
                where sitting_cases.sitting_id = any (?::bigint[]) and ".self::COUNTED.'
                group by 1, 2, sitting_cases.id)
            select device, golfer_id, sum(calls) as calls, sum(untold) as untold,
                sum(present * (present - 1)) as joined, sum(present * (told - 1)) as met
            from read group by 1, 2 order by 1, 2', [$fault, self::literal($rounds)]);
        $out = ['untold' => [], 'joined' => []];
        foreach ($rows as $row) {
            $of = (array) $row;
            $device = Cell::text($of['device']);
            $out['untold'][$device][] = [Cell::int($of['untold']), Cell::int($of['calls'])];
            $out['joined'][$device][] = [Cell::int($of['joined']), Cell::int($of['met'])];
        }

        return $out;
    }

    /**
     * @param  list<int>  $rounds
     * @return array<string, array{int, int, int, int}> by other fault, as Core\Agreement\Profile\ConfusedWith takes
     *     them
     */
    private function confusions(string $fault, array $rounds): array
    {
        // How many could have called another wrongly is told by the key and by how many read each case; only calls that
        // are not "absent", which are few, are gone through.
        $rows = DB::select("
            with keyed as (
                select s.id as sitting, e.case_id, e.fault, coalesce(e.ruling, e.label) as key
                from sittings s join key_entries e on e.key_version_id = s.key_version_id
                where s.id = any (?::bigint[]) and e.grade <> 'contested'
                    and (e.grade <> 'conflict' or e.ruling is not null) and coalesce(e.ruling, e.label) <> 'none'),
            one as materialized (
                select readings.id, s.id as sitting, sitting_cases.case_id,
                    c.presence = 'absent' and keyed.key = 'present' as missed
                from readings
                join sitting_cases on sitting_cases.id = readings.sitting_case_id
                join sittings s on s.id = sitting_cases.sitting_id
                join keyed on keyed.sitting = s.id and keyed.case_id = sitting_cases.case_id and keyed.fault = ?
                join calls c on c.reading_id = readings.id and c.fault = keyed.fault
                where c.presence <> 'cannot-tell' and ".self::COUNTED."),
            could as materialized (
                select keyed.fault, one.missed, sum(one.n) as n
                from (select sitting, case_id, missed, count(*) as n from one group by 1, 2, 3) one
                join keyed on keyed.sitting = one.sitting and keyed.case_id = one.case_id
                where keyed.key = 'absent' and keyed.fault <> ?
                group by 1, 2),
            called as materialized (
                select one.sitting, one.case_id, one.missed, c.fault, c.presence
                from one join calls c on c.reading_id = one.id and c.presence <> 'absent'),
            did as materialized (
                select called.fault, called.missed, count(*) filter (where called.presence = 'present') as called,
                    count(*) filter (where called.presence = 'cannot-tell') as untold
                from called join keyed on keyed.sitting = called.sitting and keyed.case_id = called.case_id
                    and keyed.fault = called.fault and keyed.key = 'absent'
                group by 1, 2)
            select could.fault,
                coalesce(sum(did.called) filter (where could.missed), 0) as together,
                coalesce(sum(could.n - coalesce(did.untold, 0)) filter (where could.missed), 0) as missed,
                coalesce(sum(did.called) filter (where not could.missed), 0) as otherwise,
                coalesce(sum(could.n - coalesce(did.untold, 0)) filter (where not could.missed), 0) as others
            from could left join did on did.fault = could.fault and did.missed = could.missed
            group by could.fault order by could.fault", [self::literal($rounds), $fault, $fault]);
        $out = [];
        foreach ($rows as $row) {
            $of = (array) $row;
            $out[Cell::text($of['fault'])] = [
                Cell::int($of['together']), Cell::int($of['missed']), Cell::int($of['otherwise']),
                Cell::int($of['others']),
            ];
        }

        return $out;
    }

    /**
     * @param  Collection<int, Sitting>  $sittings
     * @return list<int>
     */
    private static function ids(Collection $sittings): array
    {
        return array_values(array_map(static fn (Sitting $s): int => $s->id, $sittings->all()));
    }

    /** @param  list<int>  $ids */
    private static function literal(array $ids): string
    {
        return '{'.implode(',', $ids).'}';
    }
}
