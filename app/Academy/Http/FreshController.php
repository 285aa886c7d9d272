<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\LogIn;
use App\Http\Controller;
use App\Http\Middleware\FreshLogin;
use App\Http\Middleware\StillHere;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Says who one is once more, before what cannot be taken back or leaves the academy. */
final class FreshController extends Controller
{
    /** A log-in begins, and with it the time for which nothing is asked again. */
    public static function begins(Request $request): void
    {
        $now = now()->getTimestamp();
        $request->session()->put([StillHere::SINCE => $now, FreshLogin::SINCE => $now]);
    }

    public function show(): View
    {
        return view('academy.fresh', ['factor' => $this->user()->hasFactor(), 'email' => $this->user()->email]);
    }

    public function store(FreshRequest $request, LogIn $logIn): RedirectResponse
    {
        $this->backTo(route('password.confirm'));
        $user = $this->user();
        $from = KnownBrowser::caller($request);
        if ($logIn->password($user->email, $request->string('password')->value(), $from)?->is($user) !== true) {
            throw ValidationException::withMessages(['password' => (string) __('login.fresh.refused')]);
        }
        if ($user->hasFactor() && ! $logIn->code($user, $request->code(), $from)) {
            throw ValidationException::withMessages(['code' => (string) __('login.code.refused')]);
        }
        $request->session()->put(FreshLogin::SINCE, now()->getTimestamp());

        $held = $request->session()->pull(FreshLogin::HELD);
        $to = redirect()->intended('/')->with('done', (string) __('login.fresh.done'));

        return is_array($held) ? $to->withInput($held) : $to;
    }
}
