<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\CheckPlan;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\RatedCase;
use App\Models\ReadinessRule;
use App\Models\Recording;
use App\Models\User;
use Core\Codebook\Shown;
use Core\Reading\CaseKind;
use Core\Sight\Scope;
use Core\Sight\SittingState;
use Core\Training\Criterion;
use Illuminate\Support\Facades\DB;

/**
 * The cases a person could be tested on by a rule: single swings that a published study has a key of, which this person
 * has never read nor been told of, one golfer as good as another.
 *
 * @phpstan-type Candidate array{case: int, recording: int, golfer: int, film: bool, is: array<string, bool>,
 *     calls: list<int>}
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
        return $this->bestOf([$user], $rule, $hidden)[$user->id];
    }

    /**
     * The same of several people: as many queries as for one.
     *
     * @param  non-empty-list<User>  $users
     * @param  list<int>  $hidden
     * @return array<int, array{?KeyVersion, list<Candidate>}> by person
     */
    public function bestOf(array $users, ReadinessRule $rule, array $hidden = []): array
    {
        $keys = KeyVersion::query()
            ->where('lens', $rule->lens)
            ->whereHas('sitting', static fn ($q) => $q->where('state', SittingState::Published))
            ->with('sitting')
            ->orderByDesc('sitting_id')
            ->orderByDesc('number')
            ->get()
            ->unique('sitting_id');
        $hidden = [...$hidden, ...CheckPlan::kept()];
        $known = self::known($users);
        $all = $this->candidates(
            $rule,
            array_values($keys->modelKeys()),
            // What all of them know need not be looked at.
            [...$hidden, ...array_keys(array_intersect_key(...self::each($users, $known)))],
        );
        $out = [];
        foreach ($users as $user) {
            $out[$user->id] = [null, []];
            foreach ($keys as $key) {
                $own = array_values(array_filter($all[$key->id] ?? [], static fn (array $c): bool => ! isset(
                    $known[$user->id][$c['recording']],
                ) && $c['golfer'] !== $user->golfer_id));
                if (count($own) > count($out[$user->id][1])) {
                    $out[$user->id] = [$key, $own];
                }
            }
        }

        return $out;
    }

    /** @return list<Candidate> by one key, in the order of their cases */
    public function of(User $user, ReadinessRule $rule, KeyVersion $key): array
    {
        $known = self::known([$user])[$user->id] ?? [];

        return array_values(array_filter(
            $this->candidates($rule, [$key->id], [...array_keys($known), ...CheckPlan::kept()])[$key->id] ?? [],
            static fn (array $c): bool => ! isset($known[$c['recording']]) && $c['golfer'] !== $user->golfer_id,
        ));
    }

    /**
     * @param  list<User>  $users
     * @return array<int, array<int, true>> recordings that each has read, has to read or was told of
     */
    private static function known(array $users): array
    {
        $ids = array_map(static fn (User $u): int => $u->id, $users);
        $out = [];
        foreach (DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->whereIn('readings.user_id', $ids)
            ->select(['readings.user_id', 'case_swings.recording_id'])
            ->union(DB::table('exposures')->whereIn('user_id', $ids)->select(['user_id', 'recording_id']))
            ->get() as $row) {
            $out[Cell::int($row->user_id)][Cell::int($row->recording_id)] = true;
        }

        return $out;
    }

    /**
     * @param  non-empty-list<User>  $users
     * @param  array<int, array<int, true>>  $known
     * @return non-empty-list<array<int, true>>
     */
    private static function each(array $users, array $known): array
    {
        return array_map(static fn (User $u): array => $known[$u->id] ?? [], $users);
    }

    /**
     * What could be put before somebody.
     *
     * @param  list<int>  $keys
     * @param  list<int>  $without  recordings
     * @return array<int, list<Candidate>> by key
     */
    private function candidates(ReadinessRule $rule, array $keys, array $without): array
    {
        $criteria = $rule->toCore()->criteria;
        $codebook = $this->codebooks->current($rule->lens);
        $faults = array_values(array_filter(
            $rule->toCore()->faults(),
            static fn (string $fault): bool => isset($codebook->faults[$fault]),
        ));
        $cases = self::cases($rule, $keys, $without);
        $settled = [];
        foreach (DB::table('key_entries')
            ->whereIn('key_version_id', $keys)
            ->whereIn('case_id', array_keys($cases))
            ->whereIn('fault', $faults)
            ->get(['key_version_id', 'case_id', 'fault', 'label', 'grade', 'ruling']) as $row) {
            $label = KeyEntry::labelScored(
                Cell::text($row->label),
                Cell::text($row->grade),
                $row->ruling === null ? null : Cell::text($row->ruling),
            );
            if ($label !== null) {
                $settled[Cell::int($row->key_version_id)][Cell::int($row->case_id)][Cell::text($row->fault)] = $label === 'present';
            }
        }
        $out = [];
        foreach ($cases as $id => $recording) {
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
            $seen = array_flip(array_filter(
                $faults,
                static fn (string $fault): bool => $codebook->faults[$fault]->observability($shown)->supports(),
            ));
            foreach ($settled as $key => $by) {
                $is = array_intersect_key($by[$id] ?? [], $seen);
                $calls = array_map(static fn (Criterion $c): int => $c->callsIn($is), $criteria);
                if (array_sum($calls) > 0) {
                    $out[$key][] = [
                        'case' => $id,
                        'recording' => $recording->id,
                        'golfer' => $recording->golfer_id,
                        'film' => $film,
                        'is' => $is,
                        'calls' => $calls,
                    ];
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<int>  $keys
     * @param  list<int>  $without  recordings
     * @return array<int, Recording> single swings that a key answers and that may be used, by case
     */
    private static function cases(ReadinessRule $rule, array $keys, array $without): array
    {
        $out = [];
        foreach (RatedCase::query()
            ->where('kind', CaseKind::Single)
            ->whereIn('id', DB::table('key_entries')->whereIn('key_version_id', $keys)->select('case_id'))
            ->whereHas('swings.recording', static fn ($q) => $q
                ->whereNull('erased_at')
                ->whereNotIn('recordings.id', $without)
                ->when($rule->device, static fn ($q, $device) => $q->where('device_class', $device))
                ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::StaffTraining)))
            ->with([
                'swings.recording.films',
                'swings.recording.motion' => static fn ($q) => $q->select(['id', 'recording_id', 'view']),
            ])
            ->orderBy('id')
            ->get() as $case) {
            $out[$case->id] = $case->swings->firstOrFail()->recording;
        }

        return $out;
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
