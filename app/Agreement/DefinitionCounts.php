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
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What panels and staff did with one fault over all rounds that a person may see the figures of: a round that holds
 * anything hidden from the person counts in nothing here.
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

    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array{rounds: Collection<int, Sitting>, panels: Collection<int, Sitting>} the newest first */
    public function sittings(User $user): array
    {
        $onlooker = $this->onlookers->of($user);
        $all = Sitting::query()
            ->with('result')
            ->whereIn('state', [SittingState::Closed, SittingState::Published])
            ->orderByDesc('opened_at')
            ->orderByDesc('id')
            ->get()
            ->filter(static fn (Sitting $s): bool => $onlooker->withheld($s) === null);

        return [
            'rounds' => $all->filter(static fn (Sitting $s): bool => $s->kind === SittingKind::Round
                && $s->state === SittingState::Published)->values(),
            'panels' => $all->filter(static fn (Sitting $s): bool => $s->kind === SittingKind::Panel)->values(),
        ];
    }

    /**
     * @param  Collection<int, Sitting>  $rounds
     * @param  Collection<int, Sitting>  $panels
     * @param  Figure|null  $joined  specific agreement on present, in the newest round that asked it
     */
    public function definition(string $fault, Collection $rounds, Collection $panels, ?Figure $joined): Definition
    {
        $panel = $this->panel($fault, self::ids($panels));

        return new Definition(
            $joined,
            $panel['cases'],
            $panel['contested'],
            $panel['present'],
            $this->untold($fault, self::ids($rounds)),
            ConfusedWith::among($this->confusions($fault, self::ids($rounds))),
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
     * @param  list<int>  $rounds
     * @return array<string, list<array{int, int}>> by what was shown – a device, or film alone – and golfer
     */
    private function untold(string $fault, array $rounds): array
    {
        $rows = DB::select("
            select case when a.trace then r.device_class else 'film' end as device, r.golfer_id, count(*) as calls,
                count(*) filter (where c.presence = 'cannot-tell') as untold
            from readings
            join sitting_cases on sitting_cases.id = readings.sitting_case_id
            join sittings s on s.id = sitting_cases.sitting_id
            join sitting_arms a on a.id = readings.arm_id
            join calls c on c.reading_id = readings.id and c.fault = ?
            join case_swings w on w.case_id = sitting_cases.case_id and w.position = 1
            join recordings r on r.id = w.recording_id
            where sitting_cases.sitting_id = any (?::bigint[]) and ".self::COUNTED.'
            group by 1, 2 order by 1, 2', [$fault, self::literal($rounds)]);
        $out = [];
        foreach ($rows as $row) {
            $of = (array) $row;
            $out[Cell::text($of['device'])][] = [Cell::int($of['untold']), Cell::int($of['calls'])];
        }

        return $out;
    }

    /**
     * @param  list<int>  $rounds
     * @return array<string, array{int, int, int, int}> by other fault, as Core\Agreement\Profile\ConfusedWith takes them
     */
    private function confusions(string $fault, array $rounds): array
    {
        $rows = DB::select("
            with said as (
                select readings.id, c.fault, c.presence,
                    case when e.grade <> 'contested' and (e.grade <> 'conflict' or e.ruling is not null)
                        then nullif(coalesce(e.ruling, e.label), 'none') end as key
                from readings
                join sitting_cases on sitting_cases.id = readings.sitting_case_id
                join sittings s on s.id = sitting_cases.sitting_id
                join calls c on c.reading_id = readings.id
                join key_entries e on e.key_version_id = s.key_version_id and e.case_id = sitting_cases.case_id
                    and e.fault = c.fault
                where s.id = any (?::bigint[]) and ".self::COUNTED."),
            one as (select id, presence = 'absent' and key = 'present' as missed from said
                where fault = ? and key is not null and presence <> 'cannot-tell')
            select said.fault,
                count(*) filter (where one.missed and said.presence = 'present') as together,
                count(*) filter (where one.missed) as missed,
                count(*) filter (where not one.missed and said.presence = 'present') as otherwise,
                count(*) filter (where not one.missed) as others
            from said join one on one.id = said.id
            where said.fault <> ? and said.key = 'absent' and said.presence <> 'cannot-tell'
            group by said.fault order by said.fault", [self::literal($rounds), $fault, $fault]);
        $out = [];
        foreach ($rows as $row) {
            $of = (array) $row;
            $out[Cell::text($of['fault'])] = [
                Cell::int($of['together']), Cell::int($of['missed']), Cell::int($of['otherwise']), Cell::int($of['others']),
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
