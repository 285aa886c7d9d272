<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Enums\UserState;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sittings\Waiting;
use Core\Sight\SittingState;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What can be changed of a round that is held. */
final class RoundRun
{
    /**
     * @param  Collection<int, SittingCase>  $seen  its cases that this person may see
     * @return array<string, mixed>|null null where nothing can
     */
    public function of(Sitting $round, Collection $seen): ?array
    {
        if ($round->state === SittingState::Published) {
            return null;
        }
        $open = $round->state === SittingState::Open;
        $seated = $round->members->modelKeys();

        return [
            'open' => $open,
            'due' => $round->due_on?->toDateString(),
            'days' => $round->state !== SittingState::Closed,
            'cases' => $seen->whereNull('withdrawn_at')->where('occasion', 1)
                ->mapWithKeys(static fn (SittingCase $c): array => [$c->id => $c->called()])
                ->all(),
            'people' => ! $open ? [] : User::query()
                ->where('state', UserState::Active)
                ->whereKeyNot($seated)
                ->orderBy('name')
                ->orderBy('id')
                ->get()
                ->filter(static fn (User $u): bool => $u->maySit($round->kind))
                ->mapWithKeys(static fn (User $u): array => [$u->id => $u->name])
                ->all(),
            'seated' => $open ? self::seated($round) : [],
            'waits' => $open ? count(Waiting::in($round)) : 0,
        ];
    }

    /** @return array<int, string> members of whom something may still be asked */
    private static function seated(Sitting $round): array
    {
        $out = DB::table('seats')
            ->where('sitting_id', $round->id)
            ->whereNotNull('left_out_at')
            ->pluck('user_id')
            ->all();

        return $round->members
            ->whereNotIn('id', $out)
            ->sortBy('name')
            ->mapWithKeys(static fn (User $u): array => [$u->id => $u->name])
            ->all();
    }
}
