<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;

/** A panel's consensus: every case and fault with the spread of calls and the grade. */
final class PanelPage
{
    public function __construct(private readonly Codebooks $codebooks, private readonly Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $user): array
    {
        $key = $round->keys()->first();
        $all =
            $key === null
                ? collect()
                : $key
                    ->entries()
                    ->with(['recording.golfer', 'case.swings'])
                    ->orderBy('case_id')
                    ->get();
        $onlooker = $this->onlookers->of($user)->over($all);
        $entries = $all->filter(static fn (KeyEntry $e): bool => $onlooker->seesEntry($e, $round))->values();

        return [
            'round' => $round,
            'key' => $key,
            'versions' => $round->keys()->count(),
            'members' => $round->members()->count(),
            'codebook' => $this->codebooks->of($round),
            'cases' => $entries->groupBy('case_id')->map->keyBy('fault'),
            // A count over all of them would tell what is held back.
            'grades' => $onlooker->withheld($round) === null ? $all->countBy('grade') : null,
            'erased' => $round->erasedAt(),
            'unsettled' => $entries
                ->filter(
                    fn (KeyEntry $e): bool => $e->ruling !== null ||
                        in_array($e->grade, ['conflict', 'contested'], true),
                )
                ->sortBy(fn (KeyEntry $e): array => [$e->ruling !== null, $e->grade === 'contested', $e->id])
                ->values(),
            'mayRule' => $user->can('rule', $round),
            'majority' => (float) config('academy.majority'),
            'able' => (int) config('academy.able'),
        ];
    }
}
