<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\KeptFigures;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\Study\PersonResult;
use Core\Sight\Thing;
use Illuminate\Support\Collection;

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
        $sees = $this->onlookers->of($asking)->seenCases($rounds, Thing::Key);
        $kept = KeptFigures::ofPerson($ids, $person->id);
        $out = [];
        foreach ($rounds as $round) {
            $all = $kept[$round->id] ?? null;
            if ($all !== null) {
                $seen = array_intersect_key($all->calls, $sees[$round->id] ?? []);
                $out[$round->id] = new PersonResult(
                    $seen,
                    $all->latent,
                    $all->pairs,
                    // It cannot be taken apart: where a case waits, nothing of it is told.
                    count($seen) === count($all->calls) ? $all->curve : null,
                );
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
}
