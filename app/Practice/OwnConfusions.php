<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Casts\Cell;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Profile\ConfusedWith;
use Illuminate\Support\Facades\DB;

/** What one person calls, and is not there, where another fault was missed: from the calls of published rounds. */
final readonly class OwnConfusions
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array<string, string> by fault that is missed, the one that is called in its place */
    public function of(User $user): array
    {
        $out = [];
        foreach ($this->counts($user) as $fault => $others) {
            $first = ConfusedWith::among($others)[0] ?? null;
            if ($first !== null) {
                $out[$fault] = $first->fault;
            }
        }

        return $out;
    }

    /**
     * @return array<string, array<string, array{int, int, int, int}>> by missed and called fault, as ConfusedWith takes
     *     them
     */
    public function counts(User $user): array
    {
        $rows = DB::select("
            with said as (
                select readings.id, calls.fault, calls.presence, coalesce(e.ruling, e.label) as key
                from readings
                join sitting_cases c on c.id = readings.sitting_case_id
                join sittings s on s.id = c.sitting_id and s.state = 'published' and s.kind = 'round'
                join calls on calls.reading_id = readings.id
                join key_entries e on e.key_version_id = s.key_version_id and e.case_id = c.case_id
                    and e.fault = calls.fault
                where readings.user_id = ? and readings.stage = 'blind' and readings.handed_in_at is not null
                    and not readings.exposed and c.withdrawn_at is null and not c.reserved and c.occasion = 1
                    and e.grade <> 'contested' and (e.grade <> 'conflict' or e.ruling is not null)
                    and not exists (select 1 from case_swings w where w.case_id = c.case_id
                        and w.recording_id = any (?::bigint[]))),
            missed as (select id, fault from said where presence = 'absent' and key = 'present'),
            called as (select id, fault from said where presence = 'present' and key = 'absent'),
            sheets as (select count(distinct id) as n from said)
            select m.fault as missed, c.fault as called, count(*) as together,
                (select count(*) from missed where missed.fault = m.fault) as misses,
                (select count(*) from called where called.fault = c.fault) as calls,
                (select n from sheets) as n
            from missed m join called c on c.id = m.id
            group by m.fault, c.fault order by m.fault, c.fault", [
            $user->id,
            '{'.implode(',', $this->onlookers->of($user)->hidden()).'}',
        ]);
        $counts = [];
        foreach ($rows as $row) {
            $of = (array) $row;
            [$together, $misses] = [Cell::int($of['together']), Cell::int($of['misses'])];
            $counts[Cell::text($of['missed'])][Cell::text($of['called'])] = [
                $together,
                $misses,
                Cell::int($of['calls']) - $together,
                Cell::int($of['n']) - $misses,
            ];
        }

        return $counts;
    }
}
