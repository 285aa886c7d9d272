<?php

declare(strict_types=1);

namespace App\Report\Pages;

use App\Models\Academy;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Sight\SittingKind;

/** What may be handed on of each published round: its report, the board's page, letters, files. */
final readonly class ReportsPage
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $rounds = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->with('members')
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->get();
        $onlooker = $this->onlookers->of($user);

        return [
            'rounds' => array_values($rounds->map(static fn (Sitting $round): array => [
                'round' => $round,
                'day' => $round->published_at?->timezone(Academy::zone())->format('j F Y') ?? '',
                'waits' => $onlooker->withheld($round) !== null,
                'people' => $round->members->sortBy('name')->values()->all(),
            ])->all()),
        ];
    }
}
