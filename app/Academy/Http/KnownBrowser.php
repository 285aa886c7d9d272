<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Attempts;
use App\Academy\Caller;
use App\Http\Network;
use App\Models\User;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;

/** Which accounts a browser has entered before, in a cookie that nobody else can write. */
final readonly class KnownBrowser
{
    private const NAME = 'entered-before';

    private const DAYS = 180;

    private const ACCOUNTS = 5;

    public static function caller(Request $request): Caller
    {
        return new Caller(Network::of($request), mb_scrub((string) $request->userAgent()), self::accounts($request));
    }

    public static function cookie(Request $request, User $user): Cookie
    {
        $accounts = array_unique([Attempts::account($user->email), ...self::accounts($request)]);

        return cookie(self::name(), implode(',', array_slice($accounts, 0, self::ACCOUNTS)), self::DAYS * 24 * 60);
    }

    /** @return list<string> */
    private static function accounts(Request $request): array
    {
        $held = $request->cookie(self::name());

        return is_string($held) && $held !== '' ? explode(',', $held) : [];
    }

    /** @return non-empty-string */
    private static function name(): string
    {
        return (config('session.secure') === true ? '__Host-' : '').self::NAME;
    }
}
