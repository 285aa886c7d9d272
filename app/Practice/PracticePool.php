<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Recording;
use App\Models\User;
use Core\Reading\CaseKind;
use Core\Training\Question;
use Illuminate\Support\Facades\DB;

/**
 * What a person may be asked in practice: of single swings that a published round asked about, what its key settles and
 * what can be seen in them – nothing that waits anywhere to be read blind by this person, or is kept for a later round.
 */
final readonly class PracticePool
{
    /**
     * A usual question is answered rightly three times in four; so many such answers stand beside those that are there.
     */
    private const USUAL = 1.1;

    private const BESIDE = 4.0;

    /** Harder by so much where the measurement lies inside the margin, logits. */
    private const BORDERLINE = 0.6;

    public function __construct(private Codebooks $codebooks, private PracticeSwings $swings)
    {
    }

    /**
     * @param  string|null  $fault  only about this one
     * @return list<Question> each by the id of its entry of a key
     */
    public function of(User $user, ?string $fault = null): array
    {
        $cases = $this->cases($user);
        $asked = $this->asked($user);
        $out = [];
        foreach ($this->entries(array_keys($cases), $fault) as $entry) {
            [$recording, $seen] = $cases[$entry['case']];
            $label = KeyEntry::labelScored($entry['label'], $entry['grade'], $entry['ruling']);
            if ($label !== null && isset($seen[$entry['fault']])) {
                $out[] = new Question(
                    (string) $entry['id'],
                    (string) $recording,
                    $entry['fault'],
                    $label === 'present',
                    self::difficulty($label, $entry),
                    $asked["$recording|{$entry['fault']}"] ?? 0,
                );
            }
        }

        return $out;
    }

    /**
     * @return array<int, array{int, array<string, true>}> by case: the recording, and the faults that can be seen in it
     */
    private function cases(User $user): array
    {
        $codebook = $this->codebooks->current();
        $out = [];
        foreach ($this->swings->of($user) as $case => $place) {
            $shown = PracticeSwings::shown($place);
            $seen = [];
            foreach ($codebook->faults as $key => $of) {
                if ($of->observability($shown)->supports()) {
                    $seen[$key] = true;
                }
            }
            $out[$case] = [$place->recording->id, $seen];
        }

        return $out;
    }

    /**
     * What the newest key settles of one swing whole; whether this person may be asked it was asked before.
     *
     * @return array<string, bool> by fault: whether it is there
     */
    public function settled(int $recording): array
    {
        $shown = PracticeSwings::ofRecording(Recording::query()->findOrFail($recording), true, true);
        $out = [];
        foreach ($this->entries($this->casesOf($recording), null) as $entry) {
            $label = KeyEntry::labelScored($entry['label'], $entry['grade'], $entry['ruling']);
            $fault = $this->codebooks->current()->faults[$entry['fault']] ?? null;
            if ($label !== null && $fault?->observability($shown)->supports() === true) {
                $out[$entry['fault']] = $label === 'present';
            }
        }

        return $out;
    }

    /** @return list<int> the cases in which a swing stands alone */
    public function casesOf(int $recording): array
    {
        return array_map(Cell::int(...), array_values(DB::table('case_swings')
            ->join('cases', 'cases.id', '=', 'case_swings.case_id')
            ->where('cases.kind', CaseKind::Single)
            ->where('recording_id', $recording)
            ->pluck('case_id')
            ->all()));
    }

    /**
     * What the key settles of two faults in swings in which both can be seen.
     *
     * @param  list<array{string, string}>  $pairs
     * @return list<array{recording: int, one: string, other: string, entry: int, labels: array{string, string}}>
     */
    public function pairs(User $user, array $pairs): array
    {
        $cases = $this->cases($user);
        $by = [];
        foreach ($this->entries(array_keys($cases), null) as $entry) {
            $label = KeyEntry::labelScored($entry['label'], $entry['grade'], $entry['ruling']);
            if ($label !== null && isset($cases[$entry['case']][1][$entry['fault']])) {
                $by[$entry['case']][$entry['fault']] = [$entry['id'], $label];
            }
        }
        $out = [];
        foreach ($by as $case => $of) {
            foreach ($pairs as [$one, $other]) {
                if (isset($of[$one], $of[$other])) {
                    $out[] = [
                        'recording' => $cases[$case][0],
                        'one' => $one,
                        'other' => $other,
                        'entry' => $of[$one][0],
                        'labels' => [$of[$one][1], $of[$other][1]],
                    ];
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<int>  $cases
     * @return list<array{id: int, case: int, fault: string, label: string, grade: string, ruling: ?string,
     *     present: int, absent: int}> of the newest key a published round was scored against, by case and fault
     */
    private function entries(array $cases, ?string $fault): array
    {
        $rows = DB::table('key_entries')
            ->join('sittings', 'sittings.key_version_id', '=', 'key_entries.key_version_id')
            ->where('sittings.state', 'published')
            ->where('sittings.kind', 'round')
            ->whereIn('key_entries.case_id', $cases)
            ->when($fault !== null, static fn ($q) => $q->where('key_entries.fault', $fault))
            ->orderBy('key_entries.case_id')
            ->orderBy('key_entries.fault')
            ->orderByDesc('sittings.published_at')
            ->selectRaw('distinct on (key_entries.case_id, key_entries.fault) key_entries.id, key_entries.case_id,
                key_entries.fault, label, grade, ruling, present, absent, sittings.published_at')
            ->get();
        $out = [];
        foreach ($rows as $row) {
            $out[] = [
                'id' => Cell::int($row->id),
                'case' => Cell::int($row->case_id),
                'fault' => Cell::text($row->fault),
                'label' => Cell::text($row->label),
                'grade' => Cell::text($row->grade),
                'ruling' => $row->ruling === null ? null : Cell::text($row->ruling),
                'present' => Cell::int($row->present),
                'absent' => Cell::int($row->absent),
            ];
        }

        return $out;
    }

    /** @return array<string, int> how often each was asked, by recording and fault */
    private function asked(User $user): array
    {
        $out = [];
        foreach (DB::table('practice_answers')
            ->join('practice_sittings', 'practice_sittings.id', '=', 'practice_answers.practice_sitting_id')
            ->where('user_id', $user->id)
            ->where('practice_answers.mode', 'fault')
            ->groupBy('recording_id', 'practice_answers.fault')
            ->selectRaw('recording_id, practice_answers.fault, count(*) as n')
            ->get() as $row) {
            $out[Cell::int($row->recording_id).'|'.Cell::text($row->fault)] = Cell::int($row->n);
        }

        return $out;
    }

    /**
     * Logits above a usual question: by how the panel itself was split, and where the measurement cannot decide.
     *
     * @param  array{grade: string, present: int, absent: int, ...}  $entry
     */
    private static function difficulty(string $label, array $entry): float
    {
        $usual = 1.0 / (1.0 + exp(-self::USUAL));
        $alike = $label === 'present' ? $entry['present'] : $entry['absent'];
        $share = ($alike + self::BESIDE * $usual) / ($entry['present'] + $entry['absent'] + self::BESIDE);

        return self::USUAL - log($share / (1.0 - $share)) + ($entry['grade'] === 'borderline' ? self::BORDERLINE : 0.0);
    }
}
