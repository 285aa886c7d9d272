<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Bench\Pages\MeasurementPrint;
use App\Lessons\FollowUpFindings;
use App\Lessons\Situations;
use App\Models\Academy;
use App\Models\FollowUp;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Recording;
use App\Models\User;
use App\Sight\LessonSight;
use App\Sight\Onlookers;
use App\Words\Term;
use Core\Codebook\Rung;
use Core\Measurement\Difference;
use Core\Number\Written;
use Core\Prescription\BallsChange;
use Core\Prescription\LadderChange;
use Core\Prescription\Seen;
use Core\Prescription\SeriesChange;
use Core\Reading\CaseKind;
use Core\Reading\SwingKind;

/**
 * A later session held against what was prescribed: before anything is measured, what the golfer felt and who teaches
 * thinks; then what the swings and the balls show.
 *
 * @phpstan-import-type Found from FollowUpFindings
 */
final readonly class FollowUpPage
{
    public function __construct(
        private FollowUpFindings $findings,
        private Situations $situations,
        private LessonSight $sight,
        private Onlookers $onlookers,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(FollowUp $of, User $user): array
    {
        $prescription = $of->prescription;
        $codebook = $this->situations->codebook($prescription);
        $base = [
            'followUp' => $of,
            'prescription' => $prescription,
            'golfer' => $of->lesson->golfer->pseudonym,
            'day' => $of->lesson->held_on->format('j F Y'),
            'before' => $prescription->lesson->held_on->format('j F Y'),
            'drill' => ucfirst($codebook->drills()[$prescription->drill ?? '']->name ?? ''),
            'cue' => (string) ($prescription->plan['cue'] ?? ''),
            'answers' => Term::all('followup.answers', array_column(Seen::said(), 'value')),
            'locked' => $of->locked_at?->timezone(Academy::zone())->format('j M Y, H:i'),
            'title' => null,
        ];

        // Not a number, nor how many swings have one, before the feel is kept.
        return $of->locked_at === null ? $base : [...$base, ...$this->shown($of, $user)];
    }

    /** @return array<string, mixed> */
    private function shown(FollowUp $of, User $user): array
    {
        $found = $this->findings->of($of);
        $expected = [];
        foreach ($found['expected'] as $row) {
            $expected[] = [
                'name' => Term::measure($row['change']->measure, $row['change']->at?->value),
                'way' => ExpectedRows::way($row['change']),
                ...self::change($row['seen'], $row['change']->measure->unit()),
                'ladder' => self::ladder($row['ladder']),
            ];
        }
        $others = [];
        foreach ($found['others'] as $row) {
            $others[] = [
                'name' => Term::measure($row['measure'], $row['at']?->value),
                'way' => '',
                ...self::change($row['seen'], $row['measure']->unit()),
                'ladder' => [],
            ];
        }
        $first = array_values($found['expected'])[0]['ladder'] ?? null;

        return [
            'title' => (string) __("followup.titles.{$found['outcome']->value}"),
            'outcome' => $found['outcome']->value,
            'counts' => ['before' => count($found['before']), 'after' => count($found['after'])],
            'few' => min(count($found['before']), count($found['after'])) < SeriesChange::LEAST
                ? (string) __('followup.few', ['least' => SeriesChange::LEAST])
                : null,
            'expected' => $expected,
            'others' => $others,
            'breaks' => self::breaks($first),
            'balls' => self::balls($found['balls']),
            'series' => ['before' => self::shapes($found['before']), 'after' => self::shapes($found['after'])],
            'swings' => $this->swings($of),
            'rungs' => Term::all('codebook.rungs', array_column(Rung::cases(), 'value')),
            'panel' => $this->panel($found, $of, $user),
        ];
    }

    /** @return array{seen: string, word: string, change: string, was: string, is: string} */
    private static function change(SeriesChange $of, string $unit): array
    {
        $of1 = static fn (?\Core\Measurement\Spread $s): string => $s === null ? '–' : (string) __('followup.mean', [
            'mean' => MeasurementPrint::value($s->mean), 'sd' => MeasurementPrint::value($s->sd), 'n' => $s->n,
            'unit' => $unit,
        ]);

        return [
            'seen' => $of->seen->value,
            'word' => (string) __("followup.seen.{$of->seen->value}"),
            'change' => $of->difference === null
                ? (string) __($of->before < SeriesChange::LEAST || $of->after < SeriesChange::LEAST
                    ? 'followup.too-few'
                    : 'followup.ranked')
                : self::difference($of->difference, $unit),
            'was' => $of1($of->first),
            'is' => $of1($of->second),
        ];
    }

    private static function difference(Difference $of, string $unit): string
    {
        return ($of->change > 0.0 ? '+' : '').MeasurementPrint::value($of->change)
            .' ± '.Written::plusMinus($of->uncertainty)." $unit";
    }

    /** @return list<array{rung: string, seen: string, word: string}> */
    private static function ladder(LadderChange $of): array
    {
        if (array_filter($of->rungs, static fn (Seen $s): bool => $s !== Seen::CannotBeSaid) === []) {
            return [];
        }
        $out = [];
        foreach ($of->rungs as $rung => $seen) {
            $out[] = [
                'rung' => (string) __("codebook.rungs.$rung"),
                'seen' => $seen->value,
                'word' => (string) __("followup.seen.$seen->value"),
            ];
        }

        return $out;
    }

    /** Where the first measure breaks, and whether it is kept at full speed with a ball. */
    private static function breaks(?LadderChange $of): ?string
    {
        if ($of === null || $of->rungs === []) {
            return null;
        }
        $at = $of->breaksAt();
        $full = $of->atFullSpeed();

        return implode(' ', [
            $at === null
                ? (string) __(in_array(Seen::Better, $of->rungs, true) ? 'followup.holds' : 'followup.nowhere')
                : (string) __('followup.breaks', ['rung' => __("codebook.rungs.$at->value")]),
            (string) __('followup.full.'.($full->value ?? 'none')),
        ]);
    }

    /** @return list<string> */
    private static function balls(BallsChange $of): array
    {
        if (min($of->before, $of->after) < BallsChange::LEAST) {
            return [(string) __('followup.balls.few', ['before' => $of->before, 'after' => $of->after])];
        }
        $out = [];
        foreach (['start' => $of->start, 'curve' => $of->curve] as $what => $difference) {
            if ($difference !== null) {
                $out[] = (string) __('followup.balls.'.($difference->isBeyond() ? $what : "$what-same"), [
                    'change' => self::difference($difference, '°'),
                ]);
            }
        }
        $out[] = (string) __($of->strikesDiffer === true ? 'followup.balls.strikes' : 'followup.balls.strikes-same', [
            'before' => "{$of->mishits[0]}/$of->before", 'after' => "{$of->mishits[1]}/$of->after",
        ]);

        return $out;
    }

    /**
     * @param  list<Recording>  $swings
     * @return list<array{name: string, url: string, shape: string}> small lines of the share
     */
    private static function shapes(array $swings): array
    {
        return array_map(static fn (Recording $r): array => [
            'name' => $r->club,
            'url' => route('bench', $r),
            'shape' => (string) $r->measured?->shape,
        ], $swings);
    }

    /** @return list<array{id: int, url: string, name: string, rung: string, cold: bool}> */
    private function swings(FollowUp $of): array
    {
        $rungs = $of->rungs();

        return array_values($this->sight->swings($of->lesson)->map(static fn (Recording $r): array => [
            'id' => $r->id,
            'url' => route('bench', $r),
            'name' => implode(', ', array_filter([
                $r->club,
                $r->series === null ? '' : $r->series.($r->place === null ? '' : " $r->place"),
                SwingKind::tryFrom($r->swing) === SwingKind::Full ? '' : (string) __("facts.kinds.$r->swing"),
            ], static fn (string $part): bool => $part !== '')),
            'rung' => $rungs[$r->id]->value ?? '',
            'cold' => $r->is_cold,
        ])->all());
    }

    /**
     * What a panel called the swings, fault by fault that was worked on; only where this person may see its key.
     *
     * @param  Found  $found
     * @return list<string>
     */
    private function panel(array $found, FollowUp $of, User $user): array
    {
        $ids = [];
        foreach (['before', 'after'] as $side) {
            foreach ($found[$side] as $swing) {
                $ids[$swing->id] = $side;
            }
        }
        $entries = KeyEntry::query()
            ->whereIn('fault', array_keys($of->prescription->faults))
            ->whereIn('key_version_id', KeyVersion::query()->newest()->pluck('id'))
            ->whereHas('case', static fn ($q) => $q->where('kind', CaseKind::Single)
                ->whereHas('swings', static fn ($q) => $q->whereIn('recording_id', array_keys($ids))))
            ->with(['case.swings', 'keyVersion.sitting'])
            ->orderBy('id')
            ->get()
            ->filter(fn (KeyEntry $e): bool => $this->onlookers->of($user)->seesEntry($e, $e->keyVersion->sitting));
        $counts = [];
        foreach ($entries as $entry) {
            $side = $ids[$entry->case->swings->firstOrFail()->recording_id] ?? null;
            if ($side !== null) {
                $counts[$entry->fault][$side][] = $entry->label === 'present' ? 1 : 0;
            }
        }
        $codebook = $this->situations->codebook($of->prescription);
        $out = [];
        foreach ($counts as $fault => $by) {
            $share = static fn (string $side): string => array_sum($by[$side] ?? []).'/'.count($by[$side] ?? []);
            $out[] = (string) __('followup.panel', [
                'fault' => $codebook->faults[$fault]->name ?? $fault,
                'before' => $share('before'),
                'after' => $share('after'),
            ]);
        }

        return $out;
    }
}
