<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Academy\OwnSessions;
use App\Models\Academy;
use App\Models\User;

/** One's own place: who one is here, and where one is logged in. */
final readonly class AccountPage
{
    /** Names of browsers as they sign themselves, the more particular first. */
    private const BROWSERS = ['Edg' => 'Edge', 'Firefox' => 'Firefox', 'Chrome' => 'Chrome', 'Safari' => 'Safari'];

    private const SYSTEMS = ['Android', 'iPhone', 'iPad', 'Windows', 'Mac OS X' => 'Mac', 'Linux'];

    public function __construct(private OwnSessions $sessions)
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
                'with' => self::agent($s['agent']),
                'address' => $s['address'],
                'at' => $s['at']->timezone($zone)->format('j M, H:i'),
            ], $this->sessions->of($user, $session)),
        ];
    }

    /** A browser on a system, from how it signs itself; only told, never relied on. */
    private static function agent(string $signed): string
    {
        $on = '';
        foreach (self::SYSTEMS as $sign => $system) {
            if (str_contains($signed, is_string($sign) ? $sign : $system)) {
                $on = $system;
                break;
            }
        }
        foreach (self::BROWSERS as $sign => $browser) {
            if (str_contains($signed, $sign)) {
                return $on === '' ? $browser : (string) __('account.sessions.on', compact('browser', 'on'));
            }
        }

        return $on === '' ? (string) __('account.sessions.unknown') : $on;
    }
}
