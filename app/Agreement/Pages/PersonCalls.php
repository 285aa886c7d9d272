<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\KeptFigures;
use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\Study\PersonResult;
use Core\Sight\Thing;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * One person's calls of published rounds beside their keys, without those of a recording that the one who asks still
 * has to read blind elsewhere.
 */
final readonly class PersonCalls
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /**
     * What is kept of this person, with the calls that may be seen: in the order they were handed in, fault by fault.
     *
     * @param  Collection<int, Sitting>  $rounds
     * @return array<int, PersonResult> by round
     */
    public function ofPerson(Collection $rounds, User $person, User $asking): array
    {
        $ids = array_values($rounds->map(static fn (Sitting $round): int => $round->id)->all());
        $recordings = self::recordings($ids);
        $onlooker = $this->onlookers->of($asking);
        $onlooker->know(array_values(array_unique(array_merge(...array_merge([], ...$recordings)))));
        $kept = KeptFigures::ofPerson($ids, $person->id);
        $out = [];
        foreach ($rounds as $round) {
            $all = $kept[$round->id] ?? null;
            if ($all !== null) {
                $seen = array_filter(
                    $all->calls,
                    static fn (int $case): bool => isset($recordings[$round->id][$case]) &&
                        $onlooker->ofResult($recordings[$round->id][$case], $round)->shows(Thing::Key),
                    ARRAY_FILTER_USE_KEY,
                );
                $out[$round->id] = new PersonResult($seen, $all->latent, $all->pairs);
            }
        }

        return $out;
    }

    /**
     * @param  array<int, list<ScoredCall>>  $byCase
     * @return list<ScoredCall>
     */
    public static function all(array $byCase): array
    {
        return array_merge(...array_values($byCase));
    }

    /**
     * @param  list<int>  $rounds
     * @return array<int, array<int, list<int>>> by round and case
     */
    private static function recordings(array $rounds): array
    {
        $rows = DB::table('sitting_cases')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->whereIn('sitting_cases.sitting_id', $rounds)
            ->where('sitting_cases.occasion', 1)
            ->orderBy('case_swings.position')
            ->get(['sitting_cases.sitting_id', 'sitting_cases.case_id', 'case_swings.recording_id']);
        $out = [];
        foreach ($rows as $row) {
            $out[Cell::int($row->sitting_id)][Cell::int($row->case_id)][] = Cell::int($row->recording_id);
        }

        return $out;
    }
}
