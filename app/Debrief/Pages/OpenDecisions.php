<?php

declare(strict_types=1);

namespace App\Debrief\Pages;

use App\Models\Academy;
use App\Models\DebriefDecision;
use App\Models\User;

/** What debriefs decided and is not done: one's own, and of everybody for who leads. */
final class OpenDecisions
{
    private const MOST = 20;

    /** @return list<array{id: int, what: string, says: string, late: bool}> what is due first, first */
    public static function of(User $user): array
    {
        return array_values(DebriefDecision::query()
            ->whereNull('done_at')
            ->when(! $user->isHeadCoach(), static fn ($q) => $q->where('owner_id', $user->id))
            ->with('owner')
            ->orderByRaw('due_on nulls last, id')
            ->limit(self::MOST)
            ->get()
            ->map(static fn (DebriefDecision $d): array => [
                'id' => $d->id,
                'what' => $d->what,
                'says' => (string) __('debrief.decisions.about', [
                    'lies' => __("panel.following.in.{$d->lies->value}"),
                    'who' => $d->owner->name,
                    'due' => $d->due_on?->format('j M Y') ?? __('debrief.decisions.undated'),
                ]),
                'late' => $d->due_on !== null && $d->due_on->toDateString() < Academy::today(),
            ])->all());
    }
}
