<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\KeyEntry;
use App\Models\Round;
use App\Models\User;

/** A panel's consensus: every case and fault with the spread of calls and the grade. */
final class PanelPage
{
    public function __construct(private readonly Codebooks $codebooks)
    {
    }

    /** @return array<string, mixed> */
    public function of(Round $round, User $user): array
    {
        $key = $round->keys()->first();
        $entries = $key === null ? collect() : $key->entries()->with('recording.golfer')->orderBy('recording_id')->get();

        return [
            'round' => $round,
            'key' => $key,
            'versions' => $round->keys()->count(),
            'members' => $round->members()->count(),
            'codebook' => $this->codebooks->of($round),
            'cases' => $entries->groupBy('recording_id')->map->keyBy('fault'),
            'grades' => $entries->countBy('grade'),
            'unsettled' => $entries->filter(fn (KeyEntry $e): bool => $e->ruling !== null || in_array($e->grade, ['conflict', 'contested'], true))->sortBy(fn (KeyEntry $e): array => [$e->ruling !== null, $e->grade === 'contested', $e->id])->values(),
            'mayRule' => $user->can('rule', $round),
            'majority' => (float) config('academy.majority'),
            'able' => (int) config('academy.able'),
        ];
    }
}
