<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Models\Exposure;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use Core\Chance\Chance;
use Core\Planning\Deal;
use Core\Reading\Stage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Str;

/** Deals members the cases of a round, in an order of their own, each with what is shown of it. */
final readonly class DealCases
{
    public function __construct(private DealArms $arms)
    {
    }

    /**
     * Inside a transaction that holds the round.
     *
     * @param  Collection<int, SittingCase>  $cases
     * @param  Collection<int, User>  $members
     * @param  User|null  $instead  somebody of this round: one who comes late is shown what that one was
     * @return int how many members had been shown an answer before
     */
    public function __invoke(Sitting $round, Collection $cases, Collection $members, ?User $instead = null): int
    {
        $exposed = $this->exposed($cases, $members);
        $arms = $this->arms->of($round, $cases, $members, $instead);
        $rows = [];
        foreach ($members as $member) {
            foreach (self::asked(self::order($cases, $round, $member), $member) as $i => $case) {
                $rows[] = [
                    'public_id' => Str::lower(Str::random(26)),
                    'sitting_case_id' => $case->id,
                    'user_id' => $member->id,
                    'arm_id' => $case->arm_id ?? $arms[$case->case_id][$member->id],
                    'stage' => Stage::Blind->value,
                    'position' => $i + 1,
                    'exposed' => isset($exposed[$member->id][$case->case_id]),
                    'created_at' => now(),
                    'updated_at' => now(),
                ];
            }
        }
        foreach (array_chunk($rows, 500) as $chunk) {
            Reading::query()->insert($chunk);
        }

        return count($exposed);
    }

    /**
     * @param  Collection<int, SittingCase>  $cases
     * @return list<SittingCase> in this member's order
     */
    private static function order(Collection $cases, Sitting $round, User $member): array
    {
        $chance = new Chance("order|{$round->seed}|{$member->id}");
        $byId = $cases->keyBy('id')->all();
        $first = $cases->where('occasion', 1);
        $again = $cases
            ->where('occasion', 2)
            ->mapWithKeys(
                static fn (SittingCase $c): array => [$c->id => (int) $first->firstWhere('case_id', $c->case_id)?->id],
            )
            ->all();
        if ($again === []) {
            return array_values(
                array_map(
                    static fn (int $id): SittingCase => $byId[$id],
                    $chance->shuffled(self::idsOf($first)),
                ),
            );
        }
        $ids = static fn (int $part): array => self::idsOf($first->where('part', $part));

        return array_map(
            static fn (int $id): SittingCase => $byId[$id],
            Deal::order($ids(1), $ids(2), $again, $round->wait_days > 0, $chance),
        );
    }

    /**
     * A person's own swing is never put before them.
     *
     * @param  list<SittingCase>  $cases
     * @return list<SittingCase>
     */
    private static function asked(array $cases, User $member): array
    {
        return array_values(array_filter($cases, static fn (SittingCase $case): bool => ! $case->isOf($member)));
    }

    /**
     * @param  iterable<SittingCase>  $cases
     * @return list<int>
     */
    private static function idsOf(iterable $cases): array
    {
        $ids = [];
        foreach ($cases as $case) {
            $ids[] = $case->id;
        }

        return $ids;
    }

    /**
     * Who has been shown a truth about which case: by a published round, a second look, or as head coach.
     *
     * @param  Collection<int, SittingCase>  $cases
     * @param  Collection<int, User>  $members
     * @return array<int, array<int, true>> by member and case
     */
    private function exposed(Collection $cases, Collection $members): array
    {
        $out = [];
        $of = [];
        foreach ($cases as $case) {
            foreach ($case->swings as $swing) {
                $of[$swing->recording_id][] = $case->case_id;
            }
        }
        foreach (
            Exposure::query()
                ->whereIn('user_id', $members->pluck('id'))
                ->whereIn('recording_id', array_keys($of))
                ->get(['user_id', 'recording_id']) as $e
        ) {
            foreach ($of[$e->recording_id] as $case) {
                $out[$e->user_id][$case] = true;
            }
        }
        foreach ($members as $member) {
            if ($member->isHeadCoach()) {
                foreach ($cases as $case) {
                    $out[$member->id][$case->case_id] = true;
                }
            }
        }

        return $out;
    }
}
