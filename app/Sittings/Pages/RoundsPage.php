<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Sitting;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;

/** The rounds, newest first, with how far each is read. */
final class RoundsPage
{
    /**
     * @return list<array{name: string, url: string, readBy: string, state: string, cases: int, members: int, done: int,
     *     of: int, result: ?array{word: string, url: string}}>
     */
    public function rows(): array
    {
        $rounds = Sitting::query()
            ->withCount([
                'cases',
                'members',
                'readings',
                'readings as done_count' => static fn (Builder $q): Builder => $q->whereNotNull('handed_in_at'),
            ])
            ->orderByDesc('id')
            ->get();

        return array_values($rounds->map(static fn (Sitting $round): array => [
            'name' => $round->name,
            'url' => route('rounds.show', $round),
            'readBy' => (string) __($round->isPanel() ? 'rounds.by-panel' : 'rounds.by-instructors'),
            'state' => (string) __("rounds.states.{$round->state->value}"),
            'cases' => (int) $round->cases_count,
            'members' => (int) $round->members_count,
            'done' => (int) $round->done_count,
            'of' => (int) $round->readings_count,
            'result' => $round->state === SittingState::Published ? self::result($round) : null,
        ])->all());
    }

    /** @return array{word: string, url: string} */
    private static function result(Sitting $round): array
    {
        return $round->isPanel()
            ? ['word' => (string) __('rounds.key'), 'url' => route('panel', $round)]
            : ['word' => (string) __('rounds.figures'), 'url' => route('agreement', $round)];
    }
}
