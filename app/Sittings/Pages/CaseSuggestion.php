<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Recording;
use App\Words\Term;
use Core\Planning\Assumptions;
use Core\Planning\Candidate;
use Core\Planning\CaseSet;
use Core\Planning\WidthFormula;
use Core\Reading\CaseKind;
use Illuminate\Support\Collection;

/** A set of cases suggested from the Shelf by what the newest key says of its recordings. */
final readonly class CaseSuggestion
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * @param  Collection<int, Recording>  $recordings  that may be used
     * @return array{set: CaseSet, chosen: list<int>, repeats: list<Recording>, key: string,
     *     expected: list<array{raters: int, agreement: float, width: float}>, at_hand: int}
     */
    public function of(Collection $recordings, int $size, float $share, int $repeats, int $seed): array
    {
        $key = KeyVersion::query()->with('sitting')->orderByDesc('id')->first();
        // Only what was asked of a swing by itself says something of that swing.
        /** @var Collection<int, Collection<int, KeyEntry>> $entries */
        $entries =
            $key
                ?->entries()
                ->whereHas(
                    'case',
                    static fn ($q) => $q
                        ->where('kind', CaseKind::Single)
                        ->whereHas('swings', static fn ($s) => $s->whereIn('recording_id', $recordings->pluck('id'))),
                )
                ->with('case.swings')
                ->get()
                ->groupBy(static fn (KeyEntry $e): int => (int) $e->case->swings->first()?->recording_id) ?? collect();
        $codebook = $this->codebooks->current();
        $unsure = $entries
            ->map(
                static fn (Collection $list): float => (float) $list->avg(
                    static fn (KeyEntry $e): float => 1 -
                        abs($e->present - $e->absent) / max(1, $e->present + $e->absent + $e->cannot_tell),
                ),
            )
            ->sort();
        $rank = array_flip($unsure->keys()->all());
        $candidates = [];
        foreach ($recordings as $r) {
            if (! isset($entries[$r->id])) {
                continue;
            }
            $faults = [];
            foreach ($entries[$r->id] as $e) {
                $label = $e->scoredLabel();
                if ($label !== null && isset($codebook->faults[$e->fault])) {
                    $faults[$e->fault] = $label === 'present';
                }
            }
            $candidates[] = new Candidate((string) $r->id, $faults, $rank[$r->id] / max(1, count($rank) - 1), [
                'device' => Term::device($r->deviceClass()),
                'hand' => $r->golfer->handedness.'-handed',
                'club' => $r->club,
            ]);
        }
        // Faults the Shelf hardly holds are not chased at the others' cost.
        $held = array_filter(
            $codebook->keys(),
            static fn (string $f): bool => count(
                array_filter($candidates, static fn (Candidate $c): bool => $c->faults[$f] ?? false),
            ) >= 2,
        );
        $set = CaseSet::suggest($candidates, $size, array_values($held), $share, $repeats, $seed);
        $byId = $recordings->keyBy('id')->all();
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
            'repeats' => array_map(static fn (string $id): Recording => $byId[(int) $id], $set->repeats),
            'key' => $key === null ? '' : "{$key->sitting->name}, version {$key->number}",
            'expected' => $expected,
            'at_hand' => count($candidates),
        ];
    }
}
