<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Codebook\Codebooks;
use App\Http\Paged;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Reading\Presence;
use Core\Reading\Stage;
use Core\Sight\Thing;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\DB;

/**
 * Where a person's own calls differ from the key, on recordings that await no blind reading by them; a page at a time.
 *
 * @phpstan-type Said array{entry: int, position: int, case: int, fault: string, call: string, confidence: ?int}
 */
final readonly class OwnDifferences
{
    private const A_PAGE = 50;

    public function __construct(private Onlookers $onlookers, private Codebooks $codebooks, private Wording $words)
    {
    }

    /**
     * @return LengthAwarePaginator<int, array{case: string, url: string, fault: string, call: string,
     *     confidence: ?int, truth: string, grade: string, measured: string}>
     */
    public function of(Sitting $round, User $user): LengthAwarePaginator
    {
        $codebook = $this->codebooks->of($round);
        $all = $this->differing($round, $user, $codebook);
        $pages = Paged::of($all, self::A_PAGE);
        $entries = KeyEntry::query()
            ->whereKey(array_column($pages->items(), 'entry'))
            ->with('recording')
            ->get()
            ->keyBy('id')
            ->all();

        return $pages->through(fn (array $said): array => $this->row($said, $entries[$said['entry']], $codebook));
    }

    /** @return list<Said> in the order of reading, fault by fault */
    private function differing(Sitting $round, User $user, Codebook $codebook): array
    {
        $rows = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('calls', 'calls.reading_id', '=', 'readings.id')
            ->join('key_entries', static fn (JoinClause $on): JoinClause => $on
                ->on('key_entries.case_id', 'sitting_cases.case_id')
                ->on('key_entries.fault', 'calls.fault')
                ->where('key_entries.key_version_id', $round->key_version_id))
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('readings.user_id', $user->id)
            ->where('readings.stage', Stage::Blind->value)
            ->whereNotNull('readings.handed_in_at')
            ->where('calls.presence', '<>', Presence::CannotTell->value)
            ->whereRaw('calls.presence <> coalesce(key_entries.ruling, key_entries.label)')
            ->orderBy('readings.position')
            ->get([
                'key_entries.id', 'key_entries.label', 'key_entries.grade', 'key_entries.ruling',
                'readings.position', 'sitting_cases.case_id', 'calls.fault', 'calls.presence', 'calls.confidence',
            ]);
        $sees = $this->onlookers->of($user)->seenCases([$round], Thing::Key)[$round->id] ?? [];
        $order = array_flip($codebook->keys());
        $out = [];
        foreach ($rows as $row) {
            $label = KeyEntry::labelScored(
                Cell::text($row->label),
                Cell::text($row->grade),
                $row->ruling === null ? null : Cell::text($row->ruling),
            );
            $said = [
                'entry' => Cell::int($row->id),
                'position' => Cell::int($row->position),
                'case' => Cell::int($row->case_id),
                'fault' => Cell::text($row->fault),
                'call' => Cell::text($row->presence),
                'confidence' => $row->confidence === null ? null : Cell::int($row->confidence),
            ];
            if ($label !== null && isset($sees[$said['case']], $order[$said['fault']])) {
                $out[] = $said;
            }
        }
        usort($out, static fn (array $a, array $b): int => [
            $a['position'],
            $order[$a['fault']],
        ] <=> [$b['position'], $order[$b['fault']]]);

        return $out;
    }

    /**
     * @param  Said  $said
     * @return array{case: string, url: string, fault: string, call: string, confidence: ?int, truth: string,
     *     grade: string, measured: string}
     */
    private function row(array $said, KeyEntry $entry, Codebook $codebook): array
    {
        $fault = $codebook->faults[$said['fault']]->name;

        return [
            'case' => (string) __('agreement.case', ['n' => $said['position']]),
            'url' => route('bench', $entry->recording),
            'fault' => $fault,
            'call' => $said['call'],
            'confidence' => $said['confidence'],
            'truth' => (string) $entry->scoredLabel(),
            'grade' => $entry->grade,
            'measured' => $this->words->said($entry->measured()->why, ['fault' => $fault]),
        ];
    }
}
