<?php

declare(strict_types=1);

namespace App\Operations;

use App\Models\Academy;
use App\Models\Film;
use App\Models\Recording;
use Core\Sight\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/**
 * What the academy's own rules would have gone by now: swings that nobody agrees to any more, films kept long enough.
 */
final readonly class Retention
{
    /** @return Collection<int, Recording> swings all of whose consents ended so many days ago, or that never had one */
    public function swings(Academy $academy): Collection
    {
        $days = $academy->erase_after_consent_days;
        if ($days === null) {
            return new Collection;
        }
        $before = now()->subDays($days);

        return Recording::query()
            ->whereNull('erased_at')
            ->where('recordings.created_at', '<', $before)
            ->whereDoesntHave('golfer', static fn (Builder $q) => $q->consenting(...Scope::cases()))
            ->whereDoesntHave('golfer.consents', static fn (Builder $q) => $q
                ->where(static fn (Builder $recent) => $recent
                    ->where('withdrawn_at', '>=', $before)
                    ->orWhere(static fn (Builder $open) => $open
                        ->whereNull('withdrawn_at')
                        ->where('expires_on', '>=', $before->toDateString()))))
            ->with('golfer')
            ->orderBy('id')
            ->get();
    }

    /**
     * @return Collection<int, Film> films held longer than the rule allows; those a round under way shows wait for it
     */
    public function films(Academy $academy): Collection
    {
        $days = $academy->erase_film_after_days;
        if ($days === null) {
            return new Collection;
        }

        return Film::query()
            ->where('films.created_at', '<', now()->subDays($days))
            ->whereDoesntHave('recording.dealt.sittingCases.sitting', static fn (Builder $q) => $q
                ->whereIn('state', ['draft', 'open', 'closed']))
            ->with('recording.golfer')
            ->orderBy('id')
            ->get();
    }
}
