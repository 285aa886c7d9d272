<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;
use Core\Codebook\Codebook;
use Core\Planning\Assumptions;
use Core\Planning\Candidate;
use Core\Planning\CaseSet;
use Core\Planning\WidthFormula;
use Core\Reading\CaseKind;
use Illuminate\Support\Facades\DB;

/** A set of cases suggested from the Shelf by what the newest key says of its recordings. */
final readonly class CaseSuggestion
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /**
     * @return array{set: CaseSet, chosen: list<int>, repeats: list<int>, key: string,
     *     expected: list<array{raters: int, agreement: float, width: float}>, at_hand: int}
     */
    public function of(User $user, int $size, float $share, int $repeats, int $seed): array
    {
        $key = KeyVersion::query()->newest()->with('sitting')->orderByDesc('id')->first();
        $codebook = $this->codebooks->current();
        $candidates = $key === null ? [] : $this->candidates($key, $user, $codebook);
        // Faults the Shelf hardly holds are not chased at the others' cost.
        $held = array_filter(
            $codebook->keys(),
            static fn (string $f): bool => count(
                array_filter($candidates, static fn (Candidate $c): bool => $c->faults[$f] ?? false),
            ) >= 2,
        );
        $set = CaseSet::suggest($candidates, $size, array_values($held), $share, $repeats, $seed);
        $present = array_sum(array_column($set->faults, 'present'));
        $prevalence = min(
            0.9,
            max(0.05, $present / max(1, $present + array_sum(array_column($set->faults, 'absent')))),
        );
        $expected = [];
        foreach ([[6, 0.8], [6, 0.9], [10, 0.8], [10, 0.9]] as [$raters, $agreement]) {
            $expected[] = [
                'raters' => $raters,
                'agreement' => $agreement,
                'width' => (new WidthFormula(new Assumptions($prevalence, $agreement, $raters), 'gwet_ac1'))->width(
                    $size,
                ),
            ];
        }

        return [
            'set' => $set,
            'chosen' => array_map(static fn (Candidate $c): int => (int) $c->id, $set->cases),
            'repeats' => array_map(intval(...), $set->repeats),
            'key' => $key === null ? '' : "{$key->sitting->name}, version {$key->number}",
            'expected' => $expected,
            'at_hand' => count($candidates),
        ];
    }

    /**
     * Only what was asked of a swing by itself says something of that swing.
     *
     * @return list<Candidate> the surest answered first ranks as the easiest
     */
    private function candidates(KeyVersion $key, User $user, Codebook $codebook): array
    {
        $recordings = $this->onlookers->of($user)
            ->readable()
            ->with(['golfer.limitsInForce', 'films', 'stations'])
            ->orderBy('id');
        $rows = DB::table('key_entries')
            ->join('cases', 'cases.id', '=', 'key_entries.case_id')
            ->join('case_swings', 'case_swings.case_id', '=', 'cases.id')
            ->where('key_entries.key_version_id', $key->id)
            ->where('cases.kind', CaseKind::Single)
            ->orderBy('key_entries.id')
            ->get(['recording_id', 'fault', 'label', 'grade', 'ruling', 'present', 'absent', 'cannot_tell']);
        $unsure = $faults = [];
        foreach ($rows as $row) {
            $recording = Cell::int($row->recording_id);
            [$present, $absent, $not] = array_map(Cell::int(...), [$row->present, $row->absent, $row->cannot_tell]);
            $unsure[$recording][] = 1 - abs($present - $absent) / max(1, $present + $absent + $not);
            $fault = Cell::text($row->fault);
            $label = KeyEntry::labelScored(
                Cell::text($row->label),
                Cell::text($row->grade),
                $row->ruling === null ? null : Cell::text($row->ruling),
            );
            $faults[$recording] ??= [];
            if ($label !== null && isset($codebook->faults[$fault])) {
                $faults[$recording][$fault] = $label === 'present';
            }
        }
        $seen = $recordings->whereKey(array_keys($faults))->get();
        $unsure = array_map(
            static fn (array $of): float => array_sum($of) / count($of),
            array_intersect_key($unsure, array_flip($seen->modelKeys())),
        );
        asort($unsure, SORT_NUMERIC);
        $rank = array_flip(array_keys($unsure));

        return array_values($seen->map(static fn (Recording $r): Candidate => new Candidate(
            (string) $r->id,
            $faults[$r->id],
            $rank[$r->id] / max(1, count($rank) - 1),
            [
                'device' => Term::device($r->deviceClass()),
                'hand' => $r->golfer->handedness.'-handed',
                'club' => $r->club,
            ],
            ToldApart::beside($r),
        ))->all());
    }
}
