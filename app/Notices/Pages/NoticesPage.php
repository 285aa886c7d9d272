<?php

declare(strict_types=1);

namespace App\Notices\Pages;

use App\Models\Academy;
use App\Models\Enums\NoticeKind;
use App\Models\Enums\NoticeWay;
use App\Models\Notice;
use App\Models\User;
use App\Notices\Worded;

/** What one person was told, the last first, and how they want to be told. */
final readonly class NoticesPage
{
    private const MOST = 60;

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $zone = Academy::zone();

        return [
            'notices' => array_values($user->notices()->with(['sitting', 'golfer', 'person'])->limit(self::MOST)->get()
                ->map(static fn (Notice $n): array => [
                    'says' => Worded::says($n),
                    'url' => Worded::url($n),
                    'at' => $n->created_at->timezone($zone)->format('j M, H:i'),
                    'new' => $n->seen_at === null,
                ])
                ->all()),
            'upto' => $user->notices()->whereNull('seen_at')->max('id'),
            'kinds' => array_map(static fn (NoticeKind $k): array => [
                'kind' => $k->value,
                'way' => $user->hears($k)->value,
            ], NoticeKind::of($user->isHeadCoach())),
            'ways' => array_combine(
                array_column(NoticeWay::cases(), 'value'),
                array_map(
                    static fn (NoticeWay $w): string => (string) __("told.ways.by.$w->value"),
                    NoticeWay::cases(),
                ),
            ),
        ];
    }
}
