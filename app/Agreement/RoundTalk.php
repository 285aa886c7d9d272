<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Sitting;
use Core\Agreement\Profile\CaseTalk;
use Core\Agreement\Profile\Contention;
use Core\Reading\Presence;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Cases of a round by what there is to talk about, counted where the calls are. */
final class RoundTalk
{
    /**
     * First occasions only; whoever shows them leaves out what may not be shown.
     *
     * @param  Collection<int, KeyEntry>  $entries  of the round's key
     * @param  list<string>  $faults  in the order of the codebook, which breaks ties
     * @return list<CaseTalk> by place of the round, the most first
     */
    public static function ofRound(Sitting $round, Collection $entries, array $faults): array
    {
        $labels = $cases = [];
        foreach ($entries as $entry) {
            $labels[$entry->case_id][$entry->fault] = $entry->scoredLabel();
        }
        foreach ($round->cases()->where('occasion', 1)->orderBy('id')->get(['id', 'case_id']) as $case) {
            $cases[$case->id] = $case->case_id;
        }
        $counts = [];
        foreach (self::counted($round) as $row) {
            $counts[Cell::int($row->place)][Cell::text($row->fault)][Cell::text($row->presence)] = Cell::int($row->n);
        }
        $out = [];
        foreach ($cases as $place => $case) {
            $questions = [];
            foreach (array_intersect($faults, array_keys($counts[$place] ?? [])) as $fault) {
                $n = $counts[$place][$fault];
                $label = $labels[$case][$fault] ?? null;
                $questions[$fault] = new Contention(
                    $n[Presence::Present->value] ?? 0,
                    $n[Presence::Absent->value] ?? 0,
                    $n[Presence::CannotTell->value] ?? 0,
                    $label === null ? null : $label === Presence::Present->value,
                );
            }
            $out[] = CaseTalk::ofQuestions($place, $questions);
        }
        usort($out, static fn (CaseTalk $a, CaseTalk $b): int => [$b->weight, $a->case] <=> [$a->weight, $b->case]);

        return $out;
    }

    /** @return Collection<int, \stdClass> place, fault, presence, n */
    private static function counted(Sitting $round): Collection
    {
        return DB::table('sitting_cases')
            ->join('readings', 'readings.sitting_case_id', '=', 'sitting_cases.id')
            ->join('calls', 'calls.reading_id', '=', 'readings.id')
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('sitting_cases.occasion', 1)
            ->where('readings.stage', 'blind')
            ->whereNotNull('readings.handed_in_at')
            ->groupBy('sitting_cases.id', 'calls.fault', 'calls.presence')
            ->orderBy('sitting_cases.id')
            ->orderBy('calls.fault')
            ->selectRaw('sitting_cases.id as place, calls.fault, calls.presence, count(*) as n')
            ->get();
    }
}
