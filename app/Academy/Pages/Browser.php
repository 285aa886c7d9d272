<?php

declare(strict_types=1);

namespace App\Academy\Pages;

/** A browser on a system, from how it signs itself; only told, never relied on. */
final readonly class Browser
{
    /** Names of browsers as they sign themselves, the more particular first. */
    private const BROWSERS = ['Edg' => 'Edge', 'Firefox' => 'Firefox', 'Chrome' => 'Chrome', 'Safari' => 'Safari'];

    private const SYSTEMS = ['Android', 'iPhone', 'iPad', 'Windows', 'Mac OS X' => 'Mac', 'Linux'];

    public static function of(string $signed): string
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
