<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Academy;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Illuminate\Database\Eloquent\Builder;

/** A person's own swings, for a private review: which there are, and how far one has come with each. */
final readonly class OwnSwings
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $person): array
    {
        $onlooker = $this->onlookers->of($person);
        $recordings = Recording::query()
            ->where('golfer_id', $person->golfer_id ?? 0)
            ->whereNull('erased_at')
            ->orderByDesc('id')
            ->get();
        $onlooker->know(array_values($recordings->map(static fn (Recording $r): int => $r->id)->all()));
        $readings = Reading::query()
            ->where('user_id', $person->id)
            ->whereHas('case.sitting', static fn (Builder $q) => $q->where('kind', SittingKind::Review))
            ->with('case.swings')
            ->orderBy('id')
            ->get();

        return [
            'swings' => array_values($recordings
                ->filter(static fn (Recording $r): bool => $onlooker->mayReview($r->id))
                ->map(static fn (Recording $r): array => self::row($r, $readings->filter(
                    static fn (Reading $of): bool => $of->case->swings->first()?->recording_id === $r->id,
                )->all()))
                ->all()),
        ];
    }

    /**
     * @param  array<int, Reading>  $readings
     * @return array{id: string, name: string, day: string, says: string, act: string, read: ?string}
     */
    private static function row(Recording $r, array $readings): array
    {
        $last = $readings === [] ? null : end($readings);
        $state = match (true) {
            $last === null => 'new',
            $last->stage === Stage::Blind => 'blind',
            default => 'second',
        };

        return [
            'id' => $r->public_id,
            'name' => $r->club,
            'day' => $r->created_at->timezone(Academy::zone())->format('j M Y'),
            'says' => (string) __("own.states.$state"),
            'act' => (string) __("own.acts.$state"),
            'read' => $last === null ? null : route('read', $last),
        ];
    }
}
