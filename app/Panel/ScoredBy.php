<?php

declare(strict_types=1);

namespace App\Panel;

use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Sitting;
use Core\Reading\Presence;
use Core\Reading\Stage;
use Core\Sight\SittingState;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** How a round's calls stand beside one version of a key or another: right, of those that are scored. */
final class ScoredBy
{
    /**
     * First readings only; what is not scored, and who could not tell, is left out.
     *
     * @return array{int, int} right calls, and calls
     */
    public function right(Sitting $round, KeyVersion $key): array
    {
        $labels = [];
        foreach ($key->entries()->whereIn('case_id', $round->cases()->select('case_id'))->get() as $entry) {
            /** @var KeyEntry $entry */
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $labels[$entry->case_id][$entry->fault] = $label;
            }
        }
        $right = $n = 0;
        foreach ($this->calls($round) as [$case, $fault, $presence, $times]) {
            $label = $labels[$case][$fault] ?? null;
            if ($label !== null && $presence !== Presence::CannotTell->value) {
                $n += $times;
                $right += $presence === $label ? $times : 0;
            }
        }

        return [$right, $n];
    }

    /**
     * How published rounds that a key of this panel and lens has scored called some of its entries.
     *
     * @param  list<KeyEntry>  $entries
     * @return array<int, array{round: string, calls: array<string, array<string, int>>}> by round; calls by case and
     *     fault as case|fault, and presence
     */
    public function published(KeyVersion $key, array $entries): array
    {
        $rows = $this->rows()
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->join('key_versions', 'key_versions.id', '=', 'sittings.key_version_id')
            ->where('sittings.state', SittingState::Published->value)
            ->where('key_versions.sitting_id', $key->sitting_id)
            ->where('key_versions.lens', $key->lens)
            ->whereIn('sitting_cases.case_id', array_map(static fn (KeyEntry $e): int => $e->case_id, $entries))
            ->whereIn('calls.fault', array_map(static fn (KeyEntry $e): string => $e->fault, $entries))
            ->groupBy('sittings.id', 'sittings.name', 'sitting_cases.case_id', 'calls.fault', 'calls.presence')
            ->orderBy('sittings.id')
            ->selectRaw('sittings.id, sittings.name, sitting_cases.case_id, calls.fault, calls.presence, count(*) as n')
            ->get();
        $out = [];
        foreach ($rows as $row) {
            $round = Cell::int($row->id);
            $of = Cell::int($row->case_id).'|'.Cell::text($row->fault);
            $out[$round] ??= ['round' => Cell::text($row->name), 'calls' => []];
            $out[$round]['calls'][$of][Cell::text($row->presence)] = Cell::int($row->n);
        }

        return $out;
    }

    /** @return list<array{int, string, string, int}> case, fault, presence, and how often it was called so */
    private function calls(Sitting $round): array
    {
        $rows = $this->rows()
            ->where('sitting_cases.sitting_id', $round->id)
            ->groupBy('sitting_cases.case_id', 'calls.fault', 'calls.presence')
            ->selectRaw('sitting_cases.case_id, calls.fault, calls.presence, count(*) as n')
            ->get();
        $out = [];
        foreach ($rows as $row) {
            $out[] = [
                Cell::int($row->case_id), Cell::text($row->fault), Cell::text($row->presence), Cell::int($row->n),
            ];
        }

        return $out;
    }

    private function rows(): Builder
    {
        return DB::table('calls')
            ->join('readings', 'readings.id', '=', 'calls.reading_id')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_cases.occasion', 1)
            ->whereNull('sitting_cases.withdrawn_at')
            ->where('readings.stage', Stage::Blind->value)
            ->whereNotNull('readings.handed_in_at');
    }
}
