<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\RatedCase;
use App\Models\ReadinessRule;
use App\Models\User;
use Core\Codebook\Shown;
use Core\Reading\CaseKind;
use Core\Sight\Scope;
use Core\Sight\SittingState;
use Core\Training\Criterion;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The cases a person could be tested on by a rule: single swings that a published study has a key of, which this person
 * has never read nor been told of, one golfer as good as another.
 *
 * @phpstan-type Candidate array{case: int, recording: int, golfer: int, film: bool, is: array<string, bool>, calls: list<int>}
 */
final readonly class TestCases
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * Of the studies that are published under the rule's lens the one that has most for this person, by its newest key.
     *
     * @param  list<int>  $hidden  recordings that nothing may be told of to who asks
     * @return array{?KeyVersion, list<Candidate>}
     */
    public function best(User $user, ReadinessRule $rule, array $hidden = []): array
    {
        $best = [null, []];
        foreach (KeyVersion::query()
            ->where('lens', $rule->lens)
            ->whereHas('sitting', static fn ($q) => $q->where('state', SittingState::Published))
            ->with('sitting')
            ->orderByDesc('sitting_id')
            ->orderByDesc('number')
            ->get()
            ->unique('sitting_id') as $key) {
            $cases = $this->of($user, $rule, $key, $hidden);
            if (count($cases) > count($best[1])) {
                $best = [$key, $cases];
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $hidden
     * @return list<Candidate> in the order of their cases
     */
    public function of(User $user, ReadinessRule $rule, KeyVersion $key, array $hidden = []): array
    {
        $criteria = $rule->toCore()->criteria;
        $faults = $rule->toCore()->faults();
        $settled = [];
        foreach ($key->entries()->whereIn('fault', $faults)->orderBy('id')->get() as $entry) {
            /** @var KeyEntry $entry */
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $settled[$entry->case_id][$entry->fault] = $label === 'present';
            }
        }
        $codebook = $this->codebooks->current($rule->lens);
        $out = [];
        foreach ($this->fresh($user, $rule, array_keys($settled), $hidden) as $case) {
            $recording = $case->swings->firstOrFail()->recording;
            $views = $recording->filmedViews();
            $film = $views !== [] || $recording->motion !== null;
            $shown = new Shown(
                $recording->deviceClass(),
                $views === [] && $film,
                views: $views,
                rateHz: $recording->rate_hz,
                stance: $recording->stance !== null,
                mass: $recording->mass_kg !== null,
                flare: $recording->stance?->lead->flareDeg !== null,
            );
            $is = array_filter(
                $settled[$case->id],
                static fn (string $fault): bool => ($codebook->faults[$fault] ?? null)
                    ?->observability($shown)->supports() === true,
                ARRAY_FILTER_USE_KEY,
            );
            $calls = array_map(static fn (Criterion $c): int => $c->callsIn($is), $criteria);
            if (array_sum($calls) > 0) {
                $out[] = [
                    'case' => $case->id,
                    'recording' => $recording->id,
                    'golfer' => $recording->golfer_id,
                    'film' => $film,
                    'is' => $is,
                    'calls' => $calls,
                ];
            }
        }

        return $out;
    }

    /**
     * @param  list<int>  $among
     * @param  list<int>  $hidden
     * @return iterable<RatedCase>
     */
    private function fresh(User $user, ReadinessRule $rule, array $among, array $hidden): iterable
    {
        return RatedCase::query()
            ->whereKey($among)
            ->where('kind', CaseKind::Single)
            ->whereHas('swings.recording', static fn ($q) => $q
                ->whereNull('erased_at')
                ->whereNotIn('recordings.id', $hidden)
                ->when($rule->device, static fn ($q, $device) => $q->where('device_class', $device))
                ->when($user->golfer_id, static fn ($q, int $own) => $q->where('golfer_id', '<>', $own))
                ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::StaffTraining)))
            // Neither read, nor to be read, nor told of, in any of its swings.
            ->whereNotExists(static fn (Builder $q) => $q
                ->selectRaw('1')
                ->from('readings')
                ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
                ->join('case_swings as read', 'read.case_id', '=', 'sitting_cases.case_id')
                ->join('case_swings as own', 'own.recording_id', '=', 'read.recording_id')
                ->whereColumn('own.case_id', 'cases.id')
                ->where('readings.user_id', $user->id))
            ->whereNotExists(static fn (Builder $q) => $q
                ->selectRaw('1')
                ->from('exposures')
                ->join('case_swings as own', 'own.recording_id', '=', 'exposures.recording_id')
                ->whereColumn('own.case_id', 'cases.id')
                ->where('exposures.user_id', $user->id))
            ->with(['swings.recording.films', 'swings.recording.motion' => static fn ($q) => $q->select(['id', 'recording_id', 'view'])])
            ->orderBy('id')
            ->get();
    }

    /** @return list<int> golfers whose swings stand in a test already: one case of each */
    public static function golfersIn(int $sitting): array
    {
        return array_map(Cell::int(...), array_values(DB::table('sitting_cases')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->join('recordings', 'recordings.id', '=', 'case_swings.recording_id')
            ->where('sitting_id', $sitting)
            ->pluck('golfer_id')
            ->all()));
    }
}
