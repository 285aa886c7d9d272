<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Academy\Attempts;
use App\Academy\OwnSessions;
use App\Models\Academy;
use App\Models\User;

/** One's own place: who one is here, and where one is logged in. */
final readonly class AccountPage
{
    private const TRIED = 12;

    public function __construct(private OwnSessions $sessions, private Attempts $attempts)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $user, string $session): array
    {
        $user->loadMissing('groups');
        $zone = Academy::zone();

        return [
            'user' => $user,
            'place' => PeoplePage::place($user),
            'groups' => $user->groups->pluck('name')->join(', '),
            'factor' => $user->factor_since?->timezone($zone)->format('j F Y'),
            'sessions' => array_map(static fn (array $s): array => [
                'id' => $s['id'],
                'here' => $s['here'],
                'with' => Browser::of($s['agent']),
                'address' => $s['address'],
                'at' => $s['at']->timezone($zone)->format('j M, H:i'),
            ], $this->sessions->of($user, $session)),
            'tried' => TriedRows::of($this->attempts->of($user, self::TRIED)),
        ];
    }
}
