<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Recording;
use App\Models\Round;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;

/** Who may put a recording on the Bench with its measurements. */
final class RecordingPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function create(User $user): bool
    {
        return $user->isHeadCoach();
    }

    /** Members once their round is published, and only while the recording awaits nobody's blind reading by them. */
    public function view(User $user, Recording $recording): bool
    {
        if ($user->isHeadCoach()) {
            return true;
        }
        $mine = static fn (string $is): bool => Round::query()
            ->where('state', $is, 'published')
            ->whereHas('members', fn (Builder $q) => $q->whereKey($user->id))
            ->whereHas('cases', fn (Builder $q) => $q->where('recording_id', $recording->id))
            ->exists();

        return $mine('=') && ! $mine('<>') && $recording->golfer()->consenting()->exists();
    }
}
